import { z } from 'zod';
import { inText } from '../../../base/words/index.ts';
import { labelIn } from '../values/entry-label.ts';
import { keysOf, words } from '../values/spot.ts';
import { part } from './part.ts';

/** What a technician signed a finding or an inspection as. */
export const verdicts = [
  { key: 'as-found', label: 'As found, needs repair' },
  { key: 'looks-only', label: 'Checked: cosmetic' },
  { key: 'watch', label: 'Checked: watch it' },
  { key: 'repaired', label: 'Repaired and checked again' },
  { key: 'inspected', label: 'Inspected' },
] as const;
export type Verdict = (typeof verdicts)[number]['key'];

/** A signature, for what stood there when it was given: what is changed afterwards is not signed. */
export const signatureSchema = z.strictObject({
  verdict: z.enum(keysOf<Verdict>(verdicts)),
  note: words.optional(),
  inputs: z.string().max(4000),
});
export type Signature = z.infer<typeof signatureSchema>;

const pattern = /^(inspection|findings\.[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;

/** Of the inspection, and of findings. */
export const signatures = part({
  schema: signatureSchema,
  isKey: (key): key is string => pattern.test(key),
  label: (key) => (key === 'inspection' ? 'Inspection, signed' : 'A finding, signed'),
  text: ({ verdict, note }) =>
    [inText(labelIn(verdicts, verdict)), note && `“${note}”`].filter(Boolean).join(', '),
  right: 'inspect',
  example: ['inspection', { verdict: 'inspected', inputs: '{}' }],
});
