import { z } from 'zod';
import { contract } from '../../base/contract/index.ts';
import { yardSettingsSchema } from './settings.ts';

const yardChange = z.strictObject({
  id: z.uuid(),
  what: z.string(),
  subject: z.string(),
  from: z.string().nullable(),
  to: z.string().nullable(),
  by: z.string(),
  /** The address of the account that did it. */
  account: z.string().nullable(),
  at: z.iso.datetime(),
});
/** What was changed about the yard and its people. */
export type YardChange = Readonly<z.infer<typeof yardChange>>;

/** How a yard goes by, and what was changed about it. */
export const settingsApi = contract({
  'PUT /api/yard': { body: yardSettingsSchema },
  'GET /api/yard/history': { answer: z.strictObject({ changes: z.array(yardChange) }) },
});
