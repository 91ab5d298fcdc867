import { z } from 'zod';
import { specEntry, type SpecKey, type ValueKind } from '../catalogue/index.ts';
import { isDate } from '../dates/index.ts';
import type { Problem } from '../problems/index.ts';
import {
  featureValueSchema,
  howKnownSchema,
  keyTests,
  placeSchema,
  settlementSchema,
  specValueSchema,
  type Entry,
  type FeatureValue,
  type Place,
  type Settlement,
  type SpecValue,
  type UnitRecord,
} from './schema.ts';

/** The four kinds of field, each a part of the record. */
export const parts = ['specs', 'features', 'places', 'settlements'] as const;
export type Part = (typeof parts)[number];

export type FieldValue = SpecValue | FeatureValue | Place | Settlement;

const changeOf = <P extends Part, V extends z.ZodType>(part: P, value: V) =>
  z.strictObject({
    part: z.literal(part),
    key: z.string().max(90),
    /** null takes the value back: the field is not known again. */
    value: value.nullable(),
    how: howKnownSchema,
    /** The version this change was based on; 0 where nothing was known. */
    basedOn: z.number().int().min(0),
  });

/** One field of one unit, changed. */
export const changeSchema = z
  .discriminatedUnion('part', [
    changeOf('specs', specValueSchema),
    changeOf('features', featureValueSchema),
    changeOf('places', placeSchema),
    changeOf('settlements', settlementSchema),
  ])
  .superRefine((change, context) => {
    const found = changeProblem(change);
    if (found) {
      context.addIssue({ code: 'custom', message: found.code, params: found, path: ['value'] });
    }
  });

export type Change =
  | ChangeTo<'specs', SpecValue>
  | ChangeTo<'features', FeatureValue>
  | ChangeTo<'places', Place>
  | ChangeTo<'settlements', Settlement>;

interface ChangeTo<P extends Part, V> {
  readonly part: P;
  readonly key: string;
  readonly value: V | null;
  readonly how: Entry<V>['how'];
  readonly basedOn: number;
}

const wanted: Readonly<Record<ValueKind['kind'], string>> = {
  text: 'a text',
  number: 'a plain number',
  choice: 'one of its choices',
  quantity: 'a quantity',
  counted: 'a count and a size',
  size: 'its sides',
  date: 'a date',
};

/** Years have four digits; sums may have six. */
const numberLimit = (kind: Extract<ValueKind, { kind: 'number' }>): number =>
  kind.money ? 999_999 : 9999;

const problem = (code: Problem['code'], params: Problem['params']): Problem => ({ code, params });

type Limited<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;
type Held<K extends ValueKind['kind']> = Extract<SpecValue, { kind: K }>;

/** What a value of the right kind may still have wrong, kind by kind. */
const limits: {
  readonly [K in ValueKind['kind']]?: (value: Held<K>, kind: Limited<K>) => Problem | undefined;
} = {
  text: ({ text }, { limit }) =>
    text.length > limit ? problem('too-long', { length: text.length, limit }) : undefined,
  number: ({ number }, kind) =>
    number > numberLimit(kind) || (number === 0 && kind.plausible.from > 0)
      ? problem('impossible', { value: number, limit: numberLimit(kind) })
      : undefined,
  choice: ({ choice }, { choices }) => {
    const keys = choices.map((c) => c.key);
    const params = { typed: choice, choices: choices.map((c) => c.label).join(', ') };
    return keys.includes(choice) ? undefined : problem('not-a-choice', params);
  },
  size: ({ sides }, kind) =>
    sides.length === kind.sides.length
      ? undefined
      : problem('sides', { typed: sides.join(' x '), count: kind.sides.length }),
  date: ({ date }, { to }) =>
    isDate(date, to)
      ? undefined
      : problem('not-a-date', {
          typed: date,
          example: to === 'month' ? '2025-03' : '2026-03-14',
        }),
};

/** What is wrong with a spec's value for its field; undefined when nothing is. */
export const specProblem = (key: SpecKey, value: SpecValue): Problem | undefined => {
  const kind = specEntry(key).value;
  if (kind.kind !== value.kind) return problem('wrong-kind', { wanted: wanted[kind.kind] });
  const limit = limits[kind.kind] as
    ((value: SpecValue, kind: ValueKind) => Problem | undefined) | undefined;
  return limit?.(value, kind);
};

/** What is wrong with a change, apart from its version; undefined when nothing is. */
export const changeProblem = (change: Change): Problem | undefined => {
  if (!keyTests[change.part](change.key)) {
    return { code: 'unknown-field', params: { field: `${change.part}.${change.key}` } };
  }
  if (change.part !== 'specs' || !change.value) return undefined;
  return specProblem(change.key as SpecKey, change.value);
};

type Entries = Readonly<Partial<Record<string, Entry<FieldValue>>>>;

/** The entry a field has now; undefined when it is not known. */
export const entryOf = (
  record: UnitRecord,
  part: Part,
  key: string,
): Entry<FieldValue> | undefined => (record[part] as Entries)[key];

/**
 * A record with one change applied; the given one is left as it was.
 * @param by the person's name
 * @param at ISO time
 * @param version of the field after the change; by default one more than it had
 */
export const applyChange = (
  record: UnitRecord,
  change: Change,
  by: string,
  at: string,
  version = (entryOf(record, change.part, change.key)?.version ?? 0) + 1,
): UnitRecord => {
  const { part, key, value, how } = change;
  const others = Object.entries(record[part] as Entries).filter(([other]) => other !== key);
  const own = value ? [[key, { value, how, by, at, version }]] : [];
  return { ...record, [part]: Object.fromEntries([...others, ...own]) };
};

/**
 * The change that takes another back: the field as it was before.
 * @param before the record before the change
 * @param versionNow the field's version after it
 */
export const inverseOf = (before: UnitRecord, change: Change, versionNow: number): Change => {
  const old = entryOf(before, change.part, change.key);
  return {
    ...change,
    value: old?.value ?? null,
    how: old?.how ?? change.how,
    basedOn: versionNow,
  } as Change;
};
