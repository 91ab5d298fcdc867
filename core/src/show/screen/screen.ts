import { z } from 'zod';
import {
  isPublic,
  isPublicTarget,
  publicLabel,
  specs,
  stations,
  type FeatureKey,
  type HowKnown,
  type SpecKey,
  type StationKey,
} from '../../unit/catalog/index.ts';
import { doubtedFigures } from '../../unit/checks/index.ts';
import { drawingOf, type Drawing } from '../../unit/outline/index.ts';
import type { System } from '../../base/quantity/index.ts';
import { emptyRecord, textOf, type Entry, type UnitRecord } from '../../unit/record/index.ts';
import type { WalkEvent, WalkPlan } from '../walk/index.ts';
import { foldWalk } from '../walk/index.ts';
import type { Point } from '../cards/index.ts';

/*
 * What leaves the yard by the screen that faces the buyer is what stands in this schema, and nothing else: words of the
 * catalog, figures of public entries that somebody read, measured or saw, a drawing of such figures, and ids of photos.
 */
const inches = z.number();
const box = z.strictObject({ x: inches, y: inches, width: inches, height: inches });
const station = z.enum(stations.map(({ key }) => key) as [StationKey, ...StationKey[]]);

export const screenViewSchema = z.strictObject({
  unit: z.string(),
  system: z.enum(['us', 'metric']),
  state: z.enum(['waiting', 'walking', 'paused', 'finished']),
  station: station.optional(),
  title: z.string().optional(),
  numbers: z.array(z.strictObject({ label: z.string(), text: z.string() })),
  /** Ids of photos, the best first. */
  photos: z.array(z.uuid()),
  drawing: z.strictObject({
    length: z.strictObject({ inches, known: z.boolean() }),
    body: box.extend({ known: z.boolean() }),
    parts: z.array(
      z.strictObject({
        key: z.string(),
        label: z.string(),
        shape: z.string(),
        medium: z.string().optional(),
        station,
        box,
        side: z.string(),
        known: z.boolean(),
        amount: z.number().optional(),
      }),
    ),
    pegs: z.array(
      z.strictObject({
        station,
        number: z.number(),
        short: z.string(),
        x: inches,
        y: inches,
        side: z.string(),
      }),
    ),
  }),
});

/** What a screen that faces the buyer shows: a picture, the outline and numbers; nothing of what is to be said. */
export interface ScreenView {
  readonly unit: string;
  readonly system: System;
  readonly state: 'waiting' | 'walking' | 'paused' | 'finished';
  readonly station?: StationKey | undefined;
  readonly title?: string | undefined;
  readonly numbers: readonly { readonly label: string; readonly text: string }[];
  readonly photos: readonly string[];
  readonly drawing: Drawing;
}

/** A unit as it is now, and everything there is to say of it. */
export interface ShownUnit {
  readonly record: UnitRecord;
  readonly points: readonly Point[];
  readonly system: System;
  /** `2026-04-15`: what is doubted depends on the day. */
  readonly today: string;
}

/** A guess, or what somebody told, is nothing to put before a buyer. */
const shown: readonly (HowKnown | undefined)[] = ['read', 'measured', 'seen', 'sheet'];
const isShown = ({ how }: { readonly how?: HowKnown | undefined }): boolean => shown.includes(how);

/** Words of their own somebody may have typed anything into. */
const figureLabels: ReadonlySet<string> = new Set(
  specs
    .filter(({ key, value }) => isPublic(key) && value.kind !== 'text')
    .map(({ label }) => label),
);

/** The figures of a card as the record has it now; whatever was typed into a plan or a card stays there. */
const numbersOf = (point: Point | undefined): ScreenView['numbers'] =>
  (point?.numbers ?? []).flatMap(({ label, text, how }) =>
    text !== undefined && isShown({ how }) && figureLabels.has(label) ? [{ label, text }] : [],
  );

/** Photos of what the card is about, then of its station; none that shows what only the yard may see. */
const photosOf = (record: UnitRecord, { id, station: at }: Point): readonly string[] => {
  const of = (target: string): readonly string[] =>
    Object.entries(record.photos)
      .filter(([, entry]) => entry?.value.of.includes(target))
      .filter(([, entry]) => entry?.value.of.every(isPublicTarget))
      .map(([key]) => key);
  return [...new Set([...of(id), ...of(`stations.${at}`)])].slice(0, 6);
};

type Part = Readonly<Partial<Record<string, Entry<unknown>>>>;

const publicPart = <P extends Part>(part: P, doubted: ReadonlySet<string>): P =>
  Object.fromEntries(
    Object.entries(part).filter(
      ([key, entry]) =>
        entry && isPublic(key as SpecKey | FeatureKey) && isShown(entry) && !doubted.has(key),
    ),
  ) as P;

/** The unit drawn by what may be shown of it: a place or size that is only guessed stands where such a thing usually does. */
const drawn = ({ record, system, today }: ShownUnit): Drawing => {
  const doubted = doubtedFigures(record, { today, system });
  return drawingOf({
    ...emptyRecord,
    specs: publicPart(record.specs, doubted),
    features: publicPart(record.features, doubted),
    places: publicPart(record.places, doubted),
  });
};

/** Its maker's words for it; a stock number is the yard's own. */
const publicName = (record: UnitRecord): string =>
  [textOf(record, 'series'), textOf(record, 'floorPlan')].filter(Boolean).join(' ') ||
  'Travel trailer';

const stateOf = (walk: ReturnType<typeof foldWalk>): ScreenView['state'] => {
  if (walk.finished) return 'finished';
  if (!walk.begun) return 'waiting';
  return walk.paused ? 'paused' : 'walking';
};

/** What the screen shows of one card: an objection, a wish or words of our own bear the name of their station alone. */
const cardOf = (planned: Point, { record, points }: ShownUnit) => {
  const now = points.find(({ id }) => id === planned.id);
  const label = now && isShown(now) ? publicLabel(now.id) : undefined;
  return {
    station: planned.station,
    ...(label ? { title: label } : {}),
    numbers: numbersOf(now),
    photos: photosOf(record, planned),
  };
};

/** What the second screen shows of a walk. */
export const screenOf = (
  plan: WalkPlan,
  events: readonly WalkEvent[],
  unit: ShownUnit,
): ScreenView => {
  const walk = foldWalk(plan, events);
  return {
    unit: publicName(unit.record),
    system: unit.system,
    state: stateOf(walk),
    numbers: [],
    photos: [],
    ...(walk.begun && walk.current ? cardOf(walk.current, unit) : {}),
    drawing: drawn(unit),
  };
};
