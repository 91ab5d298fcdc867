import { z } from 'zod';
import { inText } from '../../../base/words/index.ts';
import { entryLabel } from '../values/entry-label.ts';
import { textLimit } from '../values/spot.ts';
import { part } from './part.ts';

/** Why an objection is let stand, and the inputs it was let stand for. */
export const settlementSchema = z.strictObject({
  reason: z.string().trim().min(3).max(textLimit),
  inputs: z.string().max(2000),
});
export type Settlement = z.infer<typeof settlementSchema>;

const pattern = /^[a-z][a-z-]{1,40}:[A-Za-z0-9]{1,40}$/;

/** Objections that somebody let stand, by check and field. */
export const settlements = part({
  schema: settlementSchema,
  isKey: (key): key is string => pattern.test(key),
  label: (key) => `Note on ${inText(entryLabel(key.split(':')[1] ?? key))}`,
  text: ({ reason }) => `“${reason}”`,
  example: ['ccc-identity:ccc', { reason: 'the label counts the battery', inputs: '{"ccc":2510}' }],
});
