import { In } from 'typeorm';
import type { Point } from '@fair-gable/core/show/cards';
import {
  inOrder,
  paceFrom,
  type YardWalk,
  type WalkEvent,
  type WalkPlan,
} from '@fair-gable/core/show/walk';
import { may, type Role } from '@fair-gable/core/base/rights';
import { firstSent, isFirst, type InYard, type WithinYard } from '../../base/database/index.ts';
import { accountsBehind, Person } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Unit } from '../../unit/record/index.ts';
import { Walk, WalkEventRow } from './entities.ts';

export interface WalkView {
  readonly plan: WalkPlan;
  readonly by: string;
  /** Whose it is, while they are known. */
  readonly personId: string | null;
  readonly createdAt: string;
  readonly events: readonly WalkEvent[];
  /** Milliseconds since the last of them came in: where its clock stands now. */
  readonly idle?: number;
}

/** Whose walk it is; nobody known for one that was brought in. */
export interface Walker {
  readonly name: string;
  readonly personId: string | null;
}

const missing = (): Refusal =>
  new Refusal('not-found', 'There is no such walk in this yard. Look for it under its unit.');

const toEvent = ({ id, device, counter, elapsed, what }: WalkEventRow): WalkEvent => ({
  id,
  device,
  counter,
  elapsed,
  what,
});

const toView = (walk: Walk, events: readonly WalkEventRow[]): WalkView => ({
  plan: {
    id: walk.id,
    unit: walk.unitId,
    minutes: walk.minutes,
    points: walk.points,
    ...(walk.about ? { about: walk.about } : {}),
  },
  by: walk.by,
  personId: walk.personId,
  createdAt: walk.createdAt.toISOString(),
  events: events.map(toEvent),
});

/**
 * Keeps a planned walk, within a transaction. Sent twice it is kept once.
 * @throws Refusal not-found when its unit is not in this yard, other-body
 */
export const keepWalk = async (yard: WithinYard, plan: WalkPlan, by: Walker): Promise<void> => {
  if (!(await yard.findOne(Unit, { id: plan.unit }))) {
    throw new Refusal('not-found', 'The unit of this walk is not in this yard.');
  }
  if (!(await isFirst(yard, 'walk', { id: plan.id, body: plan }))) return;
  await yard.insert(Walk, [
    {
      id: plan.id,
      unitId: plan.unit,
      minutes: plan.minutes,
      points: plan.points as Point[],
      about: plan.about ?? null,
      buyerId: null,
      buyerForgotten: false,
      by: by.name,
      personId: by.personId,
      createdAt: new Date(),
    },
  ]);
};

/**
 * That somebody may add to a walk, and hear what was spoken on it: their own, or with the right `join-walks` a colleague's.
 * @throws Refusal not-found, not-your-role
 */
export const refuseOthers = async (
  yard: InYard,
  walkId: string,
  { personId, role }: { readonly personId: string; readonly role: Role },
): Promise<void> => {
  const walk = await yard.findOne(Walk, { id: walkId });
  if (!walk) throw missing();
  if (may(role, 'join-walks') || walk.personId === personId) return;
  throw new Refusal(
    'not-your-role',
    'This walk is somebody else’s. Ask a specialist of this yard to go on with it.',
  );
};

/** Events that were refused were counted all the same: a device may be so far ahead of what is here. */
const mostAhead = 500;

/**
 * Events that were counted far ahead would be the last for ever. Each is counted one on from the last its device knew of, so whatever
 * devices somebody has, the highest of theirs is no more than the highest of the others, and as many as are theirs.
 * @throws Refusal bad-input
 */
const refuseAhead = async (
  yard: InYard,
  walkId: string,
  events: readonly WalkEvent[],
  personId: string | null,
): Promise<void> => {
  const [row] = await yard.query<{ others: number; own: number }>(
    `SELECT coalesce(max(counter) FILTER (WHERE person_id IS DISTINCT FROM $3), 0)::int AS others,
            count(*) FILTER (WHERE person_id IS NOT DISTINCT FROM $3)::int AS own
     FROM walk_event WHERE yard_id = $1 AND walk_id = $2`,
    [walkId, personId],
  );
  const last = Math.max(...events.map(({ counter }) => counter));
  const { others = 0, own = 0 } = row ?? {};
  if (last <= others + own + events.length + mostAhead) return;
  throw new Refusal(
    'bad-input',
    'counter: an event is counted far ahead of this walk. Open the walk again; nothing was kept.',
  );
};

/** Whoever a walk was for was forgotten: that something was liked is kept, what was noted of them is not. */
const withoutNotes = ({ what, ...event }: WalkEvent): WalkEvent => {
  if (what.kind !== 'mark') return { ...event, what };
  const { note, memo, ...mark } = what;
  return { ...event, what: mark };
};

/**
 * Keeps events of a walk, within a transaction; one that is there already stays as it is.
 * @param personId whose they are; nobody's where they are brought in
 * @throws Refusal not-found, bad-input, other-body
 */
export const keepEvents = async (
  yard: WithinYard,
  walkId: string,
  events: readonly WalkEvent[],
  personId: string | null,
): Promise<void> => {
  const walk = await yard.findOne(Walk, { id: walkId });
  if (!walk) throw missing();
  await refuseAhead(yard, walkId, events, personId);
  const sent = events.map((event) => ({ id: event.id, body: { walkId, event } }));
  const fresh = await firstSent(yard, 'event', sent);
  await yard.insertMissing(
    WalkEventRow,
    events
      .filter(({ id }) => fresh.has(id))
      .map((event) => (walk.buyerForgotten ? withoutNotes(event) : event))
      .map((event) => ({ walkId, ...event, personId, receivedAt: new Date() })),
  );
  if (events.some(({ what }) => what.kind === 'finish')) await learnPace(yard, walk.personId);
  const newest = events.at(-1)?.id;
  await yard.announce('walk', walkId, newest ? { newest } : {});
};

/** So many of their last walks tell how fast somebody speaks: people change. */
const walksHeard = 12;

/** Notes how fast somebody speaks by their last walks at this yard. */
const learnPace = async (yard: WithinYard, personId: string | null): Promise<void> => {
  if (personId === null) return;
  const last = { order: { createdAt: 'DESC' }, take: walksHeard } as const;
  const walks = await withEvents(yard, await yard.find(Walk, { personId }, last));
  const learnedPace = paceFrom(walks)?.pace;
  if (learnedPace !== undefined) {
    await yard.manager.update(Person, { id: personId }, { learnedPace });
  }
};

/**
 * One walk with all its events.
 * @throws Refusal not-found
 */
export const readWalk = async (yard: InYard, id: string): Promise<WalkView> => {
  const walk = await yard.findOne(Walk, { id });
  if (!walk) throw missing();
  const events = await yard.find(WalkEventRow, { walkId: id });
  const view = toView(walk, events);
  const last = inOrder(view.events).at(-1)?.id;
  const at = events.find((event) => event.id === last)?.receivedAt.getTime();
  return at === undefined ? view : { ...view, idle: Math.max(Date.now() - at, 0) };
};

const withEvents = async (yard: InYard, walks: readonly Walk[]): Promise<readonly WalkView[]> => {
  const events = await yard.find(WalkEventRow, { walkId: In(walks.map(({ id }) => id)) });
  const of = new Map<string, WalkEventRow[]>(walks.map(({ id }) => [id, []]));
  for (const event of events) of.get(event.walkId)?.push(event);
  return walks.map((walk) => toView(walk, of.get(walk.id) ?? []));
};

/** One that was planned and never begun leaves no log. */
const isBegun = ({ events }: WalkView): boolean => events.some(({ what }) => what.kind === 'begin');

/** The walks of a unit that were begun, newest first. */
export const walksOf = async (yard: InYard, unitId: string): Promise<readonly WalkView[]> => {
  const walks = await yard.find(Walk, { unitId }, { order: { createdAt: 'DESC' } });
  return (await withEvents(yard, walks)).filter(isBegun);
};

/** The last walks of a yard that were begun, newest first. @param take out of so many at most */
export const lastWalks = async (yard: InYard, take: number): Promise<readonly WalkView[]> => {
  const walks = await yard.find(Walk, {}, { order: { createdAt: 'DESC', id: 'ASC' }, take });
  return (await withEvents(yard, walks)).filter(isBegun);
};

/** Whose some walks are, as the caller may be told. */
export const asSeenBy = async (
  yard: InYard,
  walks: readonly WalkView[],
  { personId, role }: { readonly personId: string; readonly role: Role },
): Promise<readonly YardWalk[]> => {
  const accounts = may(role, 'record') ? await accountsBehind(yard.manager, walks) : undefined;
  return walks.map(({ personId: owner, ...walk }) => {
    const account = accounts?.get(owner);
    return { ...walk, own: owner === personId, ...(account ? { account } : {}) };
  });
};
