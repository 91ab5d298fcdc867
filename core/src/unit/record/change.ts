import { z } from 'zod';
import {
  featureEntry,
  specEntry,
  stateLabel,
  statesOf,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type SpecKey,
  type ValueKind,
} from '../catalog/index.ts';
import { isDate } from '../../base/dates/index.ts';
import { problemOf, type Problem } from '../../base/problems/index.ts';
import { isSameValue, statementsOf, withStatement } from './evidence.ts';
import type { Known } from './brief.ts';
import { partRow, parts, type FieldValue, type Part, type ValueOf } from './parts/index.ts';
import { howKnownSchema, type Entry, type Statement, type UnitRecord } from './schema.ts';
import type { SpecValue } from './values/spec.ts';
import { distanceProblem } from './typed-place.ts';

const changeOf = <P extends Part, V extends z.ZodType>(part: P, value: V) => ({
  part: z.literal(part),
  key: z.string().max(90),
  /** null takes the value back: the field is not known again. */
  value: value.nullable(),
  how: howKnownSchema,
  /** The version this change was based on; 0 where nothing was known. */
  basedOn: z.number().int().min(0),
});

const disputableOf = <P extends Part, V extends z.ZodType>(part: P, value: V) =>
  z.strictObject({
    ...changeOf(part, value),
    /**
     * All that is to stand beside the value from now on. Left out, the value joins what is known:
     * it corrects its own source, and stands beside others that say something else.
     */
    others: z
      .array(z.strictObject({ value, how: howKnownSchema }))
      .max(5)
      .optional(),
    /** Which of these sources is the one that was heard just now. */
    said: howKnownSchema.optional(),
  });

const isDisputable = (part: Part): boolean => partRow(part).isDisputable === true;

const ofPart = (part: Part) => {
  const { schema } = partRow(part);
  return isDisputable(part) ? disputableOf(part, schema) : z.strictObject(changeOf(part, schema));
};

/** One field of one unit, changed. */
export const changeSchema = z
  .discriminatedUnion('part', parts.map(ofPart) as [ReturnType<typeof ofPart>])
  .superRefine((change, context) => {
    const found = changeProblem(change as Change);
    if (found) {
      context.addIssue({ code: 'custom', message: found.code, params: found, path: ['value'] });
    }
  });

export type Change = { [P in Part]: ChangeTo<P, ValueOf<P>> }[Part];

interface ChangeTo<P extends Part, V> {
  readonly part: P;
  readonly key: string;
  readonly value: V | null;
  readonly how: Entry<V>['how'];
  readonly basedOn: number;
  readonly others?: readonly Known<V>[] | undefined;
  readonly said?: HowKnown | undefined;
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

type Limited<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;
type Held<K extends ValueKind['kind']> = Extract<SpecValue, { kind: K }>;

/** What a value of the right kind may still have wrong, kind by kind. */
const limits: {
  readonly [K in ValueKind['kind']]?: (value: Held<K>, kind: Limited<K>) => Problem | undefined;
} = {
  text: ({ text }, { limit }) =>
    text.length > limit ? problemOf('too-long', { length: text.length, limit }) : undefined,
  number: ({ number }, kind) =>
    number > numberLimit(kind) || (number === 0 && kind.plausible.from > 0)
      ? problemOf('impossible', { value: number, limit: numberLimit(kind) })
      : undefined,
  choice: ({ choice }, { choices }) => {
    const keys = choices.map((c) => c.key);
    const params = { typed: choice, choices: choices.map((c) => c.label).join(', ') };
    return keys.includes(choice) ? undefined : problemOf('not-a-choice', params);
  },
  quantity: ({ amount, to }, { plausible }) => {
    const isNothing = amount === 0 && plausible.from > 0;
    const isBackward = to !== undefined && to <= amount;
    return isNothing || isBackward
      ? problemOf('impossible', { value: isBackward ? to : amount, limit: 1_000_000 })
      : undefined;
  },
  size: ({ sides }, kind) =>
    sides.length === kind.sides.length
      ? undefined
      : problemOf('sides', { typed: sides.join(' x '), count: kind.sides.length }),
  date: ({ date }, { to }) =>
    isDate(date, to)
      ? undefined
      : problemOf('not-a-date', {
          typed: date,
          example: to === 'month' ? '2025-03' : '2026-03-14',
        }),
};

/** What is wrong with a spec's value for its field; undefined when nothing is. */
export const specProblem = (key: SpecKey, value: SpecValue): Problem | undefined => {
  const kind = specEntry(key).value;
  if (kind.kind !== value.kind) return problemOf('wrong-kind', { wanted: wanted[kind.kind] });
  const limit = limits[kind.kind] as
    ((value: SpecValue, kind: ValueKind) => Problem | undefined) | undefined;
  return limit?.(value, kind);
};

/** What is wrong with a feature's state for its kind; undefined when nothing is. */
export const stateProblem = (key: FeatureKey, state: FeatureState): Problem | undefined => {
  const choices = statesOf(featureEntry(key).kind);
  if (choices.some((choice) => choice.key === state)) return undefined;
  return problemOf('not-a-choice', {
    typed: stateLabel(state),
    choices: choices.map(({ label }) => label).join(', '),
  });
};

/** What is wrong with a change, apart from its version; undefined when nothing is. */
export const changeProblem = (change: Change): Problem | undefined => {
  if (!partRow(change.part).isKey(change.key)) {
    return { code: 'unknown-field', params: { field: `${change.part}.${change.key}` } };
  }
  if (!change.value) return undefined;
  if (change.part === 'places') return distanceProblem(change.value.back, 'us');
  if (change.part === 'features') {
    const states = [change.value, ...(change.others ?? []).map(({ value }) => value)];
    return states.map(({ state }) => stateProblem(change.key as FeatureKey, state)).find(Boolean);
  }
  if (change.part !== 'specs') return undefined;
  const all = [change.value, ...(change.others ?? []).map((other) => other.value)];
  return all.map((value) => specProblem(change.key as SpecKey, value)).find(Boolean);
};

type Entries = Readonly<Partial<Record<string, Entry<FieldValue>>>>;

/** The entry a field has now; undefined when it is not known. */
export const entryOf = (
  record: UnitRecord,
  part: Part,
  key: string,
): Entry<FieldValue> | undefined => (record[part] as Entries)[key];

/** What a change wants said of a field from now on, the best known first; undefined when it is taken back. */
const statementsAfter = (
  before: Entry<FieldValue> | undefined,
  { part, key, value, how, others }: Change,
): readonly [Known<FieldValue>, ...Known<FieldValue>[]] | undefined => {
  if (value === null) return undefined;
  const said: Known<FieldValue> = { value, how };
  if (others) return [said, ...others];
  return isDisputable(part)
    ? withStatement<FieldValue, Known<FieldValue>>(statementsOf(before), said, key)
    : [said];
};

const isSame = (a: Known<FieldValue>, b: Known<FieldValue>): boolean =>
  a.how === b.how && isSameValue(a.value, b.value);

/**
 * A field after a change; undefined when it is taken back. Who said something before and says it still
 * is named as before.
 * @param by the person's name
 * @param at ISO time
 */
export const entryAfter = (
  before: Entry<FieldValue> | undefined,
  change: Change,
  { by, at, version }: { readonly by: string; readonly at: string; readonly version: number },
): Entry<FieldValue> | undefined => {
  const statements = statementsAfter(before, change);
  if (!statements) return undefined;
  const had = statementsOf(before);
  const asBefore = (said: Known<FieldValue>) => had.find((s) => isSame(s, said));
  // Where nothing new is said somebody has looked again, and the shown value is signed anew.
  const isNews = statements.some((said) => !asBefore(said));
  const signed = statements.map(
    ({ value, how }, i) =>
      (isNews || i > 0 ? asBefore({ value, how }) : undefined) ?? { value, how, by, at },
  );
  const [shown, ...others] = signed as [Statement<FieldValue>, ...Statement<FieldValue>[]];
  return others.length > 0 ? { ...shown, version, others } : { ...shown, version };
};

/**
 * What a change says that was not said before, for the history; the shown value where all was.
 */
export const newlyStated = (
  before: Entry<FieldValue> | undefined,
  after: Entry<FieldValue>,
): Known<FieldValue> => {
  const had = statementsOf(before);
  return statementsOf(after).find((s) => !had.some((h) => isSame(h, s))) ?? after;
};

/**
 * A record with one change applied; the given one is left unchanged.
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
  const { part, key } = change;
  const before = entryOf(record, part, key);
  const after = entryAfter(before, change, { by, at, version });
  const rest = Object.entries(record[part] as Entries).filter(([other]) => other !== key);
  return { ...record, [part]: Object.fromEntries(after ? [...rest, [key, after]] : rest) };
};

const unsigned = ({ value, how }: Known<FieldValue>): Known<FieldValue> => ({ value, how });

/**
 * A change with all that is to be said of its field written out, so that it can wait, be replaced by a
 * later one, and be sent again without losing what others said.
 */
export const writtenOut = (record: UnitRecord, change: Change): Change => {
  if (!isDisputable(change.part) || change.others || change.value === null) return change;
  const statements = statementsAfter(entryOf(record, change.part, change.key), change);
  if (!statements) return change;
  const [{ value, how }, ...others] = statements;
  return { ...change, value, how, others: others.map(unsigned), said: change.how } as Change;
};

/** What somebody says by a change, which a better source may keep from being shown. */
export const statedBy = ({
  value,
  how,
  others = [],
  said = how,
}: Change): { readonly value: FieldValue | null; readonly how: HowKnown } =>
  (others as readonly Known<FieldValue>[]).find((other) => other.how === said) ?? { value, how };

/** Only how a field is known is put right: what is shown stays, known in another way, and others beside it. */
export const knownOtherwise = (
  part: 'specs' | 'features',
  key: string,
  entry: Entry<FieldValue>,
  how: HowKnown,
): Change => {
  const others = (entry.others ?? []).filter((other) => other.how !== how).map(unsigned);
  return { part, key, value: entry.value, how, basedOn: entry.version, others } as Change;
};

/**
 * The change that takes another back: the field becomes what it was before.
 * @param before the record before the change
 * @param versionNow the field's version after it
 */
export const inverseOf = (before: UnitRecord, change: Change, versionNow: number): Change => {
  const { part, key, how } = change;
  const old = entryOf(before, part, key);
  const back = { part, key, value: old?.value ?? null, how: old?.how ?? how, basedOn: versionNow };
  if (!old || !isDisputable(part)) return back as Change;
  return { ...back, others: (old.others ?? []).map(unsigned) } as Change;
};
