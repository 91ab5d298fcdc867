import { z } from 'zod';
import { contract } from '../../base/contract/index.ts';

/** The largest a photo may be as taken, bytes. */
export const photoLimit = 12_000_000;

const one = z.strictObject({ id: z.uuid(), photo: z.uuid() });

const arrived = z.strictObject({
  received: z.number().int(),
  done: z.boolean(),
  width: z.number().int().optional(),
  height: z.number().int().optional(),
});

/** How much of a photo is here. */
export type Arrived = Readonly<z.infer<typeof arrived>>;

/** Photos of units on their way, in pieces. */
export const photoApi = contract({
  'GET /api/units/:id/photos/:photo/upload': { params: one, answer: arrived },
  'PUT /api/units/:id/photos/:photo/upload': {
    params: one,
    query: z.strictObject({
      from: z.coerce.number().int().min(0).max(photoLimit),
      of: z.coerce.number().int().min(1).max(1_000_000_000),
    }),
    answer: arrived,
  },
});
