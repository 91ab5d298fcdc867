import { z } from 'zod';
import { words } from './spot.ts';

export const inspectionResults = ['pass', 'fail', 'not-tried'] as const;
export type InspectionResult = (typeof inspectionResults)[number];

/** One item of the pre-delivery inspection, as it came out. */
export const inspectedSchema = z
  .strictObject({
    result: z.enum(inspectionResults),
    /** In the internal unit of what the item measures. */
    measured: z.number().min(0).max(100_000).optional(),
    note: words.optional(),
  })
  .refine(({ result, note }) => result !== 'not-tried' || note !== undefined, {
    message: 'say why it was not tried',
    path: ['note'],
  });
export type Inspected = z.infer<typeof inspectedSchema>;
