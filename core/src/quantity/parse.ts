import { displayRow, type Display, type DisplayRow, type System } from './display.ts';
import { unitNamed, unitRow, type UnitKey, type UnitRow } from './units.ts';
import type { Problem } from '../problems/index.ts';

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export interface Counted {
  readonly count: number;
  /** Internal units, each. */
  readonly each: number;
}

const fractions: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const number = String.raw`(?:\d+(?:[.,]\d+)*|[.,]\d+)`;
const piece = new RegExp(
  String.raw`^\s*(?:(\d+)[\s-]+(\d+)/(\d+)|(\d+)/(\d+)|(${number}))\s*('{2}|[^\d\s.,+-][^\d\s,]*)?`,
);

const fail = (code: Problem['code'], params: Problem['params'] = {}): Parsed<never> => ({
  ok: false,
  problem: { code, params },
});

/**
 * A plain number as people write it: a comma before exactly three digits groups thousands,
 * any other single comma is a decimal comma.
 * @returns NaN when it is neither
 */
export const readNumber = (typed: string): number => {
  const text = typed.trim();
  if (/^\d{1,3}([ ,]\d{3})+(\.\d+)?$/.test(text)) return Number(text.replaceAll(/[ ,]/g, ''));
  if (/^\d*[.,]\d+$|^\d+$/.test(text)) return Number(text.replace(',', '.'));
  return Number.NaN;
};

interface Piece {
  readonly amount: number;
  readonly unit: string | undefined;
}

const pieceFrom = (m: RegExpExecArray): Piece => {
  const [, whole, over, under, over2, under2, plain, unit] = m;
  if (under !== undefined) return { amount: Number(whole) + Number(over) / Number(under), unit };
  if (under2 !== undefined) return { amount: Number(over2) / Number(under2), unit };
  return { amount: readNumber(plain ?? ''), unit };
};

const tidy = (typed: string): string =>
  typed
    .trim()
    .replace(/\b(?:cu\.?\s*ft|ft\^?3)\b/i, 'ft³')
    .replace(/\bm\^?3\/h\b/i, 'm³/h')
    .replace(/^r[-\s]*(?=\d)(.+)$/i, '$1 R')
    .replaceAll('⁄', '/')
    .replaceAll(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${fractions[c] ?? ''}`)
    .replaceAll(/(\d) (?=\d{3}(?:\D|$))/g, '$1');

const pieces = (typed: string): readonly Piece[] | undefined => {
  const found: Piece[] = [];
  let rest = tidy(typed);
  while (rest !== '') {
    const m = piece.exec(rest);
    if (!m) return undefined;
    found.push(pieceFrom(m));
    rest = rest.slice(m[0].length).replace(/^[\s,]+/, '');
  }
  return found;
};

/** A piece with no unit means the field's usual unit, or inches when feet came before it. */
const unitOf = (p: Piece, before: UnitRow | undefined, usual: UnitKey): UnitRow | undefined => {
  if (p.unit) return unitNamed(p.unit);
  return before?.key === 'ft' ? unitRow('in') : unitRow(usual);
};

/** A piece that belongs to what came before it, as inches to feet, with its unit; or what is wrong. */
const measured = (p: Piece, before: UnitRow | undefined, row: DisplayRow, system: System) => {
  const wanted = row[system].unit;
  const unit = unitOf(p, before, wanted);
  if (!unit) return fail('unknown-unit', { unit: p.unit ?? '' });
  if (unit.dimension !== row.dimension) return fail('other-dimension', { unit: unit.key, wanted });
  const descends = !before || (before.key === 'ft' && unit.key === 'in');
  if (!descends || !Number.isFinite(p.amount)) return fail('not-a-quantity');
  return { ok: true, value: unit } as const;
};

const total = (found: readonly Piece[], row: DisplayRow, system: System): Parsed<number> => {
  let sum = 0;
  let before: UnitRow | undefined;
  for (const p of found) {
    const read = measured(p, before, row, system);
    if (!read.ok) return read;
    sum += (p.amount + (read.value.offset ?? 0)) * read.value.factor;
    before = read.value;
  }
  return { ok: true, value: sum };
};

/** A minus is only of use on a scale that goes below nought. */
const minus = /^\s*[-−–]/;
const negated = ([first, ...rest]: readonly Piece[]): readonly Piece[] =>
  first ? [{ ...first, amount: -first.amount }, ...rest] : [];

/**
 * A quantity as people type it on a lot: `26'4`, `26 ft 4 1/2 in`, `8.03 m`, `6,340`, `6340 lb`, `R-9`, `-10 °F`.
 * @param typed what was typed
 * @param display how this field is shown; a bare number is taken in its usual unit
 * @param system the reader's unit system
 * @returns internal units, or a coded problem: empty, not-a-quantity, unknown-unit, other-dimension, negative
 * @example parseQuantity("26'4", 'feet', 'us') // { ok: true, value: 316 }
 */
export const parseQuantity = (typed: string, display: Display, system: System): Parsed<number> => {
  const row = displayRow(display);
  if (typed.trim() === '') return fail('empty');
  const isBelow = minus.test(typed);
  if (isBelow && row.dimension !== 'temperature') return fail('negative', { typed });
  const found = pieces(typed.replace(minus, ''));
  if (!found) return fail('not-a-quantity', { typed });
  const read = total(isBelow ? negated(found) : found, row, system);
  if (read.ok) return read;
  return fail(read.problem.code, { typed, ...read.problem.params });
};

/**
 * A counted size: `2 x 30`, `2 × 30 lb`, or one size alone, which means one of them.
 * @returns count and the size of each in internal units
 * @example parseCounted('2 x 30', 'weight', 'us') // { ok: true, value: { count: 2, each: 30 } }
 */
export const parseCounted = (typed: string, display: Display, system: System): Parsed<Counted> => {
  const m = /^\s*(\d+)\s*[x×*@]\s*(.+)$/i.exec(typed);
  const count = m ? Number(m[1]) : 1;
  if (count < 1 || count > 99) return fail('count', { typed });
  const each = parseQuantity(m?.[2] ?? typed, display, system);
  return each.ok ? { ok: true, value: { count, each: each.value } } : each;
};

/**
 * The sides of a thing: `60 x 80`, `22 × 14 × 96 in`, `152 by 203 cm`.
 * @param count how many sides it has
 * @returns internal units of each, in the order typed
 * @example parseSize('60 x 80', 'inches', 2, 'us') // { ok: true, value: [60, 80] }
 */
export const parseSize = (
  typed: string,
  display: Display,
  count: number,
  system: System,
): Parsed<readonly number[]> => {
  if (typed.trim() === '') return fail('empty');
  const texts = typed.split(/\s*(?:[x×*]|\bby\b)\s*/i);
  if (texts.length !== count) return fail('sides', { typed, count });
  const read = texts.map((text) => parseQuantity(text, display, system));
  const bad = read.find((side) => !side.ok);
  if (bad) return bad as Parsed<never>;
  return { ok: true, value: read.flatMap((side) => (side.ok ? [side.value] : [])) };
};
