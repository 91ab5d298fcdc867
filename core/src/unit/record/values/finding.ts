import { z } from 'zod';
import { findingKinds, gravities, type FindingKindKey, type Gravity } from '../../catalog/index.ts';
import { day, keysOf, spotSchema, station, words } from './spot.ts';

export const answers = ['yes', 'no', 'unsure'] as const;
export type Answer = (typeof answers)[number];

/** Something found on a unit: damage, wear, a sign. */
export const findingSchema = z.strictObject({
  kind: z.enum(keysOf<FindingKindKey>(findingKinds)),
  gravity: z.enum(keysOf<Gravity>(gravities)),
  station,
  at: spotSchema.optional(),
  note: words.optional(),
  /** What was answered in a guided look, by the key of what was asked. */
  answers: z.record(z.string().max(40), z.enum(answers)).optional(),
  /** Told before anything else; by default all that is more than a matter of looks. */
  saidFirst: z.boolean(),
  repaired: z.strictObject({ on: day, by: words, what: words.optional() }).optional(),
});
export type Finding = z.infer<typeof findingSchema>;

/** What a technician signed a finding or an inspection as. */
export const verdicts = [
  { key: 'as-found', label: 'As found, to be repaired' },
  { key: 'looks-only', label: 'Looked into: a matter of looks' },
  { key: 'watch', label: 'Looked into: to be watched' },
  { key: 'repaired', label: 'Repaired and looked at again' },
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

export const signatureKeyPattern =
  /^(inspection|findings\.[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;
