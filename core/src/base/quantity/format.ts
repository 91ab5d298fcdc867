import { displayRow, type Display, type System } from './display.ts';
import { fromInternal, unitRow } from './units.ts';

/** A number and its unit apart, so that the number can be set large. */
export interface NumberPart {
  readonly number: string;
  readonly unit: string;
}

/** Finer than this nothing on a trailer is: it is a remainder of the arithmetic, and written as nothing. */
const mostDecimals = 9;

/** Enough decimals that something is never written as nothing. */
const enough = (value: number, decimals: number): number =>
  value > 0 && Number(value.toFixed(decimals)) === 0
    ? Math.min(Math.ceil(-Math.log10(value)), mostDecimals)
    : decimals;

const grouped = (value: number, decimals: number): string => {
  const fixed = value.toFixed(enough(value, decimals)).replace(/\.0+$/, '');
  const [whole = '', rest] = fixed.split('.');
  const thousands = whole.replaceAll(/\B(?=(\d{3})+$)/g, ',');
  return rest ? `${thousands}.${rest}` : thousands;
};

/**
 * A whole number with its thousands apart.
 * @example formatWhole(38900) // '38,900'
 */
export const formatWhole = (value: number): string => grouped(value, 0);

const eighths = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const;

const feetAndInches = (inches: number): readonly NumberPart[] => {
  const inEighths = Math.round(inches * 8);
  const feet = Math.floor(inEighths / 96);
  const left = inEighths - feet * 96;
  const inch = `${Math.floor(left / 8) || (left % 8 ? '' : 0)}${eighths[left % 8] ?? ''}`;
  if (feet === 0) return [{ number: inch, unit: 'in' }];
  const whole = { number: grouped(feet, 0), unit: 'ft' };
  return left === 0 ? [whole] : [whole, { number: inch, unit: 'in' }];
};

const greatestDivisor = (a: number, b: number): number => (b === 0 ? a : greatestDivisor(b, a % b));

/** Inches to the nearest part of `parts`, its fraction reduced: 1 ½, 5⁄32. */
const inchesAndParts = (inches: number, parts: number): readonly NumberPart[] => {
  const inParts = Math.round(inches * parts);
  const whole = Math.floor(inParts / parts);
  const over = inParts - whole * parts;
  if (over === 0) return [{ number: grouped(whole, 0), unit: 'in' }];
  const by = greatestDivisor(over, parts);
  const inEighths = (over / parts) * 8;
  const fraction = Number.isInteger(inEighths)
    ? (eighths[inEighths] ?? '')
    : `${over / by}⁄${parts / by}`;
  return [{ number: whole === 0 ? fraction : `${whole} ${fraction}`, unit: 'in' }];
};

/**
 * A quantity as parts to print, rounded as the display says (lengths in feet to the eighth of an inch).
 * @param internal internal units
 * @example quantityParts(316, 'feet', 'us') // [{26, ft}, {4, in}]
 */
export const quantityParts = (
  internal: number,
  display: Display,
  system: System,
): readonly NumberPart[] => {
  const row = displayRow(display);
  if (system === 'us' && row.us.feetAndInches) return feetAndInches(internal);
  if (system === 'us' && row.us.fraction) return inchesAndParts(internal, row.us.fraction);
  const { unit, decimals } = row[system];
  const number = grouped(fromInternal(internal, unit), decimals);
  const { prefix } = unitRow(unit);
  return prefix ? [{ number: `${prefix}${number}`, unit: '' }] : [{ number, unit }];
};

/**
 * A quantity as one piece of text.
 * @example formatQuantity(316, 'feet', 'metric') // '8.03 m'
 */
export const formatQuantity = (internal: number, display: Display, system: System): string =>
  quantityParts(internal, display, system)
    .map((p) => `${p.number} ${p.unit}`.trim())
    .join(' ');

/** A counted size, the count always apart: `2 × 30 lb`, `1 × 5,000 lb`. */
export const formatCounted = (
  value: { readonly count: number; readonly each: number },
  display: Display,
  system: System,
): string => `${value.count} × ${formatQuantity(value.each, display, system)}`;

/**
 * Sides of a thing, the unit said once: `60 × 80 in`, `22 × 14 × 96 in`.
 * @param sides internal units
 */
export const formatSize = (sides: readonly number[], display: Display, system: System): string => {
  const parts = sides.map((side) => quantityParts(side, display, system));
  const unit = parts[0]?.at(-1)?.unit ?? '';
  const numbers = parts.map((part) => part.map((p) => p.number).join(' '));
  return `${numbers.join(' × ')} ${unit}`;
};
