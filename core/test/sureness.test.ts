import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { System } from '@fair-gable/core/base/quantity';
import { tires, type TiresInput } from '@fair-gable/core/numbers/tires';
import { drag, tow, towInputSchema } from '@fair-gable/core/numbers/tow';
import { askingOf, freshTrial, questionsFor } from '@fair-gable/core/numbers/trial';
import { water } from '@fair-gable/core/numbers/water';
import { scale, weigh, weightInputSchema } from '@fair-gable/core/numbers/weight';
import { cargoLabel, cargoLabelInputSchema } from '@fair-gable/core/unit/cargo-label';
import { specs, type SpecKey } from '@fair-gable/core/unit/catalog';
import type { Given, Outcome } from '@fair-gable/core/unit/outcome';
import {
  applyChange,
  emptyRecord,
  questionKeys,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { answersFor } from './answers.ts';
import { demoFiles, demoRecord, us } from './demo-units.ts';

/*
 * A result is as well known as the worst input that it leans on, what is assumed included: of every engine, whatever
 * input changes the result, a guess of it makes the result a guess, and being told it makes the result told at best.
 */
const seed = 14;
const known = (amount: number): Given => ({ amount, how: 'read' });
const between = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((n) => known(Math.round(n)));

type Run = (input: never, system: System) => Outcome<unknown>;
interface Engine {
  readonly name: string;
  readonly run: Run;
  readonly inputs: fc.Arbitrary<object>;
}

const item = (key: string) =>
  fc.record({
    key: fc.constant(key),
    label: fc.constant(key),
    weight: between(20, 500),
    back: between(10, 350),
    limit: between(100, 600),
  });

const engines: readonly Engine[] = [
  {
    name: 'weight',
    run: weigh as Run,
    inputs: fc.record({
      uvw: between(4000, 6000),
      hitch: between(400, 800),
      axle: between(180, 260),
      gvwr: between(7000, 8000),
      gawr: between(6500, 7500),
      tires: between(7000, 9000),
      coupler: between(7000, 9000),
      items: fc.tuple(item('front'), item('rear')),
    }),
  },
  {
    name: 'weight from GVWR and capacity',
    run: weigh as Run,
    inputs: fc.record({
      gvwr: between(7000, 8000),
      ccc: between(1000, 2000),
      items: fc.tuple(item('front')),
    }),
  },
  {
    name: 'tow',
    run: tow as Run,
    inputs: fc
      .record({
        loaded: between(4000, 8000),
        gross: between(8000, 9000),
        payload: between(1000, 3000),
        towRating: between(5000, 12_000),
        gcwr: between(12_000, 20_000),
        receiverDistributing: between(500, 1500),
        receiver: between(300, 499),
        curb: between(4000, 7000),
        aboard: between(100, 900),
        hardware: between(50, 100),
        distributing: fc.boolean(),
        reserve: fc.constantFrom(0, 0.2),
      })
      .map((given) => towInputSchema.parse({ ...given, share: { amount: 0.13, how: 'read' } })),
  },
  {
    name: 'tires',
    run: tires as Run,
    inputs: fc.record({
      each: between(1700, 2900),
      highest: between(50, 80),
      pressure: between(30, 80),
      gawr: between(6000, 8000),
      onAxles: between(4000, 7000),
      oldest: between(0, 12),
      count: fc.constant(4),
    }),
  },
  {
    name: 'water',
    run: water as Run,
    inputs: fc.record({
      fresh: between(20, 60),
      gray: between(20, 60),
      galley: between(20, 60),
      black: between(20, 60),
      people: fc.constant(2),
      style: fc.constant('usual'),
      without: fc.constant([]),
    }),
  },
  {
    name: 'cargo label',
    run: cargoLabel as Run,
    inputs: fc
      .record({
        gvwr: between(7000, 8000),
        uvw: between(5000, 6000),
        ccc: between(900, 2000),
        fitted: between(10, 200),
      })
      .map((given) => cargoLabelInputSchema.parse({ ...given, battery: true, propane: known(60) })),
  },
  {
    name: 'scale',
    run: scale as Run,
    inputs: fc.record({
      vehicle: between(5000, 6000),
      together: between(11_500, 12_500),
      trailerAxles: between(4500, 5000),
      expected: between(5000, 7000),
      gvwr: between(7000, 8000),
      gawr: between(6000, 7000),
    }),
  },
  {
    name: 'drag',
    run: drag as Run,
    inputs: fc.record({
      height: between(100, 140),
      width: between(80, 102),
      otherHeight: between(100, 140),
      otherWidth: between(80, 102),
      speed: fc.constant(60),
    }),
  },
];

const isGiven = (value: unknown): value is Given =>
  typeof value === 'object' && value !== null && 'amount' in value && 'how' in value;

/** Every place in an input at which a quantity stands. */
const pathsIn = (
  value: unknown,
  at: readonly (string | number)[] = [],
): readonly (readonly (string | number)[])[] => {
  if (isGiven(value)) return [at];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => pathsIn(inner, [...at, key]));
};
const changedAt = (
  value: unknown,
  [key, ...rest]: readonly (string | number)[],
  to: (given: Given) => Given,
): unknown => {
  if (key === undefined) return to(value as Given);
  if (Array.isArray(value))
    return value.map((inner, i) =>
      String(i) === String(key) ? changedAt(inner, rest, to) : inner,
    );
  const of = value as Record<string, unknown>;
  return { ...of, [key]: changedAt(of[key], rest, to) };
};

/** Without the extreme fillings, which say by themselves how sure they are. */
const headOf = (value: unknown): unknown =>
  Object.fromEntries(
    Object.entries(value ?? {}).filter(
      ([key]) => !['lightest', 'heaviest', 'fillings'].includes(key),
    ),
  );

describe('the confidence of a result', () => {
  it.each(engines.map((engine) => [engine.name, engine] as const))(
    'is no better than any input of %s that changes it',
    (_, { run, inputs }) => {
      fc.assert(
        fc.property(inputs, (input) => {
          const value = (of: unknown) => JSON.stringify(headOf(run(of as never, 'us').value));
          const before = value(input);
          for (const path of pathsIn(input)) {
            const changes = [0.8, 1.25].some(
              (by) =>
                value(
                  changedAt(input, path, (given) => ({
                    ...given,
                    amount: Math.round(given.amount * by * 100) / 100,
                  })),
                ) !== before,
            );
            if (!changes) continue;
            const as = (how: Given['how']) =>
              run(changedAt(input, path, (given) => ({ ...given, how })) as never, 'us');
            for (const how of ['guessed', 'assumed'] as const)
              expect([path.join('.'), how, as(how).confidence]).toEqual([
                path.join('.'),
                how,
                'about',
              ]);
            expect([path.join('.'), as('told').confidence]).not.toEqual([path.join('.'), 'stated']);
          }
        }),
        { seed, numRuns: 40 },
      );
    },
  );

  /** A figure of a record, a fifth more. */
  const more = (record: UnitRecord, key: SpecKey): UnitRecord | undefined => {
    const entry = record.specs[key];
    if (!entry) return undefined;
    const { value } = entry;
    const to =
      value.kind === 'quantity'
        ? { ...value, amount: value.amount * 1.2 }
        : value.kind === 'counted' && value.each !== undefined
          ? { ...value, each: value.each * 1.2 }
          : undefined;
    return to && { ...record, specs: { ...record.specs, [key]: { ...entry, value: to } } };
  };
  const guessed = (record: UnitRecord, key: SpecKey): UnitRecord => {
    const entry = record.specs[key];
    return entry
      ? { ...record, specs: { ...record.specs, [key]: { ...entry, how: 'guessed' } } }
      : record;
  };

  it.each(['TQ-0417', 'TQ-0402', 'TQ-0377', 'TQ-0419', 'TQ-0411'])(
    'from the record of %s through every question: a guess that an answer leans on makes it a guess',
    (stock) => {
      const record = demoRecord(stock);
      const answers = (of: UnitRecord) => answersFor(of, freshTrial(), 'us', us.today);
      const before = answers(record);
      for (const { key } of specs) {
        const changed = more(record, key);
        if (!changed) continue;
        const [after, worse] = [answers(changed), answers(guessed(record, key))];
        for (const question of questionKeys) {
          const isLeaned =
            JSON.stringify(headOf(after[question].value)) !==
            JSON.stringify(headOf(before[question].value));
          if (!isLeaned || worse[question].value === undefined) continue;
          expect([key, question, worse[question].confidence]).toEqual([key, question, 'about']);
        }
      }
    },
  );

  it('is in the headline, the sentence and the step alike', () => {
    for (const { id, record } of demoFiles) {
      const answers = answersFor(record, freshTrial(), 'us', us.today);
      for (const { key, answer } of questionsFor(askingOf(record, freshTrial(), 'us', us.today))) {
        const { value, confidence, sentence } = answers[key];
        if (value === undefined || confidence !== 'about' || key === 'label') continue;
        // What the trailer asks for is as sure as the trailer, though the vehicle be of a class.
        if (key === 'tow' && answers.load.confidence !== 'about') continue;
        expect([id, key, answer, /about|no rating/.test(answer ?? '')]).toEqual([
          id,
          key,
          answer,
          true,
        ]);
        expect([id, key, sentence, /about|usual|as far as/i.test(sentence)]).toEqual([
          id,
          key,
          sentence,
          true,
        ]);
      }
    }
  });

  it('of what stands on a class’s figures is never a fact', () => {
    const answers = answersFor(demoRecord('TQ-0402'), freshTrial(), 'us', us.today);
    expect(answers.tow.confidence).toBe('about');
    const verdicts = answers.tow.steps.filter(({ what }) =>
      /payload|tow rating|receiver/i.test(what),
    );
    expect(verdicts.length).toBeGreaterThan(2);
    for (const { arithmetic } of verdicts.filter(({ what }) => !/asks/.test(what)))
      expect(arithmetic).toContain('= about ');
  });
});

it('the lightest and the heaviest filling are as sure as every tank’s size and place', () => {
  const record = demoRecord('TQ-0417');
  const fillings = (of: UnitRecord) =>
    answersFor(of, freshTrial(), 'us', us.today).load.value?.fillings;
  const gray = record.specs.grayTank;
  if (!gray) throw new Error('no gray tank');
  const worse = {
    ...record,
    specs: { ...record.specs, grayTank: { ...gray, how: 'guessed' as const } },
  };
  expect(fillings(worse)).toBe('about');
});

describe('what should tow it', () => {
  const full = {
    loaded: known(6000),
    share: known(0.13),
    payload: known(1700),
    towRating: known(9000),
    gcwr: known(15_500),
    receiver: known(500),
    receiverDistributing: known(1100),
    distributing: true,
    curb: known(5300),
    aboard: known(350),
    hardware: known(80),
  };
  const answer = (more: object = {}, without: readonly string[] = []) => {
    const given = Object.fromEntries(
      Object.entries({ ...full, ...more }).filter(([key]) => !without.includes(key)),
    );
    return tow(towInputSchema.parse(given), 'us');
  };

  it.each([
    ['payload', 'Payload'],
    ['gcwr', 'GCWR'],
    ['curb', 'GCWR'],
    ['towRating', 'Tow rating'],
  ])(
    'never says that it tows while its %s is missing, and says which limit was not checked',
    (key, name) => {
      const outcome = answer({}, [key]);
      expect(outcome.value?.fits).toBeUndefined();
      expect(outcome.value?.schools.every(({ fits }) => fits !== true)).toBe(true);
      expect(outcome.sentence).toMatch(/Not checked: /);
      expect(outcome.sentence).not.toMatch(/can tow it/);
      expect(outcome.missing.some(({ label }) => label.startsWith(name))).toBe(true);
    },
  );

  it('never says so with neither of the receiver’s ratings', () => {
    expect(answer({}, ['receiver', 'receiverDistributing']).value?.fits).toBeUndefined();
  });

  it('holds against the receiver’s rating of the hitch that is used', () => {
    expect(answer().value?.fits).toBe(true);
    // 780 lb on a plain ball rated 500.
    expect(answer({ distributing: false }).value?.fits).toBe(false);
    const plain = answer({}, ['receiverDistributing']);
    expect(plain.value?.limits.find(({ key }) => key === 'receiver')?.rating).toBe(500);
    expect(plain.assumptions.join(' ')).toContain('plain-ball rating');
  });

  it('says that the reserve is passed, not the rating, where only the reserve is', () => {
    // 5,300 + 430 + 7,200 = 12,930 of 15,500; a fifth kept leaves 12,400.
    const outcome = answer({
      loaded: known(7200),
      reserve: 0.2,
      receiverDistributing: known(1500),
    });
    expect(outcome.value?.fits).toBe(false);
    expect(outcome.sentence).toMatch(/its GCWR holds, but it’s 530 lb into the 20% margin/);
    expect(answer({ loaded: known(11_000) }).sentence).toMatch(/over its \w/);
  });

  it('makes a hitch share outside 10 to 15% part of the answer', () => {
    expect(answer({ share: known(0.08) }).sentence).toMatch(/That’s 8\.0%, on the light side/);
    expect(answer({ share: known(0.17) }).sentence).toMatch(/That’s 17\.0%, heavy for the hitch/);
    expect(answer().sentence).not.toMatch(/light side|heavy for/);
  });

  it('says by itself that people alone are more than the payload', () => {
    expect(answer({ aboard: known(1700) }).sentence).toMatch(
      /Its payload is 1,700 lb, but the people, gear and hitch in it already weigh 1,780 lb\./,
    );
  });

  it('says whether it is the trailer as loaded or at its GVWR', () => {
    expect(answer({ as: 'as loaded here' }).sentence).toMatch(/^As loaded here/);
    const gross = tow(
      towInputSchema.parse({ ...full, loaded: undefined, share: undefined, gross: known(7000) }),
      'us',
    );
    expect(gross.sentence).toMatch(/^At its GVWR, it weighs 7,000 lb/);
    expect(gross.value?.taken).toBe('gross');
    const unloaded = answersFor(emptyRecord, freshTrial(), 'us', us.today);
    expect(unloaded.tow.sentence).not.toMatch(/loaded like this|As loaded here/i);
  });

  it('shows sums that come out as they are shown', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.08, max: 0.18, noNaN: true }), (share) => {
        for (const { what, arithmetic } of answer({ share: known(share) }).steps) {
          if (!/^Largest/.test(what)) continue;
          const [rating, fixed, divisor, largest] = [
            ...arithmetic.replaceAll(/\([a-z][^)]*\)/g, '').matchAll(/[\d,]+(?:\.\d+)?/g),
          ].map(([text]) => Number(text.replaceAll(',', '')));
          expect(
            Math.abs(((rating ?? 0) - (fixed ?? 0)) / (divisor ?? 1) - (largest ?? 0)),
          ).toBeLessThan(1.01);
        }
      }),
      { seed, numRuns: 100 },
    );
    expect(
      answer().steps.some(({ arithmetic }) => arithmetic.includes('hitch hardware 80 lb')),
    ).toBe(true);
  });

  it('refuses what cannot be, by its field', () => {
    const found = towInputSchema.safeParse({ ...full, curb: known(16_000) });
    expect(found.error?.issues[0]?.path).toEqual(['curb', 'amount']);
    expect(tow({ ...towInputSchema.parse(full), curb: known(16_000) }, 'us')).toMatchObject({
      value: undefined,
      sentence: expect.stringContaining('The empty vehicle weighs 16,000 lb'),
    });
  });
});

describe('what may still be loaded', () => {
  it('needs no place for what is left of the GVWR', () => {
    const outcome = weigh(
      weightInputSchema.parse({ uvw: known(5000), gvwr: known(7000), items: [] }),
      'us',
    );
    expect(outcome.value).toMatchObject({ total: 5000, left: 2000 });
    expect(outcome.value?.share).toBeUndefined();
    expect(outcome.sentence).toMatch(
      /room for 2,000 lb more.*still need: hitch weight and where the axles are/,
    );
  });

  it('takes the dry weight from GVWR and capacity where only those are known, marked so', () => {
    const outcome = weigh(
      weightInputSchema.parse({ ccc: known(1500), gvwr: known(7000), items: [] }),
      'us',
    );
    expect(outcome.value?.total).toBe(5500);
    expect(outcome.confidence).toBe('about');
    expect(outcome.assumptions[0]).toContain('GVWR minus CCC');
    expect(outcome.steps[0]?.arithmetic).toBe('7,000 lb − 1,500 lb = about 5,500 lb');
  });

  it.each([
    [
      { uvw: known(5000), hitch: known(6000), gvwr: known(7000) },
      'hitch',
      /Hitch weight, 6,000 lb, is more than the whole trailer/,
    ],
    [{ uvw: known(8000), gvwr: known(7000) }, 'uvw', /UVW, 8,000 lb, is more than GVWR/],
    [{ ccc: known(7000), gvwr: known(7000) }, 'ccc', /CCC, 7,000 lb, is as much as GVWR/],
  ])('refuses the impossible in the sentence that names the field: %j', (given, field, words) => {
    const read = weightInputSchema.safeParse({ ...given, items: [] });
    expect(read.error?.issues[0]).toMatchObject({
      path: [field, 'amount'],
      message: expect.stringMatching(words),
    });
    expect(weigh({ ...given, items: [] }, 'us')).toMatchObject({
      value: undefined,
      sentence: expect.stringMatching(words),
    });
  });

  it('does not count propane twice that the dry weight holds already', () => {
    const record = demoRecord('TQ-0417');
    const counting = (choice: string): UnitRecord =>
      applyChange(
        record,
        {
          part: 'specs',
          key: 'uvwCounts',
          value: { kind: 'choice', choice },
          how: 'read',
          basedOn: record.specs.uvwCounts?.version ?? 0,
          others: [],
        },
        'Ines',
        '2026-04-15T09:00:00.000Z',
      );
    const total = (choice: string) =>
      answersFor(counting(choice), freshTrial(), 'us', us.today).load.value?.total ?? 0;
    expect(total('neither') - total('propane')).toBe(60);
    expect(total('propane')).toBe(total('both'));
    expect(total('neither')).toBe(total('battery'));
  });
});

describe('whether the tires are enough', () => {
  const four: TiresInput = {
    each: known(2150),
    highest: known(65),
    pressure: known(65),
    gawr: known(7000),
    onAxles: known(5000),
    count: 4,
  };

  it('holds them against the axle ratings, and beside it against the load', () => {
    const { value, sentence } = tires(four, 'us');
    expect(value?.reserve).toBeCloseTo(8600 / 7000 - 1, 9);
    expect(value?.overLoad).toBeCloseTo(8600 / 5000 - 1, 9);
    expect(sentence).toMatch(
      /22\.9% more than the axles are rated for; 72\.0% more than the load on them/,
    );
    // 7,042 lb over 7,000: 0.6%, where ten are wanted.
    const thin = tires({ ...four, each: known(1760.5) }, 'us');
    expect(thin.value?.enough).toBe(false);
    expect(thin.sentence).toMatch(/0\.6% more than the axles are rated for; ten percent is wanted/);
  });

  it('shows that more air than the highest carries no more', () => {
    const { steps, value } = tires({ ...four, pressure: known(80) }, 'us');
    expect(value?.all).toBe(8600);
    expect(steps[0]?.arithmetic).toBe(
      '2,150 lb at 65 psi, its highest; 80 psi carries no more = 2,150 lb',
    );
  });

  it('takes one wheel’s gauge for that wheel alone', () => {
    const record = demoRecord('TQ-0417');
    const one = answersFor(
      record,
      { ...freshTrial(), pressures: { DoorFront: 65 } },
      'us',
      us.today,
    ).tires;
    expect(one.confidence).toBe('about');
    expect(one.assumptions.join(' ')).toMatch(/Not measured.*door side, rear/);
    const all = { DoorFront: 65, DoorRear: 65, OffDoorFront: 65, OffDoorRear: 65 };
    expect(
      answersFor(
        record,
        { ...freshTrial(), pressures: all },
        'us',
        us.today,
      ).tires.assumptions.join(' '),
    ).not.toMatch(/Not measured/);
  });

  it('uses the table’s value, marked, where nobody read the sidewall', () => {
    const put =
      (key: SpecKey, value: object): ((r: UnitRecord) => UnitRecord) =>
      (r) =>
        applyChange(
          r,
          { part: 'specs', key, value, how: 'read', basedOn: 0 } as never,
          'Ines',
          '2026-04-15T09:00:00.000Z',
        );
    const record = [
      put('tireSize', { kind: 'text', text: 'ST205/75R15' }),
      put('loadRange', { kind: 'choice', choice: 'D' }),
      put('axleRating', { kind: 'counted', count: 2, each: 3500 }),
    ].reduce((r, change) => change(r), emptyRecord);
    const { tires: outcome } = answersFor(record, freshTrial(), 'us', us.today);
    // ST205/75R15 D: 2,150 lb (TRA tables, from memory).
    expect(outcome.value?.each).toBe(2150);
    expect(outcome.confidence).toBe('about');
    expect(outcome.assumptions.join(' ')).toContain('tables');
    expect(outcome.missing[0]?.field).toBe('specs.tireLoad');
  });
});

describe('how many nights', () => {
  it('takes what these people use in place of what is usual', () => {
    const base = {
      fresh: known(40),
      gray: known(40),
      black: known(40),
      people: 2,
      style: 'usual',
      without: [],
    };
    const rates = { gray: 3, galleyShare: 0.5, black: 1, drunk: 1 };
    // 40 ÷ (5 × 2) = 4 days.
    expect(water({ ...base, rates } as never, 'us').value?.days).toBeCloseTo(4, 9);
  });

  it('says what a little less buys in the reader’s units', () => {
    const base = { fresh: known(40), gray: known(30), people: 2, style: 'usual', without: [] };
    expect(water(base as never, 'us').sentence).toMatch(/A gallon a day less/);
    expect(water(base as never, 'metric').sentence).toMatch(/4 L a day less/);
    expect(water(base as never, 'metric').sentence).not.toMatch(/gallon/);
  });
});
