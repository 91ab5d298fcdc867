import {
  featureEntry,
  isFitted,
  isSpecKey,
  specEntry,
  specs,
  type Advice,
  type Feature,
  type FeatureKey,
  type HowKnown,
  type Spec,
  type SpecKey,
  type WordsIf,
} from '../catalog/index.ts';
import type { Basics, Brief } from './brief.ts';
import type { UnitRecord } from './schema.ts';
import { figureOf } from './values/spec.ts';

type Specs = Brief['specs'];
/** Whatever has specs: a record, a brief, or the basics alone, of which nothing else can be asked. */
interface Has<S extends Specs> {
  readonly specs: S;
}
type SpecIn<S extends Specs> = keyof S & SpecKey;

/** A quantity in internal units; undefined when it is not known. */
export const amountOf = <S extends Specs>(record: Has<S>, key: SpecIn<S>): number | undefined => {
  const value = record.specs[key]?.value;
  return value?.kind === 'quantity' ? figureOf(value) : undefined;
};

/** A counted size; undefined when it is not known, or only counted. */
export const countedOf = <S extends Specs>(
  record: Has<S>,
  key: SpecIn<S>,
): { readonly count: number; readonly each: number } | undefined => {
  const value = record.specs[key]?.value;
  if (value?.kind !== 'counted' || value.each === undefined) return undefined;
  return { count: value.count, each: value.each };
};

/** How many there are, whether or not their size is known; undefined when nobody has counted. */
export const howMany = <S extends Specs>(record: Has<S>, key: SpecIn<S>): number | undefined => {
  const value = record.specs[key]?.value;
  if (value?.kind === 'number') return value.number;
  return value?.kind === 'counted' ? value.count : undefined;
};

/** The sides of a thing; undefined when they are not known. */
export const sidesOf = <S extends Specs>(
  record: Has<S>,
  key: SpecIn<S>,
): readonly number[] | undefined => {
  const value = record.specs[key]?.value;
  return value?.kind === 'size' ? value.sides : undefined;
};

/** A text, choice, date or plain number as text; undefined when it is not known. */
export const textOf = <S extends Specs>(record: Has<S>, key: SpecIn<S>): string | undefined => {
  const value = record.specs[key]?.value;
  if (value?.kind === 'text') return value.text;
  if (value?.kind === 'choice') return value.choice;
  if (value?.kind === 'date') return value.date;
  return value?.kind === 'number' ? String(value.number) : undefined;
};

/** How a spec is known; undefined when it is not. */
export const howOf = <S extends Specs>(record: Has<S>, key: SpecIn<S>): HowKnown | undefined =>
  record.specs[key]?.how;

/** Whether the thing itself is on the unit. */
export const hasFeature = (record: Brief, key: FeatureKey): boolean =>
  isFitted(record.features[key]?.value.state);

/** Whether somebody recorded that the thing itself is not on the unit. */
export const isKnownMissing = (record: Brief, key: FeatureKey): boolean =>
  record.features[key] !== undefined && !hasFeature(record, key);

const isRuledOut = (record: Brief, { key, unless }: Spec | Feature): boolean => {
  if (!unless || textOf(record, unless.spec as SpecKey) !== unless.is) return false;
  const written = isSpecKey(key) ? record.specs[key] : record.features[key];
  return written === undefined;
};

/**
 * Whether there is anything to know of an entry on this unit: not of the awning's length where there is no
 * awning, nor of whatever is part of a part of it; not of a second axle's tires where there is one axle; not of
 * a tank where the heater is tankless. What was written all the same stays in sight, to be objected to and corrected.
 */
export const applies = (record: Brief, entry: Spec | Feature): boolean => {
  const axles = howMany(record, 'axleRating') ?? 1;
  if ((entry.fromAxles ?? 1) > axles) return false;
  if (isRuledOut(record, entry)) return false;
  if (entry.partOf === undefined) return true;
  const whole = featureEntry(entry.partOf as FeatureKey);
  return record.features[whole.key]?.value.state !== 'none' && applies(record, whole);
};

/** What of a thing's kind words may hang on: its choice, or whether there are one or several. */
const kindIn = (record: Pick<Brief, 'specs'>, key: SpecKey): string | undefined => {
  const value = record.specs[key]?.value;
  if (value?.kind === 'choice') return value.choice;
  if (value?.kind !== 'counted') return undefined;
  return value.count > 1 ? 'several' : 'one';
};

/** Whether a thing is of a kind, or nobody knows which and it need not be known. */
export const isOfKind = (
  record: Pick<Brief, 'specs'>,
  { spec, is, known }: Omit<WordsIf, 'words'>,
): boolean => {
  const kind = isSpecKey(spec) ? kindIn(record, spec) : undefined;
  return kind === undefined ? known !== true : is.includes(kind);
};

/** A caution or a look-alike as it holds for this unit, by the kind that is recorded; undefined where none does. */
export const adviceFor = (
  record: Pick<Brief, 'specs'>,
  advice: Advice | undefined,
): string | undefined => {
  if (advice === undefined || typeof advice === 'string') return advice;
  const words = advice.filter((row) => isOfKind(record, row)).map((row) => row.words);
  return words.length > 0 ? words.join(' ') : undefined;
};

const isOurs = (key: string): boolean => isSpecKey(key) && specEntry(key).ours === true;

/** The keys that are nobody's business but the yard's. */
export const ourKeys: readonly string[] = specs.filter((s) => s.ours).map((s) => s.key);

/** A record without the yard's own figures: for guests and for whatever is published. */
export const withoutOurs = (record: UnitRecord): UnitRecord => ({
  ...record,
  specs: Object.fromEntries(Object.entries(record.specs).filter(([key]) => !isOurs(key))),
});

/** What people call the unit: series and floor plan, else its stock number, else what is missing. */
export const nameOf = (record: Pick<Basics, 'specs'>): string => {
  const name = [textOf(record, 'series'), textOf(record, 'floorPlan')].filter(Boolean).join(' ');
  return name || textOf(record, 'stockNumber') || 'Unnamed unit';
};

/** Stock number, year, new or used: what stands under the name. */
export const particularsOf = (record: Pick<Basics, 'specs'>): string =>
  [textOf(record, 'stockNumber'), textOf(record, 'modelYear'), textOf(record, 'condition')]
    .filter(Boolean)
    .join(' · ');
