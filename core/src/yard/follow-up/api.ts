import { z } from 'zod';
import { contract } from '../../base/contract/index.ts';
import { buyerSchema, followUpSchema, letterSchema } from './schema.ts';

const one = z.strictObject({ id: z.uuid() });
const ofWalk = z.strictObject({ walk: z.uuid().optional() });
/** Counts changes, from 1. */
const version = z.number().int();

const keptFollowUp = z.strictObject({ followUp: followUpSchema, by: z.string(), version });
/** A follow-up as the yard keeps it. */
export type KeptFollowUp = Readonly<z.infer<typeof keptFollowUp>>;

const keptBuyer = z.strictObject({
  buyer: buyerSchema,
  /** `2026-09-01`; forgotten the day after. */
  keepUntil: z.string(),
  walks: z.array(z.uuid()).readonly(),
});
/** A buyer as the yard keeps them, and for how long. */
export type KeptBuyer = Readonly<z.infer<typeof keptBuyer>>;

const keptLetter = z.strictObject({
  ...letterSchema.shape,
  to: z.string(),
  by: z.string(),
  at: z.iso.datetime(),
  /** When the mail took it; null while it waits. */
  sentAt: z.iso.datetime().nullable(),
});
/** A letter as the yard keeps it. */
export type KeptLetter = Readonly<z.infer<typeof keptLetter>>;

/** After a walk: what is left to do, for whom it was given, and what is written to them. */
export const followUpApi = contract({
  'GET /api/follow-ups': {
    query: ofWalk,
    answer: z.strictObject({ followUps: z.array(keptFollowUp) }),
  },
  'PUT /api/follow-ups/:id': {
    params: one,
    body: z.strictObject({ followUp: followUpSchema, basedOn: z.number().int().min(0) }),
    answer: z.strictObject({ version }),
  },
  'DELETE /api/follow-ups/:id': { params: one },
  'GET /api/buyers': { answer: z.strictObject({ buyers: z.array(keptBuyer) }) },
  'PUT /api/buyers/:id': {
    params: one,
    body: buyerSchema,
    answer: z.strictObject({ keepUntil: z.string() }),
  },
  'PUT /api/walks/:id/buyer': {
    params: one,
    body: z.strictObject({ buyer: z.uuid().nullable() }),
  },
  'GET /api/buyers/:id': {
    params: one,
    answer: z.looseObject({ buyer: buyerSchema, keepUntil: z.string() }),
  },
  'DELETE /api/buyers/:id': { params: one },
  'GET /api/letters': { query: ofWalk, answer: z.strictObject({ letters: z.array(keptLetter) }) },
  'PUT /api/letters/:id': { params: one, body: letterSchema, answer: keptLetter },
});
