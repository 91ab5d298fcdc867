import { isSpecKey, knownBy, specEntry, type HowKnown, type SpecKey } from '../catalog/index.ts';
import { displayRow, fromInternal, toInternal, type Display } from '../../base/quantity/index.ts';
import type { Known } from './brief.ts';
import type { FeatureValue } from './parts/features.ts';
import type { Statement } from './schema.ts';
import type { SpecValue } from './values/spec.ts';

const rank = (how: HowKnown): number => knownBy.findIndex((row) => row.key === how);

/** A value is flat; the database gives its keys back in an order of its own. */
const canonical = (value: object): string => JSON.stringify(value, Object.keys(value).toSorted());

/** Whether two values of a field are the very same. */
export const isSameValue = (a: object, b: object): boolean => canonical(a) === canonical(b);

/** Labels are converted and printed small: two figures within half a percent say the same. */
const tolerance = 0.005;
/** However roughly somebody rounds, more than this apart is another figure; common practice. */
const coarsest = 0.025;
/** What “about” spans to either side; common practice. */
const aboutSpan = 0.1;

/** The place of the last figure that somebody gave, in units of it: 100 for 3,200, 0.5 for nothing finer than halves. */
const lastPlace = (amount: number): number => {
  if (Math.abs(amount - Math.round(amount)) > 1e-6) return 0;
  let place = 1;
  while (place < 1e6 && Math.round(amount) % (place * 10) === 0 && amount !== 0) place *= 10;
  return place;
};

/** How far a figure may be off for having been rounded, by the unit in which it is round. Internal units. */
const roundingOf = (amount: number, display: Display | undefined): number => {
  if (display === undefined || amount === 0) return 0;
  const row = displayRow(display);
  const halves = [row.us.unit, row.metric.unit].map((unit) => {
    const step = lastPlace(fromInternal(amount, unit));
    return Math.abs(toInternal(step, unit) - toInternal(0, unit)) / 2;
  });
  return Math.min(Math.max(...halves), coarsest * Math.abs(amount));
};

/** From where to where a value lies. */
interface Span {
  readonly from: number;
  readonly to: number;
}

const exact = (amount: number, display: Display | undefined): Span => {
  const off = Math.max(roundingOf(amount, display), tolerance * Math.abs(amount));
  return { from: amount - off, to: amount + off };
};

const spanOf = (
  { amount, bound, to }: Extract<SpecValue, { kind: 'quantity' }>,
  display: Display | undefined,
): Span => {
  if (to !== undefined) return { from: amount, to };
  if (bound === 'under') return { from: -Infinity, to: amount };
  if (bound === 'over') return { from: amount, to: Infinity };
  if (bound === 'about') {
    return { from: amount * (1 - aboutSpan), to: amount * (1 + aboutSpan) };
  }
  return exact(amount, display);
};

/** The spans of a value's figures; undefined for words and plain counts. */
const spansOf = (value: SpecValue, display: Display | undefined): readonly Span[] | undefined => {
  if (value.kind === 'quantity') return [spanOf(value, display)];
  if (value.kind === 'size') return value.sides.map((side) => exact(side, display));
  if (value.kind !== 'counted') return undefined;
  return value.each === undefined ? [] : [exact(value.each, display)];
};

/** Whether one figure lies within what the other may stand for. */
const meets = (a: Span, b: Span): boolean => {
  const [x, y] = [(a.from + a.to) / 2, (b.from + b.to) / 2];
  const isIn = (n: number, { from, to }: Span): boolean => n >= from && n <= to;
  if (Number.isFinite(x) && Number.isFinite(y)) return isIn(x, b) || isIn(y, a);
  return a.from <= b.to && b.from <= a.to;
};

const countIn = (value: SpecValue): number => (value.kind === 'counted' ? value.count : 1);

const plain = (text: string): string => text.replaceAll(/[\s-]+/g, '').toLowerCase();

const displayOf = (key: string | undefined): Display | undefined => {
  const kind = key !== undefined && isSpecKey(key) ? specEntry(key).value : undefined;
  return kind && 'display' in kind ? kind.display : undefined;
};

const sameSpec = (a: SpecValue, b: SpecValue, key: string | undefined): boolean => {
  if (a.kind !== b.kind || countIn(a) !== countIn(b)) return false;
  if (a.kind === 'text' && b.kind === 'text') return plain(a.text) === plain(b.text);
  const display = displayOf(key);
  const [mine, theirs] = [spansOf(a, display), spansOf(b, display)];
  if (!mine || !theirs) return isSameValue(a, b);
  // Who only counted says nothing of the size.
  if (mine.length === 0 || theirs.length === 0) return true;
  return mine.length === theirs.length && mine.every((n, i) => meets(n, theirs[i] as Span));
};

const isFeature = (value: object): value is FeatureValue => 'state' in value;
const isSpec = (value: object): value is SpecValue => 'kind' in value;

/**
 * Whether two sources say the same of a field: figures but for the rounding of the rougher one, words but for spacing,
 * features by state.
 * @param key the spec's, by whose units a figure is seen to be round
 */
export const agree = (a: object, b: object, key?: string): boolean => {
  if (isFeature(a) && isFeature(b)) return a.state === b.state;
  if (isSpec(a) && isSpec(b)) return sameSpec(a, b, key);
  return isSameValue(a, b);
};

/** Whether a value says nothing that the other does not say as well: a bare count, of what has a size. */
const saysLess = (a: object, b: object): boolean =>
  isSpec(a) &&
  isSpec(b) &&
  a.kind === 'counted' &&
  b.kind === 'counted' &&
  a.count === b.count &&
  a.each === undefined &&
  b.each !== undefined;

/** What each unit weighs with its own options: a sheet has it of the plain model only. */
const weighed = new Set<string>(['uvw', 'ccc', 'hitchWeight'] satisfies SpecKey[]);
/** Within this share of it; common practice. */
const ofPlainModel = 0.12;

const amountIn = (value: object): number =>
  isSpec(value) && value.kind === 'quantity' ? value.amount : Number.NaN;

/**
 * Whether a unit is as its model sheet has it: the same, or no more otherwise than any unit may be. What was
 * fitted here the sheet cannot know, and what each unit weighs it has of the plain model only.
 */
export const isAsSheet = (key: string, sheet: object, unit: object): boolean => {
  if (agree(sheet, unit, key) || (isFeature(unit) && unit.state === 'ours')) return true;
  const [by, is] = [amountIn(sheet), amountIn(unit)];
  return weighed.has(key) && Math.abs(is - by) <= ofPlainModel * by;
};

/**
 * All that is said of a field, best known first, after one more source has spoken. Each source has one
 * word: a later one corrects its earlier one. Who agrees is not kept beside, and a guess gives way.
 * @param had what was said before, in any order; left unchanged
 * @param key of the field
 */
export const withStatement = <V extends object, S extends Known<V>>(
  had: readonly S[],
  said: S,
  key?: string,
): readonly [S, ...S[]] => {
  const left = had.filter(
    (s) =>
      s.how !== said.how &&
      !(s.how === 'guessed' && said.how !== 'guessed') &&
      !saysLess(s.value, said.value) &&
      (saysLess(said.value, s.value) ||
        !(agree(s.value, said.value, key) && rank(s.how) > rank(said.how))),
  );
  // Who rounds more roughly than half a percent agrees, but has a word of their own: it is kept beside.
  const confirmed = left.some((s) => agree(s.value, said.value));
  const all = confirmed && left.length > 0 ? left : [...left, said];
  return all.toSorted((a, b) => rank(a.how) - rank(b.how)) as unknown as [S, ...S[]];
};

/** What is said of a field, the shown value first. */
export const statementsOf = <V>(
  entry: (Statement<V> & { readonly others?: readonly Statement<V>[] | undefined }) | undefined,
): readonly Statement<V>[] => {
  if (!entry) return [];
  const { value, how, by, at, filed, others = [] } = entry;
  return [filed ? { value, how, by, at, filed } : { value, how, by, at }, ...others];
};
