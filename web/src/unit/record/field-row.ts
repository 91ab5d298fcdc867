import type { System } from '@fair-gable/core/base/quantity';
import {
  isFitted,
  knownBy,
  type Feature,
  type HowKnown,
  type Spec,
} from '@fair-gable/core/unit/catalog';
import {
  fieldText,
  whoBriefly,
  type Change,
  type Entry,
  type FeatureValue,
  type SpecValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';

/** Keeps a change of a field; false where that was refused. */
export type KeepField = (change: Change, what: string) => Promise<boolean>;

/** The field of a record that a row is of: a spec, or a feature. */
export type FieldPart = 'specs' | 'features';

/** What is known of a row's field; undefined where nothing is. */
export const entryAt = (
  record: UnitRecord,
  part: FieldPart,
  { key }: Spec | Feature,
): Entry<SpecValue | FeatureValue> | undefined =>
  (record[part] as Readonly<Record<string, Entry<SpecValue | FeatureValue>>>)[key];

const wordOf = (how: HowKnown): string => knownBy.find(({ key }) => key === how)?.word ?? how;

/**
 * What others say of a field that is not the same, a line each.
 * @example 'also: 2,450 lb, told, Ines'
 */
export const otherStatements = (
  record: UnitRecord,
  part: FieldPart,
  entry: Spec | Feature,
  system: System,
): readonly string[] =>
  (entryAt(record, part, entry)?.others ?? []).map((other) => {
    const text = fieldText(part, entry.key, other.value, other.how, system);
    return `also: ${text}, ${wordOf(other.how)}, ${whoBriefly(other)}`;
  });

/** Whether one may say where it is on this unit: it has a place, and it is there. */
export const mayBePlaced = (
  record: UnitRecord,
  part: FieldPart,
  entry: Spec | Feature,
): boolean => {
  const known = entryAt(record, part, entry)?.value;
  if (!entry.located || !known) return false;
  return 'state' in known ? isFitted(known.state) : true;
};

/** Under which names what is typed of a row waits, while the row is closed. */
export const draftPlaces = (unit: string, part: FieldPart, { key }: Spec | Feature) => [
  `${unit}.${part}.${key}`,
  `${unit}.places.${key}`,
];
