import { displayRow, type Display, type System } from './display.ts';
import { fromInternal } from './units.ts';

/** A number and its unit apart, so that the number can be set large. */
export interface NumberPart {
  readonly number: string;
  readonly unit: string;
}

const grouped = (value: number, decimals: number): string => {
  const fixed = value.toFixed(decimals).replace(/\.0+$/, '');
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
  const { unit, decimals } = row[system];
  return [{ number: grouped(fromInternal(internal, unit), decimals), unit }];
};

/**
 * A quantity as one piece of text.
 * @example formatQuantity(316, 'feet', 'metric') // '8.03 m'
 */
export const formatQuantity = (internal: number, display: Display, system: System): string =>
  quantityParts(internal, display, system)
    .map((p) => `${p.number} ${p.unit}`)
    .join(' ');

/** A counted size, the count always apart: `2 × 30 lb`, `1 × 5,000 lb`. */
export const formatCounted = (
  value: { readonly count: number; readonly each: number },
  display: Display,
  system: System,
): string => `${value.count} × ${formatQuantity(value.each, display, system)}`;
