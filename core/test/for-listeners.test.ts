import { describe, expect, it } from '@jest/globals';
import { pointsOf, secondsFor, usualPace, wordsIn, type Point } from '@fair-gable/core/show/cards';
import {
  chosenFor,
  needsOf,
  planCards,
  preparationsFor,
  unknownTo,
  type Listener,
} from '@fair-gable/core/show/plan';
import {
  nextEvent,
  paceFor,
  paceFrom,
  type WalkEvent,
  type WalkPlan,
  type What,
} from '@fair-gable/core/show/walk';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { usualRoute } from '@fair-gable/core/unit/route';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const fenlark = demoRecord('TQ-0417');
const planFor = (record: UnitRecord, listeners: readonly Listener[], operates = true) =>
  planCards(record, pointsOf(record, { ...us, operates }), {
    listeners,
    available: 600,
    route: usualRoute,
    ready: [],
    pinned: new Set(),
    dropped: new Set(),
    operates,
  });
const family: readonly Listener[] = [{ audience: 'family', weight: 1 }];

describe('a walk for somebody', () => {
  it('differs from the one for anybody, and says in what', () => {
    const [mine, anybody] = [planFor(fenlark, family), planFor(fenlark, [])];
    const { chosen, dropped } = chosenFor(mine, anybody);
    expect(chosen.length).toBeGreaterThan(0);
    expect(dropped.length).toBeGreaterThan(0);
    const ids = (points: readonly Point[]) => points.map(({ id }) => id);
    expect(ids(mine.points)).toEqual(expect.arrayContaining(ids(chosen)));
    for (const id of ids(dropped)) expect(ids(mine.points)).not.toContain(id);
  });

  it('is the same walk where nobody in particular hears it', () => {
    const plan = planFor(fenlark, []);
    expect(chosenFor(plan, plan)).toEqual({ chosen: [], dropped: [] });
  });

  it('names what they will ask for and nobody has recorded', () => {
    const bare = { ...fenlark, specs: {}, features: {} } as UnitRecord;
    const labels = unknownTo(bare, family).map(({ key }) => key);
    expect(labels).toContain('sleeps');
    for (const entry of unknownTo(fenlark, family)) {
      const known = fenlark.specs[entry.key as 'gvwr'] ?? fenlark.features[entry.key as 'solar'];
      expect([entry.key, known === undefined || known.how === 'guessed']).toEqual([
        entry.key,
        true,
      ]);
      expect(entry.audiences).toContain('family');
    }
  });
});

describe('what a unit’s status forbids', () => {
  const closed = demoFiles
    .map(({ record }) => record)
    .filter((record) => Object.keys(record.signatures['inspection'] ?? {}).length === 0);

  it('is not asked for, on no unit that nobody has inspected', () => {
    expect(closed.length).toBeGreaterThan(10);
    for (const record of closed) {
      const plan = planFor(record, []);
      expect(plan.needs.filter((need) => need !== 'inside')).toEqual([]);
      const ready = preparationsFor(record, plan.points, plan.needs).map(({ key }) => key);
      expect(ready.filter((key) => !['clean', 'staging', 'keys'].includes(key))).toEqual([]);
      expect(plan.points.map(({ id }) => id)).not.toContain('route.slide-closed');
    }
  });

  it('is not asked of whoever may operate nothing', () => {
    const plan = planFor(fenlark, [], false);
    expect(plan.needs.filter((need) => need !== 'inside')).toEqual([]);
    const ready = preparationsFor(fenlark, plan.points, plan.needs, false);
    expect(ready.map(({ key }) => key)).not.toContain('power');
    const inside = pointsOf(fenlark, us).find(({ station }) => station === 'kitchen');
    expect(inside && needsOf(fenlark, inside, false)).toEqual(['inside']);
    expect(inside && needsOf(fenlark, inside)).toContain('slide');
  });
});

describe('how fast somebody speaks', () => {
  const points: readonly Point[] = Array.from({ length: 20 }, (_, i) => ({
    id: `own.${i}`,
    station: 'hitch',
    label: `Card ${i}`,
    sentence: 'Ten words are said here, one after the other, slowly.',
    numbers: [],
    seconds: 15,
  }));
  const plan: WalkPlan = {
    id: '00000000-0000-4000-8000-000000000001',
    unit: '00000000-0000-4000-8000-000000000002',
    minutes: 20,
    points: [...points],
  };
  /** A walk given at so many words a minute, with a breath after each card. */
  const given = (pace: number, { cards = 20, finished = true, slow = 0 } = {}) => {
    const words = wordsIn(points[0]?.sentence ?? '');
    const each = (words * 60_000) / pace + 4000;
    const whats: readonly What[] = [
      { kind: 'begin' },
      ...points.slice(0, cards).map(({ id }): What => ({ kind: 'said', point: id })),
      ...(finished ? [{ kind: 'finish' } as const] : []),
    ];
    const events = whats.reduce<readonly WalkEvent[]>((before, what, i) => {
      const talked = i > 0 && i <= slow ? 60_000 : 0;
      const elapsed = Math.round((before.at(-1)?.elapsed ?? 0) + (i === 0 ? 0 : each + talked));
      const id = `00000000-0000-4000-8000-0000000001${String(i).padStart(2, '0')}`;
      const device = '00000000-0000-4000-8000-000000000003';
      return [...before, nextEvent(before, { id, device, elapsed }, what)];
    }, []);
    return { plan, events };
  };

  it.each([138, 170, 190, 221])('is learned from one’s own walks: %s words a minute', (pace) => {
    const learned = paceFrom([given(pace)])?.pace ?? 0;
    expect(Math.abs(learned - pace)).toBeLessThanOrEqual(2);
  });

  it('is the middle of all cards, so that a few questions in between do not count', () => {
    const learned = paceFrom([given(180, { slow: 6 })])?.pace ?? 0;
    expect(Math.abs(learned - 180)).toBeLessThanOrEqual(2);
  });

  it('is not learned from few cards, or from walks that were broken off', () => {
    expect(paceFrom([given(180, { cards: 8 })])).toBeUndefined();
    expect(paceFrom([given(180, { finished: false })])).toBeUndefined();
    expect(paceFrom([])).toBeUndefined();
  });

  it('is what somebody set, before what their walks show, before what is usual', () => {
    expect([paceFor(150, 200), paceFor(null, 200), paceFor(null, null)]).toEqual([
      150,
      200,
      usualPace,
    ]);
  });

  it('makes cards longer or shorter', () => {
    const slow = pointsOf(fenlark, { ...us, pace: 138 });
    const fast = pointsOf(fenlark, { ...us, pace: 221 });
    const sum = (all: readonly Point[]) => all.reduce((so, { seconds }) => so + seconds, 0);
    expect(sum(slow)).toBeGreaterThan(sum(fast));
    expect(secondsFor('one two three', 60, 0)).toBeGreaterThan(secondsFor('one two three', 180, 0));
  });
});
