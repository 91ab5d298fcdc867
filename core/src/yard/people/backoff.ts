import { counted } from '../../base/words/index.ts';
/** Wrong tries that cost no wait: a slip of the thumb, the other password, caps lock. */
const free = 4;
const first = 15;
const longest = 900;

/**
 * Seconds to wait before the next try to sign in, doubling with each wrong one.
 * @param failures wrong tries in a row
 * @example waitAfter(4) // 0
 * @example waitAfter(6) // 30
 */
export const waitAfter = (failures: number): number =>
  failures <= free ? 0 : Math.min(first * 2 ** (failures - free - 1), longest);

/** A wait in words. */
export const waitWords = (seconds: number): string => {
  const whole = Math.max(1, Math.ceil(seconds));
  if (whole < 90) return `${counted(whole, 'second')}`;
  return `${Math.ceil(whole / 60)} minutes`;
};
