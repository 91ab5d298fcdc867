import { stationEntry, type StationKey } from '../catalogue/index.ts';
import { nameOf, withoutOurs, type Entry, type UnitRecord } from '../record/index.ts';
import type { WalkEvent, WalkPlan } from './events.ts';
import { foldWalk } from './fold.ts';
import type { CardNumber, Point } from './point.ts';

/** What a screen that faces the buyer shows: a picture, the outline and numbers; nothing of what is to be said. */
export interface ScreenView {
  readonly unit: string;
  readonly state: 'waiting' | 'walking' | 'paused' | 'finished';
  readonly station?: StationKey | undefined;
  readonly title?: string | undefined;
  readonly numbers: readonly CardNumber[];
  /** Ids of photos, the best first. */
  readonly photos: readonly string[];
  /** Enough of the record to draw the unit. */
  readonly record: UnitRecord;
}

/** A guess, or what somebody told, is nothing to put before a buyer in figures. */
const isFit = ({ text, how }: CardNumber): boolean =>
  text !== undefined && how !== 'guessed' && how !== 'told';

/** Photos of what the card is about, then of its station. Of faults too: they are told first. */
const photosOf = (record: UnitRecord, { id, station }: Point): readonly string[] => {
  const of = (target: string): readonly string[] =>
    Object.entries(record.photos)
      .filter(([, entry]) => entry?.value.of.includes(target))
      .map(([key]) => key);
  return [...new Set([...of(id), ...of(`stations.${station}`)])].slice(0, 6);
};

/** What the outline is drawn from: sizes, places and what is fitted; no prices, no papers, no people. */
const drawn = (record: UnitRecord): UnitRecord => {
  const open = withoutOurs(record);
  const bare = <T extends object>(part: T): T =>
    Object.fromEntries(
      Object.entries(part)
        .filter(([key]) => !hidden.has(key))
        .map(([key, entry]: [string, Entry<unknown>]) => [key, nameless(entry)]),
    ) as T;
  const none = Object.fromEntries(Object.keys(record).map((part) => [part, {}]));
  return {
    ...(none as unknown as UnitRecord),
    specs: bare(open.specs),
    features: bare(open.features),
    places: bare(open.places),
  };
};

/** Who found it out is nobody’s business outside the yard. */
const nameless = ({ value, how, at, version }: Entry<unknown>): Entry<unknown> => ({
  value,
  how,
  at,
  version,
  by: 'the yard',
});

const hidden: ReadonlySet<string> = new Set(['vin', 'inspectedBy', 'arrived', 'stockNumber']);

/** An objection is not put before somebody who has not raised it, nor what is called by us alone. */
const titleOf = ({ id, label, station }: Point): string =>
  /^(objections|changes|own)\./.test(id) ? stationEntry(station).label : label;

const stateOf = (walk: ReturnType<typeof foldWalk>): ScreenView['state'] => {
  if (walk.finished) return 'finished';
  if (!walk.begun) return 'waiting';
  return walk.paused ? 'paused' : 'walking';
};

/**
 * What the second screen shows of a walk.
 * @param asNow the card as the record has it now
 */
export const screenOf = (
  plan: WalkPlan,
  events: readonly WalkEvent[],
  record: UnitRecord,
  asNow: (point: Point) => Point = (point) => point,
): ScreenView => {
  const walk = foldWalk(plan, events);
  const point = walk.begun && walk.current ? asNow(walk.current) : undefined;
  return {
    unit: nameOf(record),
    state: stateOf(walk),
    station: point?.station,
    title: point && titleOf(point),
    numbers: point?.numbers.filter(isFit) ?? [],
    photos: point ? photosOf(record, point) : [],
    record: drawn(record),
  };
};
