import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { stations } from '../../unit/catalog/index.ts';
import { briefParts, howKnownSchema } from '../../unit/record/index.ts';
import type { UnitSummary } from './summary.ts';

const count = z.number().int().min(0);
/** The values are those of a record; they are checked when they are written, and not again here. */
const values = z.record(z.string(), z.unknown());
const known = z.record(z.string(), z.looseObject({ how: howKnownSchema }));
const byHow = z.partialRecord(howKnownSchema, values);
const need = z.strictObject({
  urgency: z.enum(['now', 'soon', 'none']),
  text: z.string(),
  station: z.enum(stations.map(({ key }) => key)).optional(),
});
const verdict = z.strictObject({
  day: z.iso.date(),
  need,
  left: z.strictObject({ disagree: count, confirm: count, look: count, prep: count }),
  followsSheet: z.boolean(),
});
const summary = z.strictObject({
  id: z.uuid(),
  revision: count,
  record: z.strictObject({ specs: known, questions: known }),
  packed: z.strictObject(Object.fromEntries(briefParts.map((part) => [part, byHow]))),
  verdict,
});

/** How many summaries are read at a time. */
export const mostSummaries = 500;

/** The yard as its page shows it. */
export const summaryApi = contract({
  'GET /api/units/summaries': {
    query: z.strictObject({
      from: z.coerce.number().int().min(0).max(1_000_000).default(0),
      limit: z.coerce.number().int().min(1).max(mostSummaries).default(mostSummaries),
    }),
    answer: z.strictObject({
      total: count,
      units: z.array(shaped<UnitSummary>(summary)),
    }),
  },
});
