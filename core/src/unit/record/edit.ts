import { z } from 'zod';
import { changeSchema, type Change } from './change.ts';
import { partRow, parts, type FieldValue, type Part } from './parts/index.ts';
import { howKnownSchema, type Entry } from './schema.ts';

/** Fields changed at once: all of them or none. The id lets it be sent twice and made once. */
export const editSchema = z.strictObject({
  id: z.uuid(),
  changes: z.array(changeSchema).min(1).max(800),
});

export interface Edit {
  readonly id: string;
  readonly changes: readonly Change[];
}

const fieldValueSchema = z.union(parts.map((part) => partRow(part).schema));

/** One change that was made, as the history tells it. */
export const historyRowSchema = z.strictObject({
  id: z.uuid(),
  part: z.enum(parts),
  key: z.string(),
  /** null where nothing was known. */
  from: fieldValueSchema.nullable(),
  fromHow: howKnownSchema.nullable(),
  /** null where it was taken back. */
  to: fieldValueSchema.nullable(),
  how: howKnownSchema,
  /** Put beside a better source, which stays shown. */
  beside: z.literal(true).optional(),
  by: z.string(),
  /** The address of the account that did it, for whoever records: a name may be another’s by now. */
  account: z.string().optional(),
  at: z.iso.datetime(),
});

export interface HistoryRow {
  readonly id: string;
  readonly part: Part;
  readonly key: string;
  readonly from: FieldValue | null;
  readonly fromHow: Entry<FieldValue>['how'] | null;
  readonly to: FieldValue | null;
  readonly how: Entry<FieldValue>['how'];
  readonly beside?: true | undefined;
  readonly by: string;
  readonly account?: string | undefined;
  readonly at: string;
}
