import { z } from 'zod';
import { isFeatureKey } from '../../catalog/index.ts';
import { sideSchema } from './side.ts';
import { day, words } from './spot.ts';

/** Where a loose item is kept on the unit. */
export const stowedSchema = z.strictObject({ where: words });
export type Stowed = z.infer<typeof stowedSchema>;

/** Something the yard fitted: what it weighs and where it is, for labels and balance. */
export const fittedSchema = z.strictObject({
  what: words,
  feature: z.string().refine(isFeatureKey, 'no such feature').optional(),
  /** Pounds. */
  weight: z.number().positive().max(5000),
  /** Inches back from the coupler. */
  back: z.number().min(0).max(720).optional(),
  side: sideSchema.optional(),
  on: day,
});
export type Fitted = z.infer<typeof fittedSchema>;
