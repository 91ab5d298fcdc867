import type { PadKey } from '@fair-gable/core/unit/round';

const tidy = (text: string): string => text.replaceAll(/\s+/g, ' ').trimStart();

/**
 * A digit more in the field.
 * @param anew what stands there is what is known: the first digit begins anew
 */
export const digitKeyed = (typed: string, digit: string, anew: boolean): string =>
  tidy(`${anew ? '' : typed}${digit}`);

/** A fraction belongs before the unit, whichever was pressed first: 9 in, then a half, is 9 1/2 in. */
const unitBehind = (typed: string, { writes }: PadKey): string =>
  writes[0]?.includes('/') ? (/\s*[a-z]+\s*$/i.exec(typed)?.[0] ?? '') : '';

/** A key of the field's own pressed; one with several texts goes round them when it is pressed again. */
export const padKeyed = (typed: string, key: PadKey): string => {
  const { writes } = key;
  const unit = unitBehind(typed, key);
  const body = typed.slice(0, typed.length - unit.length);
  const at = writes.findIndex((text) => body.endsWith(text));
  const isAgain = at >= 0 && writes.length > 1;
  const had = isAgain ? body.slice(0, -(writes[at] ?? '').length) : body;
  return tidy(`${had}${writes[(at + 1) % writes.length] ?? ''}${unit}`);
};

/** What the last key wrote is taken back whole: a unit is one key. */
export const keyTakenBack = (typed: string): string =>
  typed.replace(/(\s*[a-z/³·°×]+\s*|\s*\d\/\d\s*|.)$/i, '');
