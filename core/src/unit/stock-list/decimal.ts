import { isSpecKey, specEntry } from '../catalog/index.ts';
import { longestFigure, toInternal } from '../../base/quantity/index.ts';
import { amountOf, typedSpec, applyChange, emptyRecord, type Change } from '../record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { Column } from './columns.ts';

/** What stands before the decimals of a list's numbers: `7,490.5` or `7.490,5`. */
export type Decimal = 'point' | 'comma';

const signs: readonly (readonly [Decimal, RegExp])[] = [
  // 1.234.567 and 1.234,5: nobody writes so with a decimal point.
  ['comma', /^\D*\d{1,3}(?:\.\d{3}){2,}\D*$|^\D*\d{1,3}(?:\.\d{3})+,\d+\D*$|^\D*\d+,\d{1,2}\D*$/],
  ['point', /^\D*\d{1,3}(?:,\d{3})+(?:\.\d+)?\D*$|^\D*\d+\.\d{1,2}\D*$|^\D*\d+\.\d{4,}\D*$/],
];

/** `2.150`, alone: two and a little, or two thousand. */
const either = /^\D*\d{1,3}\.\d{3}\D*$/;

const isPlausible = (key: Column, text: string, system: System): boolean => {
  if (key === null || !isSpecKey(key)) return false;
  const kind = specEntry(key).value;
  const read = typedSpec(key, text, system);
  if (kind.kind !== 'quantity' || !read.ok) return false;
  const change = { part: 'specs', key, value: read.value, how: 'read', basedOn: 0 } as Change;
  const amount = amountOf(applyChange(emptyRecord, change, '', ''), key) ?? 0;
  const { from, to, unit } = kind.plausible;
  return amount >= toInternal(from, unit) && amount <= toInternal(to, unit);
};

/** A number with a decimal comma as one with a decimal point. */
export const withPoint = (text: string): string =>
  text.replaceAll(/(\d)\.(?=\d{3}(?!\d))/g, '$1').replaceAll(/(\d),(?=\d)/g, '$1.');

/**
 * How a list writes its numbers, decided for the whole of it: by what can only be read one way, else by what makes sense
 * where it stands.
 * @param cells line by line, under `columns`
 * @example decimalOf([['2.150']], ['uvw'], 'us') // 'comma': a trailer of 2 lb is none
 */
export const decimalOf = (
  cells: readonly (readonly string[])[],
  columns: readonly Column[],
  system: System,
): Decimal => {
  const figures = cells.flatMap((row) =>
    row.flatMap((cell, i) => {
      const key = columns[i] ?? null;
      const isFigure = key !== null && isSpecKey(key) && specEntry(key).value.kind !== 'text';
      return isFigure && cell.length <= longestFigure && /\d/.test(cell)
        ? [{ key, text: cell.trim() }]
        : [];
    }),
  );
  const count = (decimal: Decimal): number =>
    figures.filter(({ text }) => signs.some(([of, sign]) => of === decimal && sign.test(text)))
      .length;
  const [comma, point] = [count('comma'), count('point')];
  if (comma !== point) return comma > point ? 'comma' : 'point';
  const open = figures.filter(({ text }) => either.test(text));
  const better = open.filter(
    ({ key, text }) => !isPlausible(key, text, system) && isPlausible(key, withPoint(text), system),
  );
  return better.length > open.length / 2 ? 'comma' : 'point';
};
