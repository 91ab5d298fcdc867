import { fullWeekOf, monthsBetween } from '../../base/dates/index.ts';

/**
 * The date code of a tire: the last four digits of its identification number, week and year.
 * Source: 49 CFR 574.5(d): week 01 is the first full calendar week, Sunday to Saturday; four digits since 2000.
 */
export interface DotDate {
  readonly week: number;
  readonly year: number;
}

export type DotReading =
  | { readonly kind: 'good'; readonly date: DotDate }
  /** Three digits: built before 2000, in a year that ends on this digit. */
  | { readonly kind: 'last-century'; readonly week: number; readonly lastDigit: number }
  | { readonly kind: 'no-date' }
  | { readonly kind: 'week'; readonly week: number };

const weeks = 53;

/**
 * Reads the code as it stands on the sidewall, alone or at the end of the whole number.
 * @example readDotDate('DOT 1LX3 ABCD 3625') // { kind: 'good', date: { week: 36, year: 2025 } }
 */
export const readDotDate = (typed: string): DotReading => {
  // The code is what stands last.
  const digits = /(?:^|[^\d])(\d{3,4})$/.exec(typed.trim().slice(-20))?.[1];
  if (!digits) return { kind: 'no-date' };
  const week = Number(digits.slice(0, 2));
  if (week < 1 || week > weeks) return { kind: 'week', week };
  if (digits.length === 3) return { kind: 'last-century', week, lastDigit: Number(digits[2]) };
  return { kind: 'good', date: { week, year: 2000 + Number(digits.slice(2)) } };
};

/** Weeks once worked out: a yard's tires come from a few dozen of them, and each is asked for at every look. */
const sundays = new Map<string, string>();

/** The Sunday on which the tire's week began, `2025-09-07`. */
export const builtOn = ({ week, year }: DotDate): string => {
  const key = `${year}-${week}`;
  const known = sundays.get(key) ?? fullWeekOf(year, week);
  sundays.set(key, known);
  return known;
};

/** Whole months from the week it was built in to a date; negative when that lies before it. */
export const tireMonths = (date: DotDate, at: string): number => monthsBetween(builtOn(date), at);

/** A date code in words: it is a week, and no day of it is known. @example dotWeek({ week: 36, year: 2025 }) // 'week 36 of 2025' */
export const dotWeek = ({ week, year }: DotDate): string => `week ${week} of ${year}`;
