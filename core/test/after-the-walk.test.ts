import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { pointsOf, type Point } from '@fair-gable/core/show/cards';
import { riskyIn } from '@fair-gable/core/show/claims';
import {
  logOf,
  nextEvent,
  summaryOf,
  type WalkEvent,
  type WalkPlan,
  type WalkSeen,
  type What,
} from '@fair-gable/core/show/walk';
import {
  buyerSchema,
  draftLetter,
  dueBy,
  followUpSchema,
  inDueOrder,
  lateness,
  proposedFollowUps,
  type DraftOf,
  type FollowUp,
} from '@fair-gable/core/yard/follow-up';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const card = (id: string, station: Point['station']): Point => ({
  id,
  station,
  label: `Card ${id}`,
  sentence: `Say ${id}.`,
  numbers: [],
  seconds: 30,
});
const plan: WalkPlan = {
  id: uuid(900),
  unit: uuid(901),
  minutes: 5,
  points: [card('h1', 'hitch'), card('h2', 'hitch'), card('u1', 'utilities')],
  about: { listeners: [{ audience: 'couple', weight: 1 }], route: 'Hitch first' },
};
/** Events of one device, ten seconds apart. */
const give = (...whats: readonly What[]): readonly WalkEvent[] =>
  whats.reduce<readonly WalkEvent[]>(
    (events, what) => [
      ...events,
      nextEvent(
        events,
        { id: uuid(events.length + 1), device: uuid(500), elapsed: events.length * 10_000 },
        what,
      ),
    ],
    [],
  );
const begin: What = { kind: 'begin' };
const finish: What = { kind: 'finish' };
const said = (point: string): What => ({ kind: 'said', point });
const mark = (point: string, as: 'liked' | 'asked' | 'promise' | 'not-working', note?: string) =>
  ({ kind: 'mark', point, mark: as, ...(note ? { note } : {}) }) satisfies What;

describe('what a walk leaves to do', () => {
  const events = give(
    begin,
    said('h1'),
    mark('h1', 'promise', 'send the manual'),
    mark('h2', 'asked', 'How long is the cable?'),
    mark('u1', 'not-working'),
    mark('u1', 'liked'),
    finish,
  );
  const proposed = proposedFollowUps(plan, logOf(plan, events), '2026-03-14');

  it('is a promise, a question and a fault, each with its day', () => {
    expect(proposed.map(({ kind, text, due }) => [kind, text, due])).toEqual([
      ['promise', 'Card h1: send the manual', '2026-03-15'],
      ['question', 'Card h2: How long is the cable?', '2026-03-16'],
      ['fault', 'Card u1', '2026-03-15'],
    ]);
    for (const one of proposed) expect(followUpSchema.safeParse(one).error).toBeUndefined();
  });

  it('is proposed under the id of its mark, so that twice is once', () => {
    expect(proposed.map(({ id }) => id)).toEqual([uuid(3), uuid(4), uuid(5)]);
  });

  it('days run over the ends of months and years', () => {
    // Hand-worked: 2028 is a leap year.
    expect(dueBy('promise', '2028-02-28')).toBe('2028-02-29');
    expect(dueBy('question', '2026-12-31')).toBe('2027-01-02');
  });

  it('stands in the order of its days, what is done at the end', () => {
    const one = (id: number, due: string, done?: string): FollowUp => ({
      ...(proposed[0] as FollowUp),
      id: uuid(id),
      due,
      ...(done ? { done } : {}),
    });
    const all = [one(1, '2026-03-20'), one(2, '2026-03-01', '2026-03-02'), one(3, '2026-03-14')];
    expect(inDueOrder(all).map(({ id }) => id)).toEqual([uuid(3), uuid(1), uuid(2)]);
    expect(all.map((f) => lateness(f, '2026-03-15'))).toEqual(['later', 'done', 'late']);
  });
});

describe('somebody who was shown something', () => {
  it.each([
    [{ name: 'Asa Fenn', email: 'asa@harbor.example' }, undefined],
    [{ name: 'Asa Fenn', phone: '+1 555 0100' }, undefined],
    [{ name: 'Asa Fenn' }, /E-mail or phone/],
    [{ name: ' ', phone: '555 0100' }, /Name/],
    [{ name: 'Asa', phone: 'ring me' }, /Phone/],
    [{ name: 'Asa', email: 'asa at harbor' }, /E-mail/],
  ])('%j', (buyer, problem) => {
    const read = buyerSchema.safeParse({ id: uuid(1), ...buyer });
    if (problem === undefined) expect(read.success).toBe(true);
    else expect(read.error?.issues[0]?.message).toMatch(problem);
  });
});

describe('a message to the buyer', () => {
  const fenlark = demoRecord('TQ-0417');
  const points = pointsOf(fenlark, us);
  const whole: WalkPlan = { ...plan, points: [...points] };
  const drafted = (whats: readonly What[], more: Partial<DraftOf> = {}): string =>
    draftLetter({
      walk: plan.id,
      record: fenlark,
      log: logOf(whole, give(begin, ...whats, finish)),
      points,
      followUps: [],
      buyer: 'Asa Fenn',
      from: 'Ines Rook',
      yard: 'Thornquay yard',
      system: 'us',
      withPrice: false,
      ...more,
    }).text;
  const gvwr = points.find(({ id }) => id === 'specs.gvwr') as Point;

  it('points at nothing, and asks what was asked', () => {
    const text = drafted([
      mark('features.entryDoor', 'liked'),
      mark('features.grabHandle', 'asked'),
      mark('specs.gvwr', 'asked', 'how long is the cord'),
      mark('specs.gvwr', 'asked', 'the cord'),
    ]);
    expect(text).not.toMatch(/\bhere\b/i);
    expect(text).toContain('- You asked about this: Grab handle. We’ll find out.');
    expect(text).toContain('- You asked: How long is the cord? We’ll find out.');
    expect(text).toContain('- You asked: The cord. We’ll find out.');
  });

  it('tells a fault once, and not as something they liked', () => {
    const marl = demoRecord('TQ-0377');
    const wrong = pointsOf(marl, us);
    const fault = wrong.find(({ first }) => first) as Point;
    const log = logOf(
      { ...plan, points: [...wrong] },
      give(begin, mark(fault.id, 'liked'), finish),
    );
    const text = drafted([], { record: marl, points: wrong, log });
    expect(text.split(fault.sentence)).toHaveLength(2);
    expect(text).not.toContain('What you liked');
  });

  it('says what was liked and asked in the words of the record', () => {
    const text = drafted([
      mark('specs.gvwr', 'liked'),
      mark('specs.gvwr', 'asked', 'What does it weigh full?'),
    ]);
    expect(text).toContain(`- ${gvwr.sentence}`);
    // A question in somebody’s own words is answered by whoever finds it out, not by the card it was asked at.
    expect(text).toContain('- You asked: What does it weigh full? We’ll find out.');
    expect(text).toMatch(/^Hello Asa Fenn,/);
  });

  it('puts no guess in writing', () => {
    const had = fenlark.specs.gvwr;
    if (!had) throw new Error('no rating');
    const guessed = {
      ...fenlark,
      specs: { ...fenlark.specs, gvwr: { ...had, how: 'guessed' as const } },
    };
    const text = drafted([mark('specs.gvwr', 'liked')], {
      record: guessed,
      points: pointsOf(guessed, us),
    });
    expect(text).toContain('not sure enough');
    expect(text).not.toMatch(/about [\d,]+ lb/);
  });

  it('has no price unless it is switched on, and the faults in any case', () => {
    for (const { record } of demoFiles) {
      const of = { record, points: pointsOf(record, us) };
      const price = record.specs.askingPrice;
      const without = drafted([], of);
      expect(without).not.toMatch(/price/i);
      if (price && price.how !== 'guessed')
        expect(drafted([], { ...of, withPrice: true })).toContain('asking price');
      for (const { sentence } of of.points.filter(({ first }) => first))
        expect(without).toContain(sentence);
    }
  });

  it('names what was promised with its day, and claims nothing that does not hold', () => {
    const followUps: readonly FollowUp[] = [
      {
        id: uuid(1),
        walk: plan.id,
        unit: plan.unit,
        kind: 'promise',
        text: 'send the manual',
        due: '2026-03-15',
        who: '',
      },
    ];
    const text = drafted([mark('features.awning', 'liked')], { followUps });
    expect(text).toMatch(/- By .*15.*2026.*: Send the manual\./);
    expect(riskyIn(text, { record: fenlark, stock: [], system: 'us' })).toEqual([]);
  });
});

describe('over many walks', () => {
  const seen = (id: number, whats: readonly What[], model = 'Fenlark'): WalkSeen => ({
    plan: { ...plan, id: uuid(id) },
    events: give(...whats),
    model,
  });
  const walks = [
    seen(1, [begin, said('h1'), mark('h1', 'liked'), said('u1'), finish]),
    seen(2, [begin, said('h1'), mark('h1', 'asked', 'Why?'), said('h2'), said('u1'), finish]),
    seen(3, [begin, said('h1'), mark('h1', 'asked', 'Why?')], 'Pell'),
  ];
  const summary = summaryOf(walks);

  it('only finished walks tell what was skipped, and how long it took', () => {
    expect(summary).toMatchObject({ walks: 3, finished: 2 });
    expect(summary.skipped).toEqual([{ id: 'h2', label: 'Card h2', planned: 2, skipped: 1 }]);
    expect(summary.pace.map(({ given, of }) => [given, of])).toEqual([
      [2, 3],
      [3, 3],
    ]);
  });

  it('a station’s time is the average over the walks that planned it', () => {
    const hitch = summary.stations.find(({ station }) => station === 'hitch');
    // Hand-worked: 10 s in the first; in the second h1 at 10 s and h2 at 30 s.
    expect(hitch).toMatchObject({ walks: 2, planned: 60_000, taken: 20_000 });
  });

  it('counts questions by model, and what audiences cared about', () => {
    expect(summary.questions).toEqual([
      { model: 'Fenlark', label: 'Card h1', notes: ['Why?'], times: 1 },
      { model: 'Pell', label: 'Card h1', notes: ['Why?'], times: 1 },
    ]);
    expect(summary.asked).toEqual([
      { model: 'Fenlark', times: 1 },
      { model: 'Pell', times: 1 },
    ]);
    expect(summary.cared).toEqual([
      { audience: 'couple', who: 'Couple', label: 'Card h1', liked: 1, asked: 2 },
    ]);
  });

  it('counts every card of every finished walk once: given and skipped are all that was planned', () => {
    const kinds = fc.constantFrom<What>(said('h1'), said('h2'), said('u1'), mark('h1', 'liked'));
    fc.assert(
      fc.property(fc.array(fc.array(kinds, { maxLength: 8 }), { maxLength: 6 }), (all) => {
        const many = all.map((whats, i) => seen(i + 1, [begin, ...whats, finish]));
        const { skipped, pace } = summaryOf(many);
        const missed = skipped.reduce((sum, one) => sum + one.skipped, 0);
        const given = pace.reduce((sum, one) => sum + one.given, 0);
        expect(given + missed).toBe(many.length * plan.points.length);
      }),
      { seed: 20261125, numRuns: 60 },
    );
  });

  it('of no walks is empty', () => {
    expect(summaryOf([])).toEqual({
      walks: 0,
      finished: 0,
      skipped: [],
      stations: [],
      questions: [],
      asked: [],
      pace: [],
      cared: [],
    });
  });
});
