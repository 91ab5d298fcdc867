import { z } from 'zod';
import { formatQuantity } from '../../../base/quantity/index.ts';
import { isFeatureKey } from '../../catalog/index.ts';
import { sideSchema } from '../values/side.ts';
import { day, isMadeKey, words } from '../values/spot.ts';
import { part } from './part.ts';

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

/** What the yard fitted, for labels and balance. */
export const fitted = part({
  schema: fittedSchema,
  isKey: isMadeKey,
  label: () => 'Added here',
  text: ({ what, weight }, { system }) => `${what}, ${formatQuantity(weight, 'weight', system)}`,
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    { what: 'second battery', weight: 63, on: '2026-04-10' },
  ],
});
