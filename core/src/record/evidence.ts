import { knownBy, type HowKnown, type SpecKey } from '../catalogue/index.ts';
import type { FeatureValue, SpecValue, Statement } from './schema.ts';

/** What somebody says of a field: the value and how they know it. */
export interface Said<V> {
  readonly value: V;
  readonly how: HowKnown;
}

const rank = (how: HowKnown): number => knownBy.findIndex((row) => row.key === how);

/** A value is flat; the database gives its keys back in an order of its own. */
const canonical = (value: object): string => JSON.stringify(value, Object.keys(value).toSorted());

/** Whether two values of a field are the very same. */
export const isSameValue = (a: object, b: object): boolean => canonical(a) === canonical(b);

/** Labels are rounded and converted: two figures within half a per cent say the same. */
const tolerance = 0.005;

const near = (a: number, b: number): boolean =>
  Math.abs(a - b) <= tolerance * Math.max(Math.abs(a), Math.abs(b));

/** The figures of a value that may be rounded; undefined for words and counts. */
const figures = (value: SpecValue): readonly number[] | undefined => {
  if (value.kind === 'quantity') return [value.amount];
  if (value.kind === 'size') return value.sides;
  return value.kind === 'counted' ? [value.each] : undefined;
};

const countOf = (value: SpecValue): number => (value.kind === 'counted' ? value.count : 1);

const plain = (text: string): string => text.replaceAll(/[\s-]+/g, '').toLowerCase();

const sameSpec = (a: SpecValue, b: SpecValue): boolean => {
  if (a.kind !== b.kind || countOf(a) !== countOf(b)) return false;
  if (a.kind === 'text' && b.kind === 'text') return plain(a.text) === plain(b.text);
  const [mine, theirs] = [figures(a), figures(b)];
  if (!mine || !theirs) return isSameValue(a, b);
  return mine.length === theirs.length && mine.every((n, i) => near(n, theirs[i] ?? 0));
};

const isFeature = (value: object): value is FeatureValue => 'state' in value;
const isSpec = (value: object): value is SpecValue => 'kind' in value;

/** Whether two sources say the same of a field: figures but for rounding, words but for spacing, features by state. */
export const agree = (a: object, b: object): boolean => {
  if (isFeature(a) && isFeature(b)) return a.state === b.state;
  if (isSpec(a) && isSpec(b)) return sameSpec(a, b);
  return isSameValue(a, b);
};

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
  if (agree(sheet, unit) || (isFeature(unit) && unit.state === 'ours')) return true;
  const [by, is] = [amountIn(sheet), amountIn(unit)];
  return weighed.has(key) && Math.abs(is - by) <= ofPlainModel * by;
};

/**
 * All that is said of a field, best known first, after one more source has spoken. Each source has one
 * word: a later one corrects its earlier one. Who agrees is not kept beside, and a guess gives way.
 * @param had what was said before, in any order; left as it was
 */
export const withSaid = <V extends object, S extends Said<V>>(
  had: readonly S[],
  said: S,
): readonly [S, ...S[]] => {
  const left = had.filter(
    (s) =>
      s.how !== said.how &&
      !(s.how === 'guessed' && said.how !== 'guessed') &&
      !(agree(s.value, said.value) && rank(s.how) > rank(said.how)),
  );
  const confirmed = left.some((s) => agree(s.value, said.value));
  const all = confirmed && left.length > 0 ? left : [...left, said];
  return all.toSorted((a, b) => rank(a.how) - rank(b.how)) as unknown as [S, ...S[]];
};

/** What is said of a field, the shown value first. */
export const statementsOf = <V>(
  entry: (Statement<V> & { readonly others?: readonly Statement<V>[] | undefined }) | undefined,
): readonly Statement<V>[] => {
  if (!entry) return [];
  const { value, how, by, at, others = [] } = entry;
  return [{ value, how, by, at }, ...others];
};
