import { z } from 'zod';
import { inText } from '../../../base/words/index.ts';
import {
  findingKind,
  findingKinds,
  gravities,
  stationEntry,
  type FindingKindKey,
  type Gravity,
} from '../../catalog/index.ts';
import { labelIn } from '../values/entry-label.ts';
import { day, isMadeKey, keysOf, spotSchema, station, words } from '../values/spot.ts';
import { part } from './part.ts';

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

/** What was found on the unit, by ids made where it was found. */
export const findings = part({
  schema: findingSchema,
  isKey: isMadeKey,
  label: () => 'A finding',
  text: ({ kind, gravity, station: at, note, repaired }) =>
    [
      `${findingKind(kind).label}, ${inText(stationEntry(at).label)}`,
      inText(labelIn(gravities, gravity)),
      note && `“${note}”`,
      repaired && `repaired by ${repaired.by}`,
    ]
      .filter(Boolean)
      .join(', '),
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    { kind: 'delamination', gravity: 'technician', station: 'front', saidFirst: true },
  ],
});
