import { displayRow, type Display, type DisplayRow, type System } from './display.ts';
import { unitNamed, unitRow, type UnitKey, type UnitRow } from './units.ts';
import { problemOf, type ParamsOf, type Problem, type ProblemCode } from '../problems/index.ts';

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

const fail = <C extends ProblemCode>(code: C, params: ParamsOf<C>): Parsed<never> => ({
  ok: false,
  problem: problemOf(code, params),
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

/** `35k`, `15K BTU`, `13.5 kBTU`: thousands; not the k of kg, kW, kPa and km. */
const withThousands = (text: string): string =>
  text.replace(/(\d[\d.,]*)\s*k(?=\s*(?:btu|$|[^a-z]))/i, (_, digits: string) =>
    String(readNumber(digits) * 1000),
  );

const tidy = (typed: string): string =>
  withThousands(typed.trim())
    .replace(/\b(?:cu(?:bic)?\.?[\s-]*(?:ft|foot|feet)\.?|ft\^?3)(?=\W|$)/i, 'ft³')
    .replace(/(\d)-(?=[a-z])/i, '$1 ')
    .replace(/\bamp(?:ere)?s?[\s-]hours?\b/i, 'Ah')
    .replace(/(?:°|\bdeg(?:rees?|\.)?)\s*(?=[fc]\b)/i, '°')
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

/** The field in which something was typed, and whose units are the usual ones. */
interface Field {
  readonly row: DisplayRow;
  readonly system: System;
  readonly typed: string;
}

/** A piece that belongs to what came before it, as inches to feet, with its unit; or what is wrong. */
const measured = (p: Piece, before: UnitRow | undefined, { row, system, typed }: Field) => {
  const wanted = row[system].unit;
  const unit = unitOf(p, before, wanted);
  if (!unit) return fail('unknown-unit', { unit: p.unit ?? '' });
  if (unit.dimension !== row.dimension) return fail('other-dimension', { unit: unit.key, wanted });
  const descends = !before || (before.key === 'ft' && unit.key === 'in');
  if (!descends || !Number.isFinite(p.amount)) return fail('not-a-quantity', { typed });
  return { ok: true, value: unit } as const;
};

const total = (found: readonly Piece[], field: Field): Parsed<number> => {
  let sum = 0;
  let before: UnitRow | undefined;
  for (const p of found) {
    const read = measured(p, before, field);
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
 * Nobody types more than this to say how much of something there is. What comes in a file may be as long as it likes, and is
 * looked into no further.
 */
export const longestFigure = 120;
const tooLong = (typed: string): Parsed<never> | undefined =>
  typed.length > longestFigure
    ? fail('too-long', { length: typed.length, limit: longestFigure })
    : undefined;

/**
 * A quantity as people type it on a lot: `26'4`, `26 ft 4 1/2 in`, `8.03 m`, `6,340`, `6340 lb`, `R-9`, `-10 °F`.
 * @param typed what was typed
 * @param display how this field is shown; a bare number is taken in its usual unit
 * @param system the reader's unit system
 * @returns internal units, or a coded problem: empty, not-a-quantity, unknown-unit, other-dimension, negative, too-long
 * @example parseQuantity("26'4", 'feet', 'us') // { ok: true, value: 316 }
 */
export const parseQuantity = (typed: string, display: Display, system: System): Parsed<number> => {
  const row = displayRow(display);
  const long = tooLong(typed);
  if (long) return long;
  if (typed.trim() === '') return fail('empty', {});
  const isBelow = minus.test(typed);
  if (isBelow && row.dimension !== 'temperature') return fail('negative', { typed });
  const found = pieces(typed.replace(minus, ''));
  if (!found) return fail('not-a-quantity', { typed });
  return total(isBelow ? negated(found) : found, { row, system, typed });
};

const numberWords = [
  'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve',
] as const; // prettier-ignore

/** A number that was written out at the beginning, in figures. @example withFigures('two 30s') // '2 30s' */
export const withFigures = (typed: string): string =>
  typed.replace(/^\s*([a-z]+)\b/i, (all, word: string) => {
    const at = (numberWords as readonly string[]).indexOf(word.toLowerCase());
    return at < 0 ? all : String(at + 1);
  });

/** A count and a size: with a sign between, or with a space before what cannot be the rest of the same number. */
const countAndSize = [
  /^\s*(\d+)\s*[x×*@]\s*(.+)$/i,
  /^\s*(\d)\s*-\s*(\d.*)$/,
  /^\s*(\d{1,2})\s+(\d{2}(?!\d).*|\d{1,3}(?:,\d{3})+.*|\d{4,}.*)$/,
] as const;

/** Figures in the plural: two 30s. */
const singular = (typed: string): string => typed.replace(/(\d)[’']?s\b/i, '$1');

/**
 * How many, where only that was typed: `12`, `two`, `2 × ?`.
 * @returns undefined where something else stands there
 */
export const parseCount = (typed: string): number | undefined => {
  if (tooLong(typed)) return undefined;
  const count = /^\s*(\d{1,2})\s*(?:[x×*@]\s*\?)?\s*$/.exec(withFigures(typed))?.[1];
  return count === undefined ? undefined : Number(count);
};

/**
 * A counted size: `2 x 30`, `2 × 30 lb`, or one size alone, which means one of them.
 * @returns count and the size of each in internal units
 * @example parseCounted('two 30s', 'weight', 'us') // { ok: true, value: { count: 2, each: 30 } }
 * @example parseCounted('2 x 30', 'weight', 'us') // { ok: true, value: { count: 2, each: 30 } }
 */
export const parseCounted = (typed: string, display: Display, system: System): Parsed<Counted> => {
  const long = tooLong(typed);
  if (long) return long;
  const text = singular(withFigures(typed));
  const m = countAndSize.map((pattern) => pattern.exec(text)).find(Boolean);
  const count = m ? Number(m[1]) : 1;
  if (count < 1 || count > 99) return fail('count', { typed });
  const each = parseQuantity(m?.[2] ?? text, display, system);
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
  const long = tooLong(typed);
  if (long) return long;
  if (typed.trim() === '') return fail('empty', {});
  const texts = typed.split(/\s*(?:[x×*]|\bby\b)\s*/i);
  if (texts.length !== count) return fail('sides', { typed, count });
  const read = texts.map((text) => parseQuantity(text, display, system));
  const bad = read.find((side) => !side.ok);
  if (bad) return bad as Parsed<never>;
  return { ok: true, value: read.flatMap((side) => (side.ok ? [side.value] : [])) };
};

/** A figure that was given only roughly, in internal units. */
export interface Rough {
  readonly amount: number;
  readonly bound?: 'about' | 'under' | 'over' | undefined;
  /** The upper end of a range. */
  readonly to?: number;
}

/** How people say that a figure is rough; before it or behind it. Common practice. */
const roughly = [
  { bound: 'about', before: /^(?:about|approx(?:imately|\.)?|around|roughly|circa|ca\.?|~|≈)\s*/i },
  { bound: 'under', before: /^(?:(?:just )?under|below|less than|not quite|<|≤)\s*/i },
  { bound: 'over', before: /^(?:(?:just )?over|above|more than|at least|>|≥)\s*/i },
  { bound: 'about', behind: /(\d)\s*-?ish$/i },
  { bound: 'over', behind: /(\d[^+]*)\+$/ },
] as const;

/** “Up to 300” is said of a limit, and is that limit. */
const limitWords = /^(?:up to|max(?:imum|\.)?)\s+|\s+max(?:imum|\.)?$/gi;

const rangeSign = /^(.*\d[^-–—]*?)\s*(?:–|—|-|\bto\b)\s*(?=[\d½¼¾⅛⅜⅝⅞])(.+)$/i;
const hasUnit = /[a-z'"°³′″’”#]/i;
/** `2-1/2` and `12-1/4` are whole numbers with a fraction. */
const mixed = /^\s*\d+-\d+\/\d+/;

const range = (typed: string, display: Display, system: System): Parsed<Rough> | undefined => {
  const m = mixed.test(typed) || minus.test(typed) ? null : rangeSign.exec(typed);
  if (!m) return undefined;
  const [, low = '', high = ''] = m;
  const unit = /[^\d\s.,½¼¾⅛⅜⅝⅞/-].*$/.exec(high)?.[0] ?? '';
  const to = parseQuantity(high, display, system);
  const from = parseQuantity(hasUnit.test(low) ? low : `${low} ${unit}`, display, system);
  if (!from.ok) return from;
  if (!to.ok) return to;
  return from.value < to.value
    ? { ok: true, value: { amount: from.value, to: to.value } }
    : fail('not-a-range', { typed });
};

/** How rough the words say it is, and the words without that. */
const roughness = (text: string): { readonly bare: string; readonly bound?: Rough['bound'] } => {
  for (const row of roughly) {
    const pattern = 'before' in row ? row.before : row.behind;
    if (pattern.test(text)) {
      return { bare: text.replace(pattern, 'before' in row ? '' : '$1'), bound: row.bound };
    }
  }
  return { bare: text };
};

/**
 * A quantity that may be given only roughly: `about 200`, `under 3,200`, `60+`, `16–18 ft`, beside all that
 * `parseQuantity` takes.
 * @example parseRough('16–18 ft', 'feet', 'us') // { ok: true, value: { amount: 192, to: 216 } }
 */
export const parseRough = (typed: string, display: Display, system: System): Parsed<Rough> => {
  const long = tooLong(typed);
  if (long) return long;
  const { bare, bound } = roughness(typed.trim().replaceAll(limitWords, ''));
  const between = bound === undefined ? range(bare, display, system) : undefined;
  if (between) return between;
  const read = parseQuantity(bare, display, system);
  if (!read.ok) return fail(read.problem.code, { ...read.problem.params, typed });
  return { ok: true, value: { amount: read.value, ...(bound ? { bound } : {}) } };
};
