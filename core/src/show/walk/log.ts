import { stationEntry, type StationKey } from '../../unit/catalog/index.ts';
import type { Mark, WalkEvent, WalkPlan } from './events.ts';
import { foldWalk, standing, workedMs } from './fold.ts';
import type { Point } from '../cards/index.ts';
import { isAbout } from '../about/index.ts';

export interface LogLine {
  readonly point: Point;
  readonly how: 'said' | 'shown';
  /** Walking time when it was done, ms. */
  readonly at: number;
}

/** A question, a promise, a fault or a liking, with the card it was raised at, also of cards not given. */
export interface LogMark {
  /** Of its event. */
  readonly id: string;
  readonly point: string;
  readonly label: string;
  readonly mark: Mark;
  readonly note?: string;
  /** Of a voice memo. */
  readonly memo?: string;
  /** Walking time, ms. */
  readonly at: number;
}

export interface StationTime {
  readonly station: StationKey;
  readonly label: string;
  readonly planned: number;
  readonly taken: number;
}

/** What a walk came to. Times are milliseconds of walking, pauses left out. */
export interface WalkLog {
  readonly finished: boolean;
  readonly worked: number;
  readonly done: readonly LogLine[];
  /** Planned to the end and not given. */
  readonly missed: readonly Point[];
  /** Taken out of the plan on the way, for want of time. */
  readonly leftOut: readonly Point[];
  /** Minutes that the buyer had, as planned last. */
  readonly minutes: number;
  readonly marks: readonly LogMark[];
  readonly stations: readonly StationTime[];
}

const workedAt = (events: readonly WalkEvent[], event: WalkEvent): number =>
  workedMs(
    events.filter((e) => e.counter <= event.counter),
    event.elapsed,
  );

const doneLines = (plan: WalkPlan, events: readonly WalkEvent[]): readonly LogLine[] => {
  const state = foldWalk(plan, events);
  const counting = standing(events);
  const lines = counting.flatMap((event): LogLine[] => {
    const { what } = event;
    if (what.kind !== 'said' && what.kind !== 'shown') return [];
    const point = plan.points.find((p) => p.id === what.point);
    if (!point || state.cards.get(what.point) !== what.kind) return [];
    return [{ point, how: what.kind, at: workedAt(counting, event) }];
  });
  return [...new Map(lines.map((line) => [line.point.id, line])).values()];
};

const marksIn = (plan: WalkPlan, events: readonly WalkEvent[]): readonly LogMark[] => {
  const counting = standing(events);
  return counting.flatMap((event): LogMark[] => {
    const { what } = event;
    if (what.kind !== 'mark') return [];
    const { point, mark, note, memo } = what;
    const planned = plan.points.find((p) => p.id === point)?.label;
    const label = planned ?? (isAbout('finding', { id: point }) ? 'Found meanwhile' : point);
    const at = workedAt(counting, event);
    const said = {
      ...(note === undefined ? {} : { note }),
      ...(memo === undefined ? {} : { memo }),
    };
    return [{ id: event.id, point, label, mark, at, ...said }];
  });
};

/** Time between one card and the next is counted to the station of the card that ends it. */
const stationTimes = (plan: WalkPlan, done: readonly LogLine[]): readonly StationTime[] => {
  const taken = new Map<StationKey, number>();
  let before = 0;
  for (const line of done) {
    const key = line.point.station;
    taken.set(key, (taken.get(key) ?? 0) + Math.max(line.at - before, 0));
    before = line.at;
  }
  return [...new Set(plan.points.map((p) => p.station))].map((station) => ({
    station,
    label: stationEntry(station).label,
    planned: plan.points
      .filter((p) => p.station === station)
      .reduce((sum, p) => sum + p.seconds * 1000, 0),
    taken: taken.get(station) ?? 0,
  }));
};

/** The log of a walk, from its plan and events. */
export const logOf = (plan: WalkPlan, events: readonly WalkEvent[]): WalkLog => {
  const state = foldWalk(plan, events);
  const done = doneLines(plan, events);
  const given = new Set(done.map((line) => line.point.id));
  const leftOut = state.leftOut.filter(({ id }) => !given.has(id));
  const out = new Set(leftOut.map(({ id }) => id));
  return {
    finished: state.finished,
    worked: state.worked,
    done,
    missed: plan.points.filter((p) => !given.has(p.id) && !out.has(p.id)),
    leftOut,
    minutes: state.minutes,
    marks: marksIn(plan, events),
    stations: stationTimes(plan, done),
  };
};

/** Minutes and seconds. @example clock(550_000) // '9:10' */
export const clock = (ms: number): string => {
  const seconds = Math.floor(Math.max(ms, 0) / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};
