import type { z } from 'zod';
import type { System } from '../../../base/quantity/index.ts';
import type { Right } from '../../../base/rights/index.ts';
import type { HowKnown } from '../../catalog/index.ts';

/** Where a value stands, for whoever puts it into words. */
export interface Telling {
  readonly key: string;
  readonly how: HowKnown;
  readonly system: System;
  /** What something else of the record is called: `specs.gvwr`. */
  readonly called: (target: string) => string;
}

/**
 * A part of a record: a map of fields of one sort. All else follows from it: what a record may hold, edits, clashes, histories,
 * unit files, who may change it, and the database's list of parts.
 */
export interface RecordPart<V, K extends string = string> {
  readonly schema: z.ZodType<V>;
  /** Which keys its fields have. */
  readonly isKey: (key: string) => key is K;
  /** What a field is called, for histories and lists. */
  readonly label: (key: string) => string;
  /** A value in words. */
  readonly text: (value: V, telling: Telling) => string;
  /** The right it takes to change a field, where it takes more than to record. */
  readonly right?: Right | ((key: string) => Right);
  /** Several sources may speak of a field, each way of knowing with one word; otherwise a field is one thing at a time. */
  readonly isDisputable?: true;
  /** A field as there may be one, for the documents and the tests. */
  readonly example: readonly [key: K, value: V];
}

/** Fixes the types of a part. */
export const part = <V, K extends string>(row: RecordPart<V, K>): RecordPart<V, K> => row;
