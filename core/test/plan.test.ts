import { describe, expect, it } from '@jest/globals';
import { modelTalk, pointsOf, type Point } from '@fair-gable/core/show/cards';
import { faultsOf } from '@fair-gable/core/show/disclosure';
import {
  interestWords,
  isCompulsory,
  planCards,
  planProblem,
  planWalk,
  preparationsFor,
  replan,
  secondsOf,
  stationsIn,
  worthOfPoint,
  type PlanWish,
} from '@fair-gable/core/show/plan';
import {
  foldWalk,
  nextEvent,
  type WalkEvent,
  type WalkPlan,
  type What,
} from '@fair-gable/core/show/walk';
import { audiences, stationEntry, type Audience } from '@fair-gable/core/unit/catalog';
import { operableOf } from '@fair-gable/core/unit/condition';
import {
  applyChange,
  type Change,
  emptyRecord,
  hasFeature,
  textOf,
} from '@fair-gable/core/unit/record';
import {
  legs,
  type Route,
  routeOf,
  routeSchema,
  routesOf,
  stationsOn,
  usualRoute,
  usualRoutes,
} from '@fair-gable/core/unit/route';
import { demoSheets } from './demo-sheets.ts';
import { demoFiles, demoRecord, us } from './demo-units.ts';
import { byHighs, loadHighs } from './highs.ts';

const wish = (more: Partial<PlanWish> = {}): PlanWish => ({
  listeners: [],
  available: 900,
  route: usualRoute,
  ready: [],
  pinned: new Set(),
  dropped: new Set(),
  ...more,
});
const listener = (audience: Audience) => [{ audience, weight: 1 }];
const fenlark = demoRecord('TQ-0417');
const cards = pointsOf(fenlark, us);

describe('the cards of a walk', () => {
  it('begin with the faults, in plain words, whatever the time', () => {
    for (const { record } of demoFiles) {
      const plan = planCards(record, pointsOf(record, us), wish({ available: 30 }));
      const faults = faultsOf(record, us).filter(({ first }) => first);
      expect(plan.points.filter(({ first }) => first)).toHaveLength(faults.length);
      expect(plan.points.findLastIndex(({ first }) => first)).toBe(faults.length - 1);
    }
  });

  it('keep to the time, or say by how much what must be said runs over and what telling would save', () => {
    for (const { record } of demoFiles) {
      for (const available of [60, 300, 900, 2400]) {
        const plan = planCards(record, pointsOf(record, us), wish({ available }));
        if (plan.over === 0) expect(plan.seconds).toBeLessThanOrEqual(available);
        else {
          expect(plan.seconds - available).toBe(plan.over);
          expect(plan.points.every(isCompulsory)).toBe(true);
          for (const { saves } of plan.couldTell) expect(saves).toBeGreaterThan(0);
        }
      }
    }
  });

  it('are each given or left out with a reason', () => {
    const plan = planCards(fenlark, cards, wish({ listeners: listener('couple') }));
    expect(plan.points.length + plan.leftOut.length).toBe(cards.length);
    for (const { reason } of plan.leftOut) {
      expect(reason).toMatch(/^\d+ s, (of (real|some|little) interest to couple|and .+ first)$/);
    }
  });

  it('of more minutes are worth no less, for every audience', () => {
    for (const { key } of audiences) {
      const worth = (available: number) => {
        const { problem } = planProblem(
          fenlark,
          cards,
          wish({ available, listeners: listener(key) }),
        );
        return planWalk(problem).worth;
      };
      const rising = [300, 600, 900, 1500].map(worth);
      expect(rising).toEqual(rising.toSorted((a, b) => a - b));
    }
  });

  it('follow a wish: what is pinned is in, what is taken out is not', () => {
    const plain = planCards(fenlark, cards, wish({ available: 600 }));
    const out = plain.leftOut[0]?.point as Point;
    const into = plain.points.find((point) => !isCompulsory(point)) as Point;
    const plan = planCards(
      fenlark,
      cards,
      wish({ available: 600, pinned: new Set([out.id]), dropped: new Set([into.id]) }),
    );
    const ids = plan.points.map(({ id }) => id);
    expect(ids).toContain(out.id);
    expect(ids).not.toContain(into.id);
    expect(plan.leftOut.find(({ point }) => point.id === into.id)?.reason).toBe('taken out by you');
  });

  it('give linked ones both or neither', () => {
    const linked = cards.filter(({ link }) => link);
    for (const available of [200, 400, 700, 1200]) {
      const ids = new Set(
        planCards(fenlark, cards, wish({ available })).points.map(({ id }) => id),
      );
      for (const { id, link } of linked) {
        for (const mate of linked.filter((other) => other.link === link)) {
          expect(ids.has(mate.id)).toBe(ids.has(id));
        }
      }
    }
  });

  it('end with the slide closed where the route says so, there is one, and it may be run', () => {
    const closed = { ...usualRoute, endsClosed: true };
    for (const { record } of demoFiles) {
      const plan = planCards(record, pointsOf(record, us), wish({ route: closed }));
      const last = plan.points.at(-1)?.id === 'route.slide-closed';
      const { may, toldOnly } = operableOf(record);
      const isWorking = record.features.slide?.value.tried !== 'faulty';
      expect(last).toBe(hasFeature(record, 'slide') && may && !toldOnly.has('slide') && isWorking);
      if (plan.over === 0) expect(plan.seconds).toBeLessThanOrEqual(900);
    }
  });

  it('cost less where the slide is out already', () => {
    const marl = demoFiles.find(({ record }) => hasFeature(record, 'slide'))?.record ?? emptyRecord;
    const all = pointsOf(marl, us);
    const worth = (ready: PlanWish['ready']) =>
      planWalk(planProblem(marl, all, wish({ available: 500, ready })).problem).worth;
    expect(worth(['slide', 'awning', 'power'])).toBeGreaterThanOrEqual(worth([]));
  });
});

describe('what a card is worth', () => {
  it('is most to whom its entry names, and in words', () => {
    const bunk = pointsOf(demoRecord('TQ-0419'), us).find(({ id }) => id === 'features.bunks');
    const point = bunk ?? (cards.find(({ id }) => id === 'features.awning') as Point);
    const to = (audience: Audience) => worthOfPoint(point, listener(audience));
    const values = audiences.map(({ key }) => to(key));
    expect(Math.max(...values)).toBeGreaterThan(Math.min(...values));
    expect(interestWords(point, [])).toMatch(/^of (real|some|little) interest$/);
  });

  it('is less where the thing is only prepared for, to whoever listens', () => {
    const state = (of: 'prep' | 'standard'): Point => {
      const change = { part: 'features', key: 'secondAc', value: { state: of }, how: 'seen' };
      const record = applyChange(
        emptyRecord,
        { basedOn: 0, ...change } as Change,
        'Ines Rook',
        '2026-04-15T09:00:00.000Z',
      );
      return pointsOf(record, us)[0] as Point;
    };
    for (const { key } of audiences) {
      const [prepared, there] = [state('prep'), state('standard')];
      expect(worthOfPoint(prepared, listener(key))).toBeLessThan(
        worthOfPoint(there, listener(key)),
      );
    }
    expect(worthOfPoint(state('prep'), [])).toBeLessThan(worthOfPoint(state('standard'), []));
  });

  it('is shared among those who listen by their weight', () => {
    const point = cards.find(({ id }) => id === 'features.awning') as Point;
    const one = worthOfPoint(point, listener('winter'));
    const other = worthOfPoint(point, listener('entertainer'));
    const both = worthOfPoint(point, [
      { audience: 'winter', weight: 3 },
      { audience: 'entertainer', weight: 1 },
    ]);
    expect(both).toBe(Math.round((3 * one + other) / 4));
  });
});

describe('routes', () => {
  const all = (record = fenlark): readonly (readonly [Route, readonly string[]])[] =>
    usualRoutes.map((route) => [route, stationsOn(record, route)]);

  it('of all schools lose no station, and name each once, on every demo unit', () => {
    for (const { record } of demoFiles) {
      for (const [route, order] of all(record)) {
        expect(routeSchema.safeParse(route).success).toBe(true);
        expect([...order].toSorted()).toEqual([...routeOf(record)].toSorted());
      }
    }
  });

  it('the usual one is as it always was', () => {
    for (const { record } of demoFiles) {
      expect(stationsOn(record, usualRoute)).toEqual(routeOf(record));
    }
  });

  it('begin where they say', () => {
    const begins = Object.fromEntries(all().map(([{ key }, order]) => [key, order[0]]));
    expect(begins).toMatchObject({
      'hitch-door': 'hitch',
      'hitch-off-door': 'hitch',
      'numbers-first': 'labels',
      'build-first': 'construction',
      'utilities-first': 'utilities',
    });
    expect(stationEntry(begins['inside-first'] as 'living').layer).toBe('inside');
  });

  it('go down one side and up the other', () => {
    const [door, off] = ['hitch-door', 'hitch-off-door'].map((key) =>
      stationsOn(fenlark, usualRoutes.find((route) => route.key === key) as Route),
    );
    const ring = (order: readonly string[] = []) =>
      order.filter((key) => stationEntry(key as 'hitch').layer === 'outside' && key !== 'hitch');
    expect(ring(off)).toEqual(ring(door).toReversed());
  });

  it('are a yard’s own where it wrote them', () => {
    const own: Route = {
      ...usualRoute,
      label: 'Our way',
      legs: ['numbers', 'hitch'],
      endsClosed: true,
    };
    const added: Route = { ...own, key: 'short', label: 'Short' };
    expect(routesOf([added, own]).map(({ label }) => label)).toEqual([
      'Our way',
      ...usualRoutes.slice(1).map(({ label }) => label),
      'Short',
    ]);
    expect(stationsOn(fenlark, own).slice(0, 2)).toEqual(['labels', 'hitch']);
    expect(routeSchema.safeParse({ ...own, legs: ['hitch', 'hitch'] }).success).toBe(false);
    expect(legs.map(({ key }) => key)).toContain('inside');
  });
});

describe('a new plan on the way', () => {
  const made = planCards(fenlark, cards, wish({ available: 900 }));
  const plan: WalkPlan = {
    id: 'c0ffee00-0000-4000-8000-000000000001',
    unit: 'c0ffee00-0000-4000-8000-000000000002',
    minutes: 15,
    points: [...made.points],
  };
  const give = (...whats: readonly What[]): readonly WalkEvent[] =>
    whats.reduce<readonly WalkEvent[]>(
      (events, what, i) => [
        ...events,
        nextEvent(
          events,
          {
            id: `e0000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
            device: 'de000000-0000-4000-8000-000000000001',
            elapsed: i * 10_000,
          },
          what,
        ),
      ],
      [],
    );
  const firstFive = plan.points.slice(0, 5).map((p): What => ({ kind: 'said', point: p.id }));

  it('keeps to the time that is left, and to what is open', () => {
    const state = foldWalk(plan, give({ kind: 'begin' }, ...firstFive));
    for (const seconds of [60, 180, 480]) {
      const anew = replan(plan, state, seconds);
      const ids = new Set(firstFive.map((what) => ('point' in what ? what.point : '')));
      expect(anew.points.some(({ id }) => ids.has(id))).toBe(false);
      if (anew.over === 0) expect(anew.seconds).toBeLessThanOrEqual(seconds);
    }
  });

  it('once kept, what it leaves out is not offered, and can still be turned to; undo takes it back', () => {
    const before = give({ kind: 'begin' }, ...firstFive);
    const anew = replan(plan, foldWalk(plan, before), 120);
    const keep = anew.points.map(({ id }) => id);
    const events = give({ kind: 'begin' }, ...firstFive, { kind: 'replan', minutes: 4, keep });
    const state = foldWalk(plan, events);
    expect(state.minutes).toBe(4);
    expect(state.leftOut.length).toBe(anew.leftOut.length);
    expect(keep).toContain(state.current?.id);
    const turned = foldWalk(plan, [
      ...events,
      nextEvent(
        events,
        { id: 'e1000000-0000-4000-8000-000000000001', device: plan.id, elapsed: 99_000 },
        { kind: 'turn-to', point: anew.leftOut[0]?.point.id ?? '' },
      ),
    ]);
    expect(turned.current?.id).toBe(anew.leftOut[0]?.point.id);
    const undone = foldWalk(plan, [
      ...events,
      nextEvent(
        events,
        { id: 'e1000000-0000-4000-8000-000000000002', device: plan.id, elapsed: 99_000 },
        { kind: 'undo', event: state.undoable?.id ?? '' },
      ),
    ]);
    expect(undone.leftOut).toEqual([]);
    expect(undone.minutes).toBe(15);
  });

  it('the come-back pile is offered when its station is done, not at once again', () => {
    const [station] = stationsIn(plan.points);
    const here = plan.points.filter((point) => point.station === station && !point.first);
    const others = plan.points.filter((point) => point.first);
    const said = (point: Point): What => ({ kind: 'said', point: point.id });
    const [one, ...rest] = here as [Point, ...Point[]];
    const whats: readonly What[] = [
      { kind: 'begin' },
      ...others.map(said),
      { kind: 'later', point: one.id },
      ...rest.map(said),
    ];
    expect(foldWalk(plan, give(...whats)).current?.id).toBe(one.id);
    const again = foldWalk(plan, give(...whats, { kind: 'later', point: one.id }));
    expect(again.current?.station).not.toBe(station);
  });
});

describe('getting ready', () => {
  it('asks for what the plan uses, longest first', () => {
    const plan = planCards(fenlark, cards, wish({ available: 1800 }));
    const rows = preparationsFor(fenlark, plan.points, plan.needs);
    expect(rows.map(({ lead }) => lead)).toEqual(
      rows.map(({ lead }) => lead).toSorted((a, b) => b - a),
    );
    expect(rows.some(({ key }) => key === 'slide')).toBe(plan.needs.includes('slide'));
    expect(preparationsFor(emptyRecord, [], []).map(({ key }) => key)).toEqual(['keys']);
  });
});

describe('every demo unit for every audience', () => {
  // HiGHS, an integer-programming library of the registry.
  it.each(demoFiles.map(({ record }) => [textOf(record, 'stockNumber') ?? '', record] as const))(
    '%s is planned as an integer-programming library plans it',
    async (_, record) => {
      const highs = await loadHighs();
      const all = pointsOf(record, { ...us, talk: modelTalk(record, demoSheets) });
      for (const [i, { key }] of audiences.entries()) {
        const wished = wish({ available: 480 + 60 * (i % 9), listeners: listener(key) });
        const { problem } = planProblem(record, all, wished);
        const ours = planWalk(problem);
        if (ours.over > 0) continue;
        expect([key, ours.worth]).toEqual([key, byHighs(highs, problem, ours.wantedKept)]);
        expect(secondsOf(problem, ours.taken)).toBeLessThanOrEqual(problem.available);
      }
    },
    120_000,
  );
});
