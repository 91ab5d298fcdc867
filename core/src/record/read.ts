import {
  isFitted,
  isSpecKey,
  specEntry,
  specs,
  type Feature,
  type FeatureKey,
  type HowKnown,
  type Spec,
  type SpecKey,
} from '../catalogue/index.ts';
import { formatCounted, formatQuantity, formatWhole, type System } from '../quantity/index.ts';
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

/** A text, choice or plain number as text; undefined when it is not known. */
export const textOf = (record: UnitRecord, key: SpecKey): string | undefined => {
  const value = record.specs[key]?.value;
  if (value?.kind === 'text') return value.text;
  if (value?.kind === 'choice') return value.choice;
  return value?.kind === 'number' ? String(value.number) : undefined;
};

/** How a spec is known; undefined when it is not. */
export const howOf = (record: UnitRecord, key: SpecKey): HowKnown | undefined =>
  record.specs[key]?.how;

/** Whether the thing itself is on the unit. */
export const hasFeature = (record: UnitRecord, key: FeatureKey): boolean =>
  isFitted(record.features[key]?.value.state);

/** Whether there is anything to know of an entry on this unit: not of the awning's length where there is no awning. */
export const applies = (record: UnitRecord, entry: Spec | Feature): boolean => {
  const whole = entry.partOf as FeatureKey | undefined;
  return whole === undefined || record.features[whole]?.value.state !== 'none';
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

const bareSpec = (key: SpecKey, value: SpecValue, system: System): string => {
  const kind = specEntry(key).value;
  switch (value.kind) {
    case 'text':
      return value.text;
    case 'number':
      return kind.kind === 'number' && kind.money
        ? formatWhole(value.number)
        : String(value.number);
    case 'choice':
      return value.choice;
    case 'quantity':
      return kind.kind === 'quantity' ? formatQuantity(value.amount, kind.display, system) : '';
    case 'counted':
      return kind.kind === 'counted' ? formatCounted(value, kind.display, system) : '';
  }
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
