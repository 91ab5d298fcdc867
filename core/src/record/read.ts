import {
  featureEntry,
  isFitted,
  isSpecKey,
  specEntry,
  specs,
  type Feature,
  type FeatureKey,
  type HowKnown,
  type Spec,
  type SpecKey,
  type ValueKind,
} from '../catalogue/index.ts';
import { formatDate } from '../dates/index.ts';
import {
  formatCounted,
  formatQuantity,
  formatSize,
  formatWhole,
  type System,
} from '../quantity/index.ts';
import type { SpecValue, UnitRecord } from './schema.ts';

/** A quantity in internal units; undefined when it is not known. */
export const amountOf = (record: UnitRecord, key: SpecKey): number | undefined => {
  const value = record.specs[key]?.value;
  return value?.kind === 'quantity' ? value.amount : undefined;
};

/** A counted size; undefined when it is not known. */
export const countedOf = (
  record: UnitRecord,
  key: SpecKey,
): { readonly count: number; readonly each: number } | undefined => {
  const value = record.specs[key]?.value;
  return value?.kind === 'counted' ? value : undefined;
};

/** The sides of a thing; undefined when they are not known. */
export const sidesOf = (record: UnitRecord, key: SpecKey): readonly number[] | undefined => {
  const value = record.specs[key]?.value;
  return value?.kind === 'size' ? value.sides : undefined;
};

/** A text, choice, date or plain number as text; undefined when it is not known. */
export const textOf = (record: UnitRecord, key: SpecKey): string | undefined => {
  const value = record.specs[key]?.value;
  if (value?.kind === 'text') return value.text;
  if (value?.kind === 'choice') return value.choice;
  if (value?.kind === 'date') return value.date;
  return value?.kind === 'number' ? String(value.number) : undefined;
};

/** How a spec is known; undefined when it is not. */
export const howOf = (record: UnitRecord, key: SpecKey): HowKnown | undefined =>
  record.specs[key]?.how;

/** Whether the thing itself is on the unit. */
export const hasFeature = (record: UnitRecord, key: FeatureKey): boolean =>
  isFitted(record.features[key]?.value.state);

const isRuledOut = (record: UnitRecord, { key, unless }: Spec | Feature): boolean => {
  if (!unless || textOf(record, unless.spec as SpecKey) !== unless.is) return false;
  const written = isSpecKey(key) ? record.specs[key] : record.features[key];
  return written === undefined;
};

/**
 * Whether there is anything to know of an entry on this unit: not of the awning's length where there is no
 * awning, nor of whatever is part of a part of it; not of a second axle's tyres where there is one axle; not of
 * a tank where the heater is tankless. What was written all the same stays in sight, to be objected to and corrected.
 */
export const applies = (record: UnitRecord, entry: Spec | Feature): boolean => {
  const axles = countedOf(record, 'axleRating')?.count ?? 1;
  if ((entry.fromAxles ?? 1) > axles) return false;
  if (isRuledOut(record, entry)) return false;
  if (entry.partOf === undefined) return true;
  const whole = featureEntry(entry.partOf as FeatureKey);
  return record.features[whole.key]?.value.state !== 'none' && applies(record, whole);
};

/**
 * A spec's value as the trade writes it; a guess bears “about”, everywhere.
 * @example formatSpec('gvwr', { kind: 'quantity', amount: 7490 }, 'us', 'read') // '7,490 lb'
 */
export const formatSpec = (
  key: SpecKey,
  value: SpecValue,
  system: System,
  how: HowKnown,
): string => {
  const text = bareSpec(key, value, system);
  return how === 'guessed' ? `about ${text}` : text;
};

const choiceLabel = (
  { choices }: { readonly choices: readonly { key: string; label: string }[] },
  choice: string,
): string => choices.find((c) => c.key === choice)?.label ?? choice;

type Kind<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;
type Value<K extends ValueKind['kind']> = Extract<SpecValue, { kind: K }>;

/** How each kind of value is written. */
const written: {
  readonly [K in ValueKind['kind']]: (value: Value<K>, kind: Kind<K>, system: System) => string;
} = {
  text: ({ text }) => text,
  number: ({ number }, { money }) => (money ? formatWhole(number) : String(number)),
  choice: ({ choice }, kind) => choiceLabel(kind, choice),
  quantity: ({ amount }, { display }, system) => formatQuantity(amount, display, system),
  counted: (value, { display }, system) => formatCounted(value, display, system),
  size: ({ sides }, { display }, system) => formatSize(sides, display, system),
  date: ({ date }) => formatDate(date),
};

/** Nothing for a value of another kind than its field: the record's schema lets none in. */
const bareSpec = (key: SpecKey, value: SpecValue, system: System): string => {
  const kind = specEntry(key).value;
  if (kind.kind !== value.kind) return '';
  const write = written[kind.kind] as (value: SpecValue, kind: ValueKind, system: System) => string;
  return write(value, kind, system);
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
export const nameOf = (record: UnitRecord): string => {
  const name = [textOf(record, 'series'), textOf(record, 'floorPlan')].filter(Boolean).join(' ');
  return name || textOf(record, 'stockNumber') || 'Unit without a name';
};

/** Stock number, year, new or used: what stands under the name. */
export const particularsOf = (record: UnitRecord): string =>
  [textOf(record, 'stockNumber'), textOf(record, 'modelYear'), textOf(record, 'condition')]
    .filter(Boolean)
    .join(' · ');
