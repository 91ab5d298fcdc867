import { z } from 'zod';
import { isMadeKey, spotSchema, words } from '../values/spot.ts';
import { part } from './part.ts';

/** What a moisture meter showed at a spot; the meter's own scale, which differs from make to make. */
export const moistureSchema = z.strictObject({
  at: spotSchema,
  percent: z.number().min(0).max(100),
  /** A place known to be dry, for comparison. */
  dry: z.boolean(),
  note: words.optional(),
});
export type Moisture = z.infer<typeof moistureSchema>;

/** Readings of a moisture meter, each at its spot. */
export const moisture = part({
  schema: moistureSchema,
  isKey: isMadeKey,
  label: () => 'A moisture reading',
  text: ({ percent, dry }) => `${percent}%${dry ? ', at a dry spot' : ''}`,
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    { at: { layer: 'outside', x: 48, y: 120 }, percent: 14, dry: false },
  ],
});
