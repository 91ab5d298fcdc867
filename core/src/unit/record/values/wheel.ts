import { z } from 'zod';
import { wears, wellStates, wheelStates } from '../../catalog/index.ts';
import { keysOf, spotSchema, words } from './spot.ts';

const inches = z.number().min(0).max(2);

/** One wheel with its tyre, as it was looked at; its date is a spec of its own. */
export const wheelSchema = z.strictObject({
  make: z.string().trim().min(1).max(40).optional(),
  /** As it stands on this tyre: the others may be of another. */
  size: z.string().trim().min(1).max(24).optional(),
  /** Its load range, a letter, and its load index for one tyre alone. */
  range: z
    .string()
    .regex(/^[B-G]$/, 'A load range is a letter from B to G.')
    .optional(),
  index: z.number().int().min(60).max(126).optional(),
  /** Inches of tread at the outer edge, the middle and the inner edge. */
  tread: z.tuple([inches, inches, inches]).optional(),
  /** Cold, psi. */
  pressure: z.number().min(0).max(200).optional(),
  wear: z.enum(keysOf(wears)).optional(),
  well: z.enum(keysOf(wellStates)).optional(),
  wheel: z.enum(keysOf(wheelStates)).optional(),
  note: words.optional(),
});
export type Wheel = z.infer<typeof wheelSchema>;

/** What a moisture meter showed at a spot; the meter's own scale, which differs from make to make. */
export const moistureSchema = z.strictObject({
  at: spotSchema,
  percent: z.number().min(0).max(100),
  /** A place known to be dry, for comparison. */
  dry: z.boolean(),
  note: words.optional(),
});
export type Moisture = z.infer<typeof moistureSchema>;
