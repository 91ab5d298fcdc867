import type { System } from '@fair-gable/core/base/quantity';
import { specEntry, type Spec, type SpecKey } from '@fair-gable/core/unit/catalog';
import {
  formatSpec,
  type Change,
  type SpecValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import type { OtherReading } from '@fair-gable/core/unit/round';
import { readTyped } from '../record/typing.ts';

/** What is typed of a label, by spec. */
export type LabelDraft = Partial<Record<SpecKey, string>>;

interface Reading {
  readonly key: SpecKey;
  readonly value: SpecValue;
}

/** What was read off a label, and whether something typed cannot be read. */
export const labelTyped = (
  fields: readonly Spec[],
  texts: LabelDraft,
  system: System,
): { readonly read: readonly Reading[]; readonly isBroken: boolean } => {
  const typed = fields.map((spec) => ({
    key: spec.key as SpecKey,
    ...readTyped(spec, texts[spec.key as SpecKey] ?? '', system),
  }));
  return {
    read: typed.flatMap(({ key, value }) => (value ? [{ key, value }] : [])),
    isBroken: typed.some(({ problem }) => problem !== ''),
  };
};

/** The changes that keep what was read off a label. */
export const labelChanges = (record: UnitRecord, read: readonly Reading[]): readonly Change[] =>
  read.map(({ key, value }) => ({
    part: 'specs',
    key,
    value,
    how: 'read',
    basedOn: record.specs[key]?.version ?? 0,
  }));

/** What is otherwise than it was read before, in words: `Gross weight rating: 7,490 lb now, 7,000 lb before`. */
export const otherReadingWords = ({ key, before, now }: OtherReading, system: System): string =>
  `${specEntry(key).label}: ${formatSpec(key, now, system, 'read')} now, ${formatSpec(key, before, system, 'read')} before`;
