import { z } from 'zod';
import { isStationKey, type StationKey } from '../../unit/catalog/index.ts';
import { howKnownSchema } from '../../unit/record/index.ts';
import { needKeys } from './need-rows.ts';

const line = z.string().min(1).max(500);

/** A number set large on a card; without `text` it is not known, and not to be said. */
export const cardNumberSchema = z.strictObject({
  label: line,
  text: line.optional(),
  how: howKnownSchema.optional(),
});

/** One card: one thing to say at one station. A walk keeps its cards as they were when it was planned. */
export const pointSchema = z.strictObject({
  id: z.string().min(1).max(90),
  station: z.custom<StationKey>((key) => typeof key === 'string' && isStationKey(key)),
  label: line,
  sentence: line,
  /** How well the worst thing in the sentence is known; nothing where somebody worded it, or a bench. */
  how: howKnownSchema.optional(),
  /** What somebody says that this answers; or how it is opened. */
  asked: line.optional(),
  numbers: z.array(cardNumberSchema).max(8),
  show: line.optional(),
  not: line.optional(),
  caution: line.optional(),
  seconds: z.number().int().min(5).max(600),
  /** Where its words come from when the record did not word it. */
  wordedBy: z.enum(['unit', 'sheet']).optional(),
  /** What the record says by now, where that is not what it said when the words were written. */
  changed: line.optional(),
  /** Somebody wants it in every plan, or in none. */
  wanted: z.enum(['always', 'never']).optional(),
  /** A fault: told before anything else. */
  first: z.literal(true).optional(),
  /** What it tells of is only prepared for. */
  prepared: z.literal(true).optional(),
  /** Cards of the same link are given both or not at all. */
  link: z.string().min(1).max(60).optional(),
  /** What must be done before it can be given; set when a walk is planned. */
  needs: z.array(z.enum(needKeys)).max(needKeys.length).optional(),
});
export type CardNumber = z.infer<typeof cardNumberSchema>;
export type Point = z.infer<typeof pointSchema>;

/** Words a minute of whoever has not given a walk yet; practitioners speak 138 to 221, mean near 190: common practice. */
export const usualPace = 170;
/** As slow and as fast as anybody presents. */
export const paces = { from: 90, to: 260 } as const;
/** Times are planned on a five-second grid. */
export const grid = 5;
/** Between two cards one turns, points and waits for a nod; common practice, seconds. */
export const breath = 4;

export const wordsIn = (sentence: string): number => sentence.split(/\s+/).filter(Boolean).length;

/**
 * How long a card takes: its words at the speaker's pace, what is done beside it, and a breath.
 * @param pace words a minute
 * @param action seconds
 */
export const secondsFor = (sentence: string, pace: number, action = 0): number =>
  Math.max(grid, Math.ceil(((wordsIn(sentence) * 60) / pace + action + breath) / grid) * grid);

/** Seconds of speaking and showing. */
export const totalSeconds = (points: readonly Point[]): number =>
  points.reduce((sum, p) => sum + p.seconds, 0);
