import type { StationKey } from '../../unit/catalog/index.ts';
import type { Mark, WalkEvent, WalkPlan } from './events.ts';
import type { Point } from '../cards/index.ts';

export type CardState = 'open' | 'said' | 'shown' | 'later';

export interface Marked {
  /** Of its event. */
  readonly id: string;
  readonly point: string;
  readonly mark: Mark;
  readonly note?: string;
  readonly memo?: string;
}

export interface WalkState {
  readonly begun: boolean;
  readonly paused: boolean;
  readonly finished: boolean;
  /** Of each card of the plan. */
  readonly cards: ReadonlyMap<string, CardState>;
  readonly marks: readonly Marked[];
  /** The card to give now; undefined when none is left. */
  readonly current: Point | undefined;
  /** Cards of stations already left, and those put off. */
  readonly missed: readonly Point[];
  /** Open cards that a new plan left out. */
  readonly leftOut: readonly Point[];
  /** Minutes that the buyer has, by the last plan. */
  readonly minutes: number;
  /** The last event that undo would take back. */
  readonly undoable: WalkEvent | undefined;
  /** Walking time without pauses, ms, at the last event. */
  readonly worked: number;
}

/** One order for all devices: by counter, then by device and id. Each event once. */
export const inOrder = (events: readonly WalkEvent[]): readonly WalkEvent[] => {
  const once = new Map(events.map((e) => [e.id, e]));
  const text = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
  return [...once.values()].toSorted(
    (a, b) => a.counter - b.counter || text(a.device, b.device) || text(a.id, b.id),
  );
};

/** The events that count: undo takes another away, and an undo can itself be undone. */
export const standing = (events: readonly WalkEvent[]): readonly WalkEvent[] => {
  const ordered = inOrder(events);
  const gone = new Set<string>();
  for (const e of ordered.toReversed()) {
    if (e.what.kind === 'undo' && !gone.has(e.id)) gone.add(e.what.event);
  }
  return ordered.filter((e) => !gone.has(e.id) && e.what.kind !== 'undo');
};

const undoableKinds = new Set(['said', 'shown', 'later', 'mark', 'jump', 'turn-to', 'replan']);

const isUndoable = (e: WalkEvent): boolean => undoableKinds.has(e.what.kind);

const cardStates = (plan: WalkPlan, events: readonly WalkEvent[]): Map<string, CardState> => {
  const states = new Map<string, CardState>(plan.points.map((p) => [p.id, 'open']));
  for (const { what } of events) {
    const isCard = what.kind === 'said' || what.kind === 'shown' || what.kind === 'later';
    if (isCard && states.has(what.point)) states.set(what.point, what.kind);
  }
  return states;
};

/** The last plan that was made on the way. */
const replanOf = (events: readonly WalkEvent[]) => {
  const last = events.findLast((e) => e.what.kind === 'replan');
  return last?.what.kind === 'replan' ? last.what : undefined;
};

type Focus =
  | { readonly kind: 'station'; readonly station: StationKey }
  | { readonly kind: 'point'; readonly point: string }
  | undefined;

/** Where the last jump went. A card given after it lets the walk go on from that station. */
const focusOf = (events: readonly WalkEvent[]): Focus => {
  const last = events.findLast((e) => e.what.kind === 'jump' || e.what.kind === 'turn-to');
  if (last?.what.kind === 'jump') return { kind: 'station', station: last.what.station };
  return last?.what.kind === 'turn-to' ? { kind: 'point', point: last.what.point } : undefined;
};

/**
 * A card of the come-back pile at the station where one stands, once all else there is given: the next natural stop.
 * Not one that was put off since the last card was given.
 */
const comeBackAt = (
  plan: WalkPlan,
  states: ReadonlyMap<string, CardState>,
  events: readonly WalkEvent[],
  isKept: (point: Point) => boolean,
): Point | undefined => {
  const given = events.findLastIndex(({ what }) => what.kind === 'said' || what.kind === 'shown');
  const what = events[given]?.what;
  const id = what && 'point' in what ? what.point : undefined;
  const station = plan.points.find((point) => point.id === id)?.station;
  const isOpenHere = (p: Point): boolean =>
    p.station === station && states.get(p.id) === 'open' && isKept(p);
  if (station === undefined || plan.points.some(isOpenHere)) return undefined;
  const putOff = new Set(
    events.slice(given + 1).flatMap((e) => (e.what.kind === 'later' ? e.what.point : [])),
  );
  return plan.points.find(
    (p) => p.station === station && states.get(p.id) === 'later' && !putOff.has(p.id),
  );
};

/**
 * The card to give now. After a jump the cards of that station come first; then the order heals:
 * the first open card of the route. The come-back pile is offered when nothing else is open.
 */
const currentOf = (
  plan: WalkPlan,
  states: ReadonlyMap<string, CardState>,
  events: readonly WalkEvent[],
  isKept: (point: Point) => boolean,
): Point | undefined => {
  const focus = focusOf(events);
  const isState = (p: Point, s: CardState): boolean => states.get(p.id) === s;
  const atStop = comeBackAt(plan, states, events, isKept);
  const turned =
    focus?.kind === 'point'
      ? plan.points.find((p) => p.id === focus.point && !isState(p, 'said') && !isState(p, 'shown'))
      : undefined;
  if (turned) return turned;
  const jumped =
    focus?.kind === 'station'
      ? plan.points.find((p) => p.station === focus.station && isState(p, 'open'))
      : undefined;
  return (
    jumped ??
    atStop ??
    plan.points.find((p) => isState(p, 'open') && isKept(p)) ??
    plan.points.find((p) => isState(p, 'later'))
  );
};

const missedOf = (
  plan: WalkPlan,
  states: ReadonlyMap<string, CardState>,
  current: Point | undefined,
): readonly Point[] => {
  const furthest = plan.points.findLastIndex((p) => {
    const state = states.get(p.id);
    return state === 'said' || state === 'shown';
  });
  const isMissed = (p: Point, i: number): boolean =>
    p.id !== current?.id &&
    (states.get(p.id) === 'later' ||
      (states.get(p.id) === 'open' && i < furthest && p.station !== current?.station));
  return plan.points.filter(isMissed);
};

/**
 * Milliseconds of walking, pauses left out.
 * @param upTo elapsed ms now, for a clock that runs between events
 */
export const workedMs = (events: readonly WalkEvent[], upTo?: number): number => {
  const counting = standing(events);
  let worked = 0;
  let since: number | undefined;
  for (const { what, elapsed } of counting) {
    if (what.kind === 'begin' || what.kind === 'resume') since ??= elapsed;
    if ((what.kind === 'pause' || what.kind === 'finish') && since !== undefined) {
      worked += Math.max(elapsed - since, 0);
      since = undefined;
    }
  }
  const end = upTo ?? counting.at(-1)?.elapsed;
  return since === undefined || end === undefined ? worked : worked + Math.max(end - since, 0);
};

/** What stops the clock of a walk, and sets it going again. */
const switches = new Set(['pause', 'resume', 'finish']);

/**
 * The state of a walk from its events, whatever the order in which they arrived.
 * @param plan the cards in route order
 */
export const foldWalk = (plan: WalkPlan, events: readonly WalkEvent[]): WalkState => {
  const counting = standing(events);
  const cards = cardStates(plan, counting);
  const has = (kind: string): boolean => counting.some((e) => e.what.kind === kind);
  const lastSwitch = counting.findLast((e) => switches.has(e.what.kind));
  // Whoever goes on with a finished walk has not finished it.
  const finished = lastSwitch?.what.kind === 'finish';
  const replanned = replanOf(counting);
  const kept = replanned && new Set(replanned.keep);
  const isKept = ({ id }: Point): boolean => !kept || kept.has(id);
  const current = finished ? undefined : currentOf(plan, cards, counting, isKept);
  return {
    begun: has('begin'),
    finished,
    paused: !finished && lastSwitch?.what.kind === 'pause',
    cards,
    marks: marksOf(counting),
    current,
    missed: missedOf(plan, cards, current).filter(
      (point) => isKept(point) || cards.get(point.id) === 'later',
    ),
    leftOut: plan.points.filter((point) => cards.get(point.id) === 'open' && !isKept(point)),
    minutes: replanned?.minutes ?? plan.minutes,
    undoable: counting.findLast(isUndoable),
    worked: workedMs(events),
  };
};

const marksOf = (events: readonly WalkEvent[]): readonly Marked[] =>
  events.flatMap(({ id, what }) =>
    what.kind === 'mark'
      ? [
          {
            id,
            point: what.point,
            mark: what.mark,
            ...(what.note === undefined ? {} : { note: what.note }),
            ...(what.memo === undefined ? {} : { memo: what.memo }),
          },
        ]
      : [],
  );
