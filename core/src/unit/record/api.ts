import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { changeSchema, type Change } from './change.ts';
import { editSchema, historyRowSchema, type Edit, type HistoryRow } from './edit.ts';
import { parts } from './parts/index.ts';
import { recordSchema, type UnitRecord } from './schema.ts';

/** A unit of a yard with its record. */
export interface YardUnit {
  readonly id: string;
  readonly record: UnitRecord;
}

/** A unit as it is now. */
export interface UnitNow extends YardUnit {
  /** Counts the changes of its record. */
  readonly revision: number;
}

/** By what a page of the yard is sorted. */
export const unitSorts = ['taken-in', 'name', 'length', 'gvwr', 'year', 'stock-number'] as const;

const unitId = z.strictObject({ id: z.uuid() });
const revision = z.number().int().min(1);
const unitNow = shaped<UnitNow>(z.strictObject({ id: z.uuid(), record: recordSchema, revision }));

const listQuery = z.strictObject({
  from: z.coerce.number().int().min(0).max(1_000_000).default(0),
  limit: z.coerce.number().int().min(1).max(200).default(50),
  sort: z.enum(unitSorts).default('taken-in'),
  order: z.enum(['asc', 'desc']).default('asc'),
  text: z.string().trim().max(80).optional(),
  condition: z.enum(['new', 'used']).optional(),
});

const historyQuery = z.strictObject({
  part: z.enum(parts).optional(),
  key: z.string().max(90).optional(),
  before: z.uuid().optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});

const newUnit = z.strictObject({ id: z.uuid(), changes: z.array(changeSchema).min(1).max(800) });

/** Units, the edits of their records, and what was changed when. */
export const recordApi = contract({
  'GET /api/units': {
    query: listQuery,
    answer: z.strictObject({ total: z.number(), units: z.array(unitNow) }),
  },
  'GET /api/units/:id': { params: unitId, answer: unitNow },
  'GET /api/units/:id/history': {
    params: unitId,
    query: historyQuery,
    answer: z.strictObject({ changes: z.array(shaped<HistoryRow>(historyRowSchema)) }),
  },
  'POST /api/units': {
    body: shaped<{ readonly id: string; readonly changes: readonly Change[] }>(newUnit),
    answer: unitNow,
    makes: 'once',
  },
  'POST /api/units/:id/edits': {
    params: unitId,
    body: shaped<Edit>(editSchema),
    answer: unitNow,
  },
});
