import { z } from 'zod';
import { contract } from '../../base/contract/index.ts';
import { isFeatureKey, isSpecKey } from '../catalog/index.ts';
import { howKnownSchema } from '../record/index.ts';
import type { Column } from './columns.ts';

/** The longest a list may be, bytes. */
export const listLimit = 20_000_000;

const column = z
  .string()
  .max(60)
  .refine((key): key is Column & string => isSpecKey(key) || isFeatureKey(key), 'No such field.')
  .nullable();

const list = z.strictObject({
  /** The list itself, comma, semicolon or tab between. */
  text: z.string().max(listLimit),
  columns: z.array(column).max(1000).optional(),
  system: z.enum(['us', 'metric']),
  how: howKnownSchema,
  /** What stands before the decimals; left out, it is decided by the list. */
  decimal: z.enum(['point', 'comma']).optional(),
});

const summary = z.strictObject({
  rows: z.number().int(),
  fresh: z.number().int(),
  changed: z.number().int(),
  same: z.number().int(),
  problems: z.array(
    z.strictObject({ line: z.number().int(), column: z.number().int(), sentence: z.string() }),
  ),
  problemCount: z.number().int(),
  /** Cells that are left out, and lines of which nobody can tell whose they are. */
  badCells: z.number().int(),
  badLines: z.number().int(),
});

const understood = z.strictObject({
  says: z.string().nullable(),
  before: z.string().nullable(),
});

/** A list from elsewhere, looked at and taken in. */
export const stockListApi = contract({
  'POST /api/stock-list/preview': {
    body: list,
    answer: summary.extend({
      headings: z.array(z.string()),
      columns: z.array(column),
      sample: z.array(z.array(z.string())),
      decimal: z.enum(['point', 'comma']),
      understood: z
        .array(z.array(understood))
        .describe('Of the same lines as `sample`: what was understood, and what stands there now.'),
    }),
  },
  'POST /api/stock-list': { body: list.extend({ onlyGood: z.boolean() }), answer: summary },
});
