import { stationEntry, type StationKey } from '../../unit/catalog/index.ts';
import { layoutLength, outlineOf } from '../../unit/outline/index.ts';
import { hasFeature, type UnitRecord } from '../../unit/record/index.ts';
import type { WalkPlan } from '../walk/index.ts';
import type { WalkState } from '../walk/index.ts';
import { needRows, type NeedKey } from '../cards/index.ts';
import { mayRun, needsOf } from './needs.ts';
import { planGrid, planWalk, type PlanPoint, type PlanProblem } from './planner.ts';
import { secondsFor, usualPace, type Point } from '../cards/index.ts';
import { stationsOn, type Route } from '../../unit/route/index.ts';
import { interestWords, stationBonus, worthOfPoint, type Listener } from './value.ts';
import { idAbout, isAbout } from '../about/index.ts';

/** What a walk is planned for. */
export interface PlanWish {
  readonly listeners: readonly Listener[];
  /** Seconds that the buyer has. */
  readonly available: number;
  readonly route: Route;
  /** What is ready on the lot: paid for already. */
  readonly ready: readonly NeedKey[];
  /** Ids of cards that somebody wants in, or out, whatever they are worth. */
  readonly pinned: ReadonlySet<string>;
  readonly dropped: ReadonlySet<string>;
  /** Words a minute of whoever presents. */
  readonly pace?: number;
  /** False for whoever may operate nothing. */
  readonly operates?: boolean;
}

/** A card that is not given, and why. */
export interface LeftOut {
  readonly point: Point;
  readonly reason: string;
}

/** The cards of a walk in the order in which they are given, and what was left out. */
export interface PlannedWalk {
  readonly points: readonly Point[];
  readonly leftOut: readonly LeftOut[];
  readonly needs: readonly NeedKey[];
  readonly seconds: number;
  /** Seconds by which what must be said alone runs over. */
  readonly over: number;
  /** Where it runs over: cards that could be told instead of shown, and the seconds that saves. */
  readonly couldTell: readonly { readonly point: Point; readonly saves: number }[];
}

/** Of a buyer's minutes, what is kept for their questions; common practice. */
export const questionsShare = 0.15;

/** Nobody goes home without having seen these, where there is time for it; common practice. */
const rooms: ReadonlySet<StationKey> = new Set([
  'entry',
  'utilities',
  'kitchen',
  'living',
  'bedroom',
  'bath',
] as const);
const timeForRooms = 420;

/** Turning to a station and waiting till everybody stands there; common practice. Seconds. */
const stopSeconds = 10;
/** A group walks slowly, inches a second; common practice. */
const walkingPace = 36;

/** Seconds to walk once round a unit, at arm's length. */
export const walkRound = (record: UnitRecord): number => {
  const armLength = 36;
  const { width } = outlineOf(record).body;
  const round = 2 * (layoutLength(record) + width + 4 * armLength);
  return Math.ceil(round / walkingPace / planGrid) * planGrid;
};

const compulsory = new Set(['gvwr', 'uvw', 'ccc'].map((key) => idAbout('spec', key)));

/**
 * Told before anything else, what a label says of weights, a trial that somebody sent to the walk, and what is wanted in
 * every plan: never left out for want of time.
 */
export const isCompulsory = (point: Point): boolean =>
  point.first === true ||
  point.wanted === 'always' ||
  compulsory.has(point.id) ||
  isAbout('trial', point);

/** Cards in the order of a route; within a station as they are. */
export const inRouteOrder = (
  points: readonly Point[],
  order: readonly StationKey[],
): readonly Point[] => {
  const first = points.filter((point) => point.first);
  const rest = points.filter((point) => !point.first);
  return [...first, ...order.flatMap((key) => rest.filter((point) => point.station === key))];
};

/** What the model of a plan needs to know beside the cards. */
interface Circumstances {
  /** Stations of which at least one card is wanted. */
  readonly wanted: ReadonlySet<StationKey>;
  readonly listeners: readonly Listener[];
  readonly available: number;
  readonly walking: number;
  /** Needs that are paid for already. */
  readonly ready: readonly NeedKey[];
  readonly standing: StationKey | undefined;
  readonly pinned: ReadonlySet<string>;
}

/** Where one begins; what is said first is said there, before the route. */
const start = 'first';

const modelOf = (points: readonly Point[], given: Circumstances): PlanProblem => {
  const places = [start, ...stationsIn(points)] as const;
  return {
    points: points.map((point): PlanPoint => ({
      station: point.first ? 0 : places.indexOf(point.station),
      seconds: point.seconds,
      worth: worthOfPoint(point, given.listeners),
      compulsory: isCompulsory(point) || given.pinned.has(point.id),
      needs: point.needs ?? [],
      link: point.link,
    })),
    stations: places.map((key) => ({
      stop: key === start || key === given.standing ? 0 : stopSeconds,
      bonus: key === start ? 0 : stationBonus,
      wanted: key !== start && given.wanted.has(key),
    })),
    needs: needRows.map(({ key, seconds, ready }) => ({
      key,
      seconds: given.ready.includes(key) ? ready : seconds,
    })),
    walking: given.walking,
    available: given.available,
  };
};

/** Taken out for this walk; or for all walks, where this one does not want it all the same. */
const isUnwanted = ({ id, wanted }: Point, { dropped, pinned }: PlanWish): boolean =>
  dropped.has(id) || (wanted === 'never' && !pinned.has(id));

interface Prepared {
  readonly points: readonly Point[];
  readonly problem: PlanProblem;
}

/** The cards that may be given, in route order with what they need, and the model of them. */
export const planProblem = (
  record: UnitRecord,
  all: readonly Point[],
  wish: PlanWish,
): Prepared => {
  const points = inRouteOrder(
    all.filter((point) => !isUnwanted(point, wish)),
    stationsOn(record, wish.route),
  ).map((point) =>
    point.first ? point : { ...point, needs: [...needsOf(record, point, wish.operates)] },
  );
  const walking = walkRound(record);
  const wanted = wish.available >= timeForRooms ? rooms : new Set<StationKey>();
  return { points, problem: modelOf(points, { ...wish, walking, wanted, standing: undefined }) };
};

const labelOf = (key: NeedKey): string => needRows.find((row) => row.key === key)?.label ?? key;

const reasonFor = (
  point: Point,
  paid: ReadonlySet<NeedKey>,
  listeners: readonly Listener[],
): string => {
  const unpaid = (point.needs ?? []).filter((key) => !paid.has(key));
  const time = `${point.seconds} s`;
  if (unpaid.length > 0) return `${time}, and ${unpaid.map(labelOf).join(' and ')} first`;
  return `${time}, ${interestWords(point, listeners)}`;
};

const solved = (
  { points, problem }: Prepared,
  listeners: readonly Listener[],
  pace: number,
): PlannedWalk => {
  const { taken, seconds, over } = planWalk(problem);
  const chosen = new Set(taken);
  const given = taken.flatMap((i) => points[i] ?? []);
  const needs = new Set(given.flatMap((point) => point.needs ?? []));
  const told = given.map((point) => ({
    point,
    saves: point.seconds - secondsFor(point.sentence, pace),
  }));
  return {
    points: given,
    leftOut: points
      .filter((_, i) => !chosen.has(i))
      .map((point) => ({ point, reason: reasonFor(point, needs, listeners) })),
    needs: [...needs],
    seconds,
    over,
    couldTell: over > 0 ? told.filter(({ saves }) => saves > 0) : [],
  };
};

const closing = 'With the slide in, this is what you can still reach on the road.';

/** The last card of a route that ends with the slide closed; none where there is no slide, or nobody may run it. */
const closingCard = (
  record: UnitRecord,
  { route, pace = usualPace, operates }: PlanWish,
): Point | undefined =>
  route.endsClosed && hasFeature(record, 'slide') && mayRun(record, 'slide', operates)
    ? {
        id: idAbout('plan', 'slide-closed'),
        station: 'living',
        label: 'With the slide closed',
        sentence: closing,
        numbers: [],
        show: 'Run it in with everybody clear, then walk through once.',
        seconds: secondsFor(closing, pace, 60),
      }
    : undefined;

/**
 * The cards that are worth most to these listeners in the time they have, in the order of a route, with a reason for
 * each that is left out.
 * @param all there is to say of the unit, pointsOf
 */
export const planCards = (
  record: UnitRecord,
  all: readonly Point[],
  wish: PlanWish,
): PlannedWalk => {
  const pace = wish.pace ?? usualPace;
  const last = closingCard(record, wish);
  const available = wish.available - (last?.seconds ?? 0);
  const plan = solved(planProblem(record, all, { ...wish, available }), wish.listeners, pace);
  const unwanted = all
    .filter((point) => isUnwanted(point, wish))
    .map((point) => ({
      point,
      reason: wish.dropped.has(point.id) ? 'taken out by you' : 'never wanted on this unit',
    }));
  const leftOut = [...plan.leftOut, ...unwanted];
  return last
    ? { ...plan, leftOut, points: [...plan.points, last], seconds: plan.seconds + last.seconds }
    : { ...plan, leftOut };
};

/**
 * The best of what is left of a walk for the time that is left: “eight minutes left”. What was opened for a card that is
 * given stays open.
 * @param seconds that are left
 */
export const replan = (plan: WalkPlan, state: WalkState, seconds: number): PlannedWalk => {
  const isOpen = ({ id }: Point): boolean =>
    ['open', 'later'].includes(state.cards.get(id) ?? 'open');
  const points = plan.points.filter(isOpen);
  const given = plan.points.filter((point) => !isOpen(point));
  const listeners = plan.about?.listeners ?? [];
  const paid = new Set(given.flatMap((point) => point.needs ?? []));
  const problem = modelOf(points, {
    listeners,
    available: seconds,
    walking: 0,
    ready: [],
    standing: state.current?.station,
    pinned: new Set(),
    wanted: new Set(),
  });
  const needs = problem.needs.map((need) =>
    paid.has(need.key as NeedKey) ? { ...need, seconds: 0 } : need,
  );
  return solved({ points, problem: { ...problem, needs } }, listeners, usualPace);
};

/** The stations of some cards in the order in which they come, for a summary of the way. */
export const stationsIn = (points: readonly Point[]): readonly StationKey[] => [
  ...new Set(points.filter((point) => !point.first).map(({ station }) => station)),
];

/** @example stationLabels(['hitch', 'rear']) // 'hitch → rear' */
export const stationLabels = (keys: readonly StationKey[]): string =>
  keys.map((key) => stationEntry(key).short).join(' → ');
