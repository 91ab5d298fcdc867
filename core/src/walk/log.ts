import { stationEntry, type StationKey } from '../catalogue/index.ts';
import type { WalkEvent, WalkPlan } from './events.ts';
import { foldWalk, standing, workedMs, type Marked } from './fold.ts';
import type { Point } from './points.ts';

export interface LogLine {
  readonly point: Point;
  readonly how: 'said' | 'shown';
  /** Walking time when it was done, ms. */
  readonly at: number;
  readonly marks: readonly Marked[];
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
  readonly missed: readonly Point[];
  /** Questions, promises and faults, with the card they were raised at, also of cards not given. */
  readonly marks: readonly (Marked & { readonly label: string })[];
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
    const marks = state.marks.filter((m) => m.point === what.point);
    return [{ point, how: what.kind, at: workedAt(counting, event), marks }];
  });
  return [...new Map(lines.map((line) => [line.point.id, line])).values()];
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
  const label = (id: string): string => plan.points.find((p) => p.id === id)?.label ?? id;
  return {
    finished: state.finished,
    worked: state.worked,
    done,
    missed: plan.points.filter((p) => !given.has(p.id)),
    marks: state.marks.map((m) => ({ ...m, label: label(m.point) })),
    stations: stationTimes(plan, done),
  };
};

/** Minutes and seconds. @example clock(550_000) // '9:10' */
export const clock = (ms: number): string => {
  const seconds = Math.floor(Math.max(ms, 0) / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};
