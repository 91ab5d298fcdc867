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

type Versions = Partial<Record<SpecKey, number>>;

/** What is typed of a label, by spec. */
export type LabelDraft = Partial<Record<SpecKey, string>> & {
  /** The versions that were on the screen when the typing began: what others do meanwhile is not overwritten. */
  readonly basedOn?: Versions;
};

const versionIn = (record: UnitRecord, key: SpecKey): number => record.specs[key]?.version ?? 0;

/** A label with more typed, or scanned, of it. */
export const withTyped = (
  draft: LabelDraft,
  texts: Partial<Record<SpecKey, string>>,
  record: UnitRecord,
): LabelDraft => {
  const begun = (Object.keys(texts) as SpecKey[])
    .filter((key) => !draft[key])
    .map((key) => [key, versionIn(record, key)]);
  return { ...draft, ...texts, basedOn: { ...draft.basedOn, ...Object.fromEntries(begun) } };
};

/** What was typed, without what is empty. */
export const textsIn = ({ basedOn: _, ...texts }: LabelDraft): readonly [string, string][] =>
  Object.entries(texts).filter(([, text]) => text);

interface Reading {
  readonly key: SpecKey;
  readonly value: SpecValue;
}

/** What was read off a label, and whether something typed can’t be read. */
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
export const labelChanges = (
  record: UnitRecord,
  read: readonly Reading[],
  basedOn: Versions = {},
): readonly Change[] =>
  read.map(({ key, value }) => ({
    part: 'specs',
    key,
    value,
    how: 'read',
    basedOn: basedOn[key] ?? versionIn(record, key),
  }));

/** What is otherwise than it was read before, in words: `GVWR: 7,490 lb now, 7,000 lb before`. */
export const otherReadingWords = ({ key, before, now }: OtherReading, system: System): string =>
  `${specEntry(key).label}: ${formatSpec(key, now, system, 'read')} now, ${formatSpec(key, before, system, 'read')} before`;
