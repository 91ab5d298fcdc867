import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  pointSchema,
  pointsOf,
  secondsFor,
  totalSeconds,
  usualPace,
  type Point,
} from '@fair-gable/core/show/cards';
import {
  clock,
  foldWalk,
  inOrder,
  logOf,
  nextEvent,
  paceOf,
  walkEventSchema,
  workedMs,
  type WalkEvent,
  type WalkPlan,
  type What,
} from '@fair-gable/core/show/walk';
import type { HowKnown } from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  type FeatureValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const card = (id: string, station: Point['station']): Point => ({
  id,
  station,
  label: id,
  sentence: `Say ${id}.`,
  numbers: [],
  seconds: 30,
});
const plan: WalkPlan = {
  id: uuid(900),
  unit: uuid(901),
  minutes: 5,
  points: [
    card('h1', 'hitch'),
    card('h2', 'hitch'),
    card('f1', 'front'),
    card('u1', 'utilities'),
    card('u2', 'utilities'),
  ],
};

/** Events of one device, a second apart. */
const give = (...whats: readonly What[]): readonly WalkEvent[] =>
  whats.reduce<readonly WalkEvent[]>(
    (events, what) => [
      ...events,
      nextEvent(
        events,
        { id: uuid(events.length + 1), device: uuid(500), elapsed: events.length * 1000 },
        what,
      ),
    ],
    [],
  );
const said = (point: string): What => ({ kind: 'said', point });
const begin: What = { kind: 'begin' };
const current = (...whats: readonly What[]) => foldWalk(plan, give(...whats)).current?.id;

describe('giving a walk', () => {
  it('goes card by card in the order of the plan', () => {
    expect(current(begin)).toBe('h1');
    expect(current(begin, said('h1'))).toBe('h2');
    expect(current(begin, said('h1'), { kind: 'shown', point: 'h2' })).toBe('f1');
  });

  it('jumps, and heals the order afterwards', () => {
    const jump: What = { kind: 'jump', station: 'utilities' };
    expect(current(begin, jump)).toBe('u1');
    expect(current(begin, jump, said('u1'))).toBe('u2');
    expect(current(begin, jump, said('u1'), said('u2'))).toBe('h1');
  });

  it('offers the come-back pile at the end, and any card of it on asking', () => {
    const later: What = { kind: 'later', point: 'h1' };
    const rest = ['h2', 'f1', 'u1', 'u2'].map(said);
    expect(current(begin, later)).toBe('h2');
    expect(current(begin, later, ...rest)).toBe('h1');
    expect(current(begin, later, { kind: 'turn-to', point: 'h1' })).toBe('h1');
    expect(current(begin, later, { kind: 'turn-to', point: 'h1' }, said('h1'))).toBe('h2');
    expect(current(begin, later, ...rest, said('h1'))).toBeUndefined();
  });

  it('lists what was missed: put off, or passed by', () => {
    const state = foldWalk(
      plan,
      give(
        begin,
        { kind: 'later', point: 'h1' },
        { kind: 'jump', station: 'utilities' },
        said('u1'),
      ),
    );
    expect(state.missed.map((p) => p.id)).toEqual(['h1', 'h2', 'f1']);
    expect(foldWalk(plan, give(begin, said('h1'))).missed).toEqual([]);
  });

  it('undoes the last act, and then the one before', () => {
    const acts = give(begin, said('h1'), { kind: 'mark', point: 'h2', mark: 'asked' });
    const first = foldWalk(plan, acts).undoable!;
    expect(first.what.kind).toBe('mark');
    const once = [
      ...acts,
      nextEvent(
        acts,
        { id: uuid(50), device: uuid(500), elapsed: 9000 },
        { kind: 'undo', event: first.id },
      ),
    ];
    expect(foldWalk(plan, once).marks).toEqual([]);
    const second = foldWalk(plan, once).undoable!;
    const twice = [
      ...once,
      nextEvent(
        once,
        { id: uuid(51), device: uuid(500), elapsed: 9500 },
        { kind: 'undo', event: second.id },
      ),
    ];
    expect(foldWalk(plan, twice).current?.id).toBe('h1');
    expect(foldWalk(plan, twice).undoable).toBeUndefined();
  });

  it('never undoes beginning, pausing or finishing', () => {
    expect(
      foldWalk(plan, give(begin, { kind: 'pause' }, { kind: 'resume' })).undoable,
    ).toBeUndefined();
  });

  it('pauses, goes on and finishes', () => {
    expect(foldWalk(plan, give(begin, { kind: 'pause' })).paused).toBe(true);
    expect(foldWalk(plan, give(begin, { kind: 'pause' }, { kind: 'resume' })).paused).toBe(false);
    const done = foldWalk(plan, give(begin, said('h1'), { kind: 'finish' }));
    expect(done).toMatchObject({ finished: true, current: undefined });
    // A finish by mistake is gone on with; what lies between is no walking time.
    const events = give(begin, said('h1'), { kind: 'finish' }, { kind: 'resume' }, said('h2'));
    const later = events.map((event, i) => ({
      ...event,
      elapsed: [0, 10, 20, 500, 510][i]! * 1000,
    }));
    expect(foldWalk(plan, later)).toMatchObject({ finished: false, paused: false, worked: 30_000 });
    expect(foldWalk(plan, later).current?.id).toBe('f1');
  });

  it('does not count pauses as walking', () => {
    // Begins at 0 s, pauses at 1 s, goes on at 2 s, says at 3 s: two seconds of walking.
    const events = give(begin, { kind: 'pause' }, { kind: 'resume' }, said('h1'));
    expect(workedMs(events)).toBe(2000);
    expect(workedMs(events, 10_000)).toBe(9000);
  });

  it('comes to the same in whatever order events arrive, and however often', () => {
    const what = fc.oneof(
      fc.constantFrom<What>(begin, { kind: 'pause' }, { kind: 'resume' }, { kind: 'finish' }),
      fc.record({
        kind: fc.constantFrom('said', 'shown', 'later', 'turn-to'),
        point: fc.constantFrom('h1', 'h2', 'f1', 'u1', 'u2'),
      }),
      fc.record({
        kind: fc.constant('jump'),
        station: fc.constantFrom('hitch', 'front', 'utilities'),
      }),
      fc.record({ kind: fc.constant('undo'), event: fc.integer({ min: 0, max: 30 }).map(uuid) }),
    ) as fc.Arbitrary<What>;
    const event = fc.record({
      id: fc.integer({ min: 0, max: 30 }).map(uuid),
      device: fc.constantFrom(uuid(500), uuid(501)),
      counter: fc.integer({ min: 1, max: 12 }),
      elapsed: fc.integer({ min: 0, max: 60_000 }),
      what,
    });
    const unique = fc.uniqueArray(event, { selector: (e) => e.id, maxLength: 20 });
    const plain = (events: readonly WalkEvent[]) => {
      const state = foldWalk(plan, events);
      return {
        ...state,
        cards: [...state.cards],
        log: logOf(plan, events),
      };
    };
    fc.assert(
      fc.property(
        unique.chain((events) =>
          fc.tuple(fc.constant(events), fc.shuffledSubarray(events, { minLength: events.length })),
        ),
        ([events, shuffled]) => {
          expect(plain([...shuffled, ...events])).toEqual(plain(events));
        },
      ),
    );
  });

  it('orders by counter, never by time', () => {
    const a = { id: uuid(1), device: uuid(500), counter: 2, elapsed: 10, what: begin };
    const b = { id: uuid(2), device: uuid(501), counter: 1, elapsed: 99, what: begin };
    expect(inOrder([a, b]).map((e) => e.id)).toEqual([b.id, a.id]);
  });

  it('counts on from the highest counter seen on any device', () => {
    const seen = [{ id: uuid(1), device: uuid(501), counter: 7, elapsed: 0, what: begin }];
    const next = nextEvent(seen, { id: uuid(2), device: uuid(500), elapsed: 5 }, said('h1'));
    expect(next.counter).toBe(8);
    expect(walkEventSchema.safeParse(next).success).toBe(true);
  });
});

describe('pace', () => {
  it('compares the time gone with the cards given', () => {
    const state = foldWalk(plan, give(begin, said('h1'), said('h2')));
    expect(paceOf(plan, state, 30_000)).toEqual({ timeGone: 0.1, walkDone: 0.4, ahead: 30 });
    expect(paceOf(plan, state, 999_000).timeGone).toBe(1);
  });
});

describe('the log', () => {
  const events = give(
    begin,
    said('h1'),
    { kind: 'mark', point: 'h2', mark: 'asked', note: 'How long is the cable?' },
    { kind: 'shown', point: 'h2' },
    { kind: 'later', point: 'f1' },
    { kind: 'jump', station: 'utilities' },
    said('u1'),
    { kind: 'finish' },
  );
  const log = logOf(plan, events);

  it('says what was said and shown, when', () => {
    expect(log.done.map((line) => [line.point.id, line.how, line.at])).toEqual([
      ['h1', 'said', 1000],
      ['h2', 'shown', 3000],
      ['u1', 'said', 6000],
    ]);
    expect(log.finished).toBe(true);
    expect(log.worked).toBe(7000);
  });

  it('says what was missed and what was asked', () => {
    expect(log.missed.map((p) => p.id)).toEqual(['f1', 'u2']);
    expect(log.marks).toEqual([
      {
        id: uuid(3),
        point: 'h2',
        mark: 'asked',
        note: 'How long is the cable?',
        at: 2000,
        label: 'h2',
      },
    ]);
  });

  it('gives each station its time beside the planned', () => {
    expect(log.stations).toEqual([
      { station: 'hitch', label: 'Hitch', planned: 60_000, taken: 3000 },
      { station: 'front', label: 'Front wall', planned: 30_000, taken: 0 },
      { station: 'utilities', label: 'Utilities', planned: 60_000, taken: 3000 },
    ]);
  });

  it('writes times as minutes and seconds', () => {
    expect([clock(0), clock(59_999), clock(550_000), clock(-5)]).toEqual([
      '0:00',
      '0:59',
      '9:10',
      '0:00',
    ]);
  });
});

describe('talking points', () => {
  const at = '2026-04-15T09:00:00.000Z';
  const withTank = (how: HowKnown): UnitRecord =>
    applyChange(
      emptyRecord,
      { part: 'specs', key: 'freshTank', value: { kind: 'quantity', amount: 47 }, how, basedOn: 0 },
      'Ines',
      at,
    );
  const withCamera = (value: FeatureValue, how: HowKnown = 'seen'): string | undefined =>
    pointsOf(
      applyChange(
        emptyRecord,
        { part: 'features', key: 'rearCamera', value, how, basedOn: 0 },
        'Ines',
        at,
      ),
      us,
    )[0]?.sentence;

  it.each([
    ['read', 'You carry 47 gallons of fresh water.'],
    ['measured', 'You carry 47 gallons of fresh water.'],
    // What the maker's sheet says is said plainly; its mark stands beside it.
    ['sheet', 'You carry 47 gallons of fresh water.'],
    ['told', 'We’re told: you carry 47 gallons of fresh water.'],
    [
      'guessed',
      'There’s a fresh tank for camping without a hookup. I’d want to measure that before I give you a number.',
    ],
  ] as const)('are worded by how well a value is known: %s', (how, sentence) => {
    expect(pointsOf(withTank(how), us)[0]).toMatchObject({ sentence, how });
  });

  it.each([
    [{ state: 'standard' }, 'A rear camera looks back while you drive.'],
    [
      { state: 'option' },
      'A rear camera looks back while you drive. It’s an option on this model.',
    ],
    [{ state: 'ours' }, 'A rear camera looks back while you drive. We added it here.'],
    [
      { state: 'standard', tried: 'faulty' },
      // The fault itself is told first, by itself.
      'Not working right now: the rear camera.',
    ],
    [{ state: 'prep' }, 'It’s prepped for a rear camera, but that isn’t installed.'],
    [{ state: 'room' }, 'There’s room for a rear camera, but that isn’t installed.'],
    [{ state: 'none' }, undefined],
  ] as const)('never take prep or room for equipment: %j', (value, sentence) => {
    expect(withCamera(value)).toBe(sentence);
  });

  it('hold a guessed feature back', () => {
    expect(withCamera({ state: 'standard' }, 'guessed')).toBe(
      'I haven’t checked whether it has a rear camera; I’d want to look before I say so.',
    );
  });

  it('say nothing of what nobody looked at, and what it lacks where a buyer would ask', () => {
    expect(pointsOf(emptyRecord, us)).toEqual([]);
    expect(pointsOf(demoRecord('TQ-0402'), us).map((p) => p.sentence)).toContain(
      'There’s no water heater.',
    );
  });

  it.each(demoFiles.map((f) => [f.id, f.record] as const))(
    'of %s fit the schema and stand in route order',
    (_, record) => {
      const points = pointsOf(record, us);
      for (const point of points) expect(pointSchema.safeParse(point).error).toBeUndefined();
      // What is said first stands before the route.
      const stations = points.filter((p) => !p.first).map((p) => p.station);
      const blocks = stations.filter((s, i) => s !== stations[i - 1]);
      expect(new Set(blocks).size).toBe(blocks.length);
    },
  );

  it('carry the caution of what is shown', () => {
    const slide = pointsOf(demoRecord('TQ-0417'), us).find((p) => p.id === 'features.slide');
    expect(slide).toMatchObject({
      caution: expect.stringContaining('Clear inside and out'),
      show: expect.any(String),
    });
  });

  it('are timed at the speaker’s pace on a five-second grid', () => {
    const words = (n: number): string => Array(n).fill('word').join(' ');
    // Words × 60 ÷ pace, the doing, and four seconds of breath.
    expect(secondsFor('one', usualPace)).toBe(5);
    expect(secondsFor(words(17), 170)).toBe(10);
    expect(secondsFor(words(18), 170)).toBe(15);
    expect(secondsFor(words(18), 190)).toBe(10);
    expect(secondsFor(words(18), 170, 10)).toBe(25);
    expect(totalSeconds(plan.points)).toBe(150);
    expect(usualPace).toBe(170);
  });
});
