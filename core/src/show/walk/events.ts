import { z } from 'zod';
import {
  audiences,
  isStationKey,
  type Audience,
  type StationKey,
} from '../../unit/catalog/index.ts';
import { pointSchema } from '../cards/index.ts';

/**
 * A walk is a log of append-only events. `counter` is one more than the highest this device had
 * seen when it wrote the event, so that the order is the same on every device; clocks order nothing.
 * `elapsed` is milliseconds since the walk began, for the times in the log only.
 */
const pointId = z.string().min(1).max(90);
const station = z.custom<StationKey>((key) => typeof key === 'string' && isStationKey(key));

const audienceSchema = z.enum(audiences.map(({ key }) => key) as [Audience, ...Audience[]]);

export const marks = ['liked', 'asked', 'promise', 'not-working'] as const;
export type Mark = (typeof marks)[number];

export const whatSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('begin') }),
  z.strictObject({ kind: z.literal('said'), point: pointId }),
  z.strictObject({ kind: z.literal('shown'), point: pointId }),
  z.strictObject({ kind: z.literal('later'), point: pointId }),
  z.strictObject({
    kind: z.literal('mark'),
    point: pointId,
    mark: z.enum(marks),
    note: z.string().trim().min(1).max(500).optional(),
    /** A voice memo, kept apart; it may come later than the mark. */
    memo: z.uuid().optional(),
  }),
  z.strictObject({ kind: z.literal('jump'), station }),
  z.strictObject({ kind: z.literal('turn-to'), point: pointId }),
  z.strictObject({ kind: z.literal('pause') }),
  z.strictObject({ kind: z.literal('resume') }),
  z.strictObject({ kind: z.literal('undo'), event: z.uuid() }),
  /** Only these of the open cards are still to be given; the buyer has so many minutes in all. */
  z.strictObject({
    kind: z.literal('replan'),
    minutes: z.number().int().min(1).max(240),
    keep: z.array(pointId).max(500),
  }),
  z.strictObject({ kind: z.literal('finish') }),
]);
export type What = z.infer<typeof whatSchema>;

export const walkEventSchema = z.strictObject({
  id: z.uuid(),
  device: z.uuid(),
  counter: z.number().int().min(1).max(1_000_000),
  elapsed: z.number().int().min(0).max(86_400_000),
  what: whatSchema,
});
export type WalkEvent = z.infer<typeof walkEventSchema>;

/** A planned walk: its cards as they were worded then, and the minutes the buyer has. */
export const walkPlanSchema = z.strictObject({
  id: z.uuid(),
  unit: z.uuid(),
  minutes: z.number().int().min(1).max(240),
  points: z.array(pointSchema).min(1).max(500),
  /** For whom it was planned, and by which route. */
  about: z
    .strictObject({
      listeners: z
        .array(z.strictObject({ audience: audienceSchema, weight: z.number().min(0.1).max(10) }))
        .max(6),
      route: z.string().min(1).max(60),
      /** In which units the cards were worded. */
      system: z.enum(['us', 'metric']).optional(),
    })
    .optional(),
});
export type WalkPlan = z.infer<typeof walkPlanSchema>;

/** What a device writes next. Ids and elapsed time are given, the core has no clock or chance. */
export const nextEvent = (
  events: readonly WalkEvent[],
  given: { readonly id: string; readonly device: string; readonly elapsed: number },
  what: What,
): WalkEvent => ({
  ...given,
  counter: Math.max(0, ...events.map((e) => e.counter)) + 1,
  what,
});
