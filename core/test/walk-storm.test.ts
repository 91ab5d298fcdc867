import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Point } from '@fair-gable/core/show/cards';
import {
  foldWalk,
  logOf,
  nextEvent,
  type CardState,
  type WalkEvent,
  type WalkPlan,
  type What,
} from '@fair-gable/core/show/walk';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const stations = ['hitch', 'front', 'utilities', 'rear'] as const;
const points: readonly Point[] = Array.from({ length: 12 }, (_, i) => ({
  id: `p${i}`,
  station: stations[Math.floor(i / 3)] ?? 'hitch',
  label: `p${i}`,
  sentence: `Say p${i}.`,
  numbers: [],
  seconds: 10,
}));
const plan: WalkPlan = { id: uuid(1), unit: uuid(2), minutes: 10, points: [...points] };

/** What somebody does on one of two phones. */
type Act =
  | { readonly kind: 'said' | 'shown' | 'later' | 'undo' | 'replan'; readonly device: 0 | 1 }
  /** A phone and the server meet: some of what waits goes over, some is cut off, some is sent again. */
  | {
      readonly kind: 'meet';
      readonly device: 0 | 1;
      readonly lost: number;
      readonly again: boolean;
    }
  /** The tab is killed: what is on the device stays, in another order. */
  | { readonly kind: 'kill'; readonly device: 0 | 1 };

const act: fc.Arbitrary<Act> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({
      kind: fc.constantFrom('said', 'shown', 'later', 'undo', 'replan'),
      device: fc.constantFrom(0, 1),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constant('meet'),
      device: fc.constantFrom(0, 1),
      lost: fc.integer({ min: 0, max: 3 }),
      again: fc.boolean(),
    }),
  },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('kill'), device: fc.constantFrom(0, 1) }) },
) as fc.Arbitrary<Act>;

interface World {
  readonly devices: readonly [WalkEvent[], WalkEvent[]];
  readonly unsent: readonly [WalkEvent[], WalkEvent[]];
  readonly server: Map<string, WalkEvent>;
  readonly written: WalkEvent[];
}

const joined = (here: WalkEvent[], there: Iterable<WalkEvent>): void => {
  const known = new Set(here.map(({ id }) => id));
  for (const event of there) if (!known.has(event.id)) here.push(event);
};

/** The server keeps an event once, whoever sends it how often. */
const meet = (world: World, device: 0 | 1, lost: number, again: boolean): void => {
  const waiting = world.unsent[device];
  const sent = waiting.slice(0, Math.max(waiting.length - lost, 0));
  for (const event of again ? [...sent, ...sent] : sent) {
    if (!world.server.has(event.id)) world.server.set(event.id, event);
  }
  // The answer may be cut off too: then the same is sent once more the next time.
  if (!again) waiting.splice(0, sent.length);
  if (lost === 0) joined(world.devices[device], world.server.values());
};

const whatOf = (kind: Act['kind'], events: readonly WalkEvent[]): What | undefined => {
  const state = foldWalk(plan, events);
  if (kind === 'undo') {
    return state.undoable && { kind: 'undo', event: state.undoable.id };
  }
  if (kind === 'replan') {
    const keep = points.filter((_, i) => i % 2 === 0).map(({ id }) => id);
    return { kind: 'replan', minutes: 5, keep };
  }
  const point = state.current?.id;
  return point && (kind === 'said' || kind === 'shown' || kind === 'later')
    ? { kind, point }
    : undefined;
};

const write = (world: World, device: 0 | 1, kind: Act['kind']): void => {
  const events = world.devices[device];
  const what = whatOf(kind, events);
  if (!what) return;
  const id = uuid(1000 + world.written.length);
  const given = { id, device: uuid(10 + device), elapsed: world.written.length * 1000 };
  const event = nextEvent(events, given, what);
  events.push(event);
  world.unsent[device].push(event);
  world.written.push(event);
};

const play = (acts: readonly Act[]): World => {
  const world: World = { devices: [[], []], unsent: [[], []], server: new Map(), written: [] };
  for (const one of acts) {
    if (one.kind === 'meet') meet(world, one.device, one.lost, one.again);
    else if (one.kind === 'kill') world.devices[one.device].reverse();
    else write(world, one.device, one.kind);
  }
  // The network is back for good.
  for (const device of [0, 1, 0, 1] as const) meet(world, device, 0, false);
  return world;
};

/** The same walk by the plainest replay there is: sort, strike out what was undone, go through. */
const naive = (events: readonly WalkEvent[]): ReadonlyMap<string, CardState> => {
  const sorted = [...events].sort((a, b) =>
    a.counter !== b.counter
      ? a.counter - b.counter
      : `${a.device}${a.id}` < `${b.device}${b.id}`
        ? -1
        : 1,
  );
  const struck = new Set<string>();
  for (let i = sorted.length - 1; i >= 0; i--) {
    const event = sorted[i] as WalkEvent;
    if (event.what.kind === 'undo' && !struck.has(event.id)) struck.add(event.what.event);
  }
  const cards = new Map<string, CardState>(points.map(({ id }) => [id, 'open']));
  for (const { id, what } of sorted) {
    if (struck.has(id)) continue;
    if (what.kind === 'said' || what.kind === 'shown' || what.kind === 'later') {
      cards.set(what.point, what.kind);
    }
  }
  return cards;
};

describe('a thousand walks with cuts, kills, duplicates and reorderings', () => {
  it('end with not one tick lost or doubled, the same on both phones and on the server', () => {
    fc.assert(
      fc.property(
        fc.array(act, { maxLength: 40 }),
        fc.infiniteStream(fc.nat(1000)),
        (acts, mix) => {
          const world = play(acts);
          const ids = world.written.map(({ id }) => id).toSorted();
          expect([...world.server.keys()].toSorted()).toEqual(ids);
          for (const events of world.devices) {
            expect(events.map(({ id }) => id).toSorted()).toEqual(ids);
          }
          const shuffled = [...world.server.values()]
            .map((event) => ({ event, at: mix.next().value as number }))
            .toSorted((a, b) => a.at - b.at)
            .map(({ event }) => event);
          const [one, other] = world.devices.map((events) => foldWalk(plan, events));
          const server = foldWalk(plan, [...shuffled, ...shuffled]);
          expect(one).toEqual(server);
          expect(other).toEqual(server);
          expect(new Map(server.cards)).toEqual(naive(world.written));
          const given = [...server.cards.values()].filter((s) => s === 'said' || s === 'shown');
          expect(logOf(plan, shuffled).done).toHaveLength(given.length);
        },
      ),
      { seed: 7, numRuns: 1000 },
    );
  });
});
