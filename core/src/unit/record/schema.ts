import { z } from 'zod';
import { knownBy, type HowKnown } from '../catalog/index.ts';
import { partRow, parts, type KeyOf, type Part, type ValueOf } from './parts/index.ts';
import { keysOf } from './values/spot.ts';

export const howKnownSchema = z.enum(keysOf<HowKnown>(knownBy));

const statementOf = <T extends z.ZodType>(value: T) => ({
  value,
  how: howKnownSchema,
  by: z.string().min(1).max(80),
  at: z.iso.datetime(),
  /** Who and when are as a file says that was taken in: nobody here saw it written. */
  filed: z.literal(true).optional(),
});

/** Counts the changes of this field, from 1. */
const version = z.number().int().min(1);

const entryOf = <T extends z.ZodType>(value: T) =>
  z.strictObject({ ...statementOf(value), version });

/** A field of which several sources may speak; each way of knowing has one word. */
const disputableOf = <T extends z.ZodType>(value: T) =>
  z.strictObject({
    ...statementOf(value),
    version,
    /** What worse sources say that is not the same, best first. */
    others: z
      .array(z.strictObject(statementOf(value)))
      .max(5)
      .optional(),
  });

/** What several people may write at the same time in one field, and what is one thing at a time. */
const fieldOf = (part: Part): z.ZodType => {
  const { schema, isDisputable } = partRow(part);
  return isDisputable ? disputableOf(schema) : entryOf(schema);
};

/** These have been in every unit file from the first; a file may be older than the others. */
const fromTheFirst: ReadonlySet<Part> = new Set(['specs', 'features', 'places', 'settlements']);

const fieldsOf = (part: Part) => {
  const fields = z.record(z.string(), fieldOf(part));
  return fromTheFirst.has(part) ? fields : fields.default({});
};

/** What one source says of a field, who brought it, and when. */
export interface Statement<T> {
  readonly value: T;
  readonly how: HowKnown;
  readonly by: string;
  readonly at: string;
  readonly filed?: true | undefined;
}

/** A field as it is known: what the best source says, and what others say that is not the same. */
export interface Entry<T> extends Statement<T> {
  readonly version: number;
  readonly others?: readonly Statement<T>[] | undefined;
}

type Held<K extends string, V> = Readonly<Partial<Record<K, Entry<V>>>>;

export type UnitRecord = { readonly [P in Part]: Held<KeyOf<P>, ValueOf<P>> };

/** A unit's record: whatever is not here is not known. */
export const recordSchema = z.strictObject(
  Object.fromEntries(parts.map((part) => [part, fieldsOf(part)])),
) as unknown as z.ZodType<UnitRecord>;

export const emptyRecord = Object.fromEntries(
  parts.map((name) => [name, {}]),
) as unknown as UnitRecord;
