import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { walkEventSchema, walkPlanSchema, type WalkEvent, type WalkPlan } from './events.ts';

/** A walk as somebody is told of it. */
export interface YardWalk {
  readonly plan: WalkPlan;
  readonly by: string;
  readonly createdAt: string;
  readonly events: readonly WalkEvent[];
  /** Whether it is theirs: a name may be another’s by now. */
  readonly own: boolean;
  /** The address of whoever’s it is, for whoever records. */
  readonly account?: string;
  /** Milliseconds since the last event came in: where its clock stands now; of a single walk. */
  readonly idle?: number;
}

const one = z.strictObject({ id: z.uuid() });
const plan = shaped<WalkPlan>(walkPlanSchema);
const event = shaped<WalkEvent>(walkEventSchema);

const told = shaped<YardWalk>(
  z.strictObject({
    plan: walkPlanSchema,
    by: z.string(),
    createdAt: z.iso.datetime(),
    events: z.array(walkEventSchema),
    own: z.boolean().describe('Whether it is the caller’s.'),
    account: z.string().optional().describe('Whose it is, for whoever records.'),
    idle: z
      .number()
      .int()
      .min(0)
      .optional()
      .describe('Milliseconds since the last event came in; of a single walk.'),
  }),
);
const list = z.strictObject({ walks: z.array(told) });

/** Walks: a plan kept once, and events that only ever grow. */
export const walkApi = contract({
  'PUT /api/walks/:id': { params: one, body: plan },
  'POST /api/walks/:id/events': {
    params: one,
    body: z.strictObject({ events: z.array(event).min(1).max(500) }),
  },
  'GET /api/walks/:id': { params: one, answer: told },
  'GET /api/walks': {
    query: z.strictObject({ take: z.coerce.number().int().min(1).max(500).default(200) }),
    answer: list,
  },
  'GET /api/units/:id/walks': { params: one, answer: list },
  'PUT /api/walks/:id/memos/:memo': { params: z.strictObject({ id: z.uuid(), memo: z.uuid() }) },
});
