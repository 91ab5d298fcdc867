import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { screenViewSchema, type ScreenView } from './screen.ts';

const one = z.strictObject({ id: z.uuid() });

/** A second screen, facing the buyer. */
export const screenApi = contract({
  'POST /api/walks/:id/screens': {
    params: one,
    answer: z.strictObject({ token: z.string(), until: z.iso.datetime() }),
    makes: true,
  },
  'DELETE /api/walks/:id/screens': { params: one },
  'GET /api/screens/:token': {
    params: z.strictObject({ token: z.string().min(20).max(100) }),
    answer: shaped<ScreenView>(screenViewSchema),
  },
});
