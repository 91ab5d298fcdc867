import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import highsLoader from 'highs';
import { tires, tiresInputOf, tiresOutcomeSchema } from '@fair-gable/core/numbers/tires';
import {
  tow,
  towInputSchema,
  towOutcomeSchema,
  vehicleClasses,
  type TowInput,
} from '@fair-gable/core/numbers/tow';
import {
  water,
  waterInputOf,
  waterOutcomeSchema,
  waterStyles,
  type WaterInput,
} from '@fair-gable/core/numbers/water';
import {
  balance,
  byTickets,
  extremeFilling,
  hitchPart,
  hitchShare,
  sweep,
  usualTrial,
  weigh,
  weightInputOf,
  weightInputSchema,
  weightOutcomeSchema,
  type WeightInput,
} from '@fair-gable/core/numbers/weight';
import type { Given } from '@fair-gable/core/unit/outcome';
import { demoFiles, demoRecord } from './demo-units.ts';

const known = (amount: number): Given => ({ amount, how: 'read' });
const seed = 6;
const runs = 300;

/*
 * The handbook's check case: UVW 5200, hitch 640, L 18.0 ft; 40 gal fresh at 23.0 ft, 40 lb LP at 2.0, 60 lb battery at
 * 2.5, 250 lb at 7, 200 lb at 14 → total 6083.8 lb, hitch 831.7 lb = 13.67%, axles 5252.1 lb.
 */
const checkCase: WeightInput = weightInputSchema.parse({
  uvw: known(5200),
  hitch: known(640),
  axle: known(18 * 12),
  gvwr: known(7490),
  gawr: known(7000),
  items: [
    {
      key: 'freshTank',
      label: 'Fresh tank',
      weight: known(40 * 8.345),
      back: known(23 * 12),
      full: 40 * 8.345,
    },
    { key: 'propane', label: 'Propane', weight: known(40), back: known(24) },
    { key: 'battery', label: 'Battery', weight: known(60), back: known(30) },
    { key: 'front', label: 'Front store', weight: known(250), back: known(84) },
    { key: 'galley', label: 'Galley', weight: known(200), back: known(168) },
  ],
});

describe('balance', () => {
  it('is as the handbook’s check case has it', () => {
    const { value } = weigh(checkCase, 'us');
    expect(value?.total).toBeCloseTo(6083.8, 1);
    expect(value?.hitch).toBeCloseTo(831.7, 1);
    expect(value?.axles).toBeCloseTo(5252.1, 1);
    expect((value?.share ?? 0) * 100).toBeCloseTo(13.67, 2);
  });

  const load = fc.record({
    weight: fc.double({ min: 0, max: 900, noNaN: true }),
    back: fc.double({ min: 0, max: 420, noNaN: true }),
  });
  const trailer = fc.record({
    total: fc.double({ min: 1500, max: 9000, noNaN: true }),
    part: fc.double({ min: 0.05, max: 0.2, noNaN: true }),
    axle: fc.double({ min: 120, max: 300, noNaN: true }),
    items: fc.array(load, { maxLength: 8 }),
  });

  it('is the direct solution of forces and moments, on seeded cases', () => {
    fc.assert(
      fc.property(trailer, ({ total, part, axle, items }) => {
        const empty = { total, hitch: total * part };
        const standing = balance(empty, axle, items);
        // Two equations: forces, and moments about the coupler; the empty trailer as one force at its own middle.
        const middle = (1 - part) * axle;
        const forces = [{ weight: total, back: middle }, ...items];
        const sum = forces.reduce((s, f) => s + f.weight, 0);
        const moment = forces.reduce((s, f) => s + f.weight * f.back, 0);
        expect(standing.axles).toBeCloseTo(moment / axle, 4);
        expect(standing.hitch).toBeCloseTo(sum - moment / axle, 4);
      }),
      { seed, numRuns: runs },
    );
  });

  it('moves the hitch as its derivative says, by finite differences', () => {
    fc.assert(
      fc.property(trailer, load, ({ total, part, axle, items }, { back }) => {
        const empty = { total, hitch: total * part };
        const with1 = (w: number) => balance(empty, axle, [...items, { weight: w, back }]).hitch;
        expect((with1(101) - with1(100)) / 1).toBeCloseTo(hitchPart(back, axle), 6);
      }),
      { seed, numRuns: runs },
    );
  });

  it('is the same trailer in other units', () => {
    fc.assert(
      fc.property(
        trailer,
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        ({ total, part, axle, items }, k) => {
          const one = balance({ total, hitch: total * part }, axle, items);
          const scaled = balance(
            { total: total * k, hitch: total * part * k },
            axle * 2.54,
            items.map((i) => ({ weight: i.weight * k, back: i.back * 2.54 })),
          );
          expect(scaled.hitch).toBeCloseTo(one.hitch * k, 4);
          expect(hitchShare(scaled)).toBeCloseTo(hitchShare(one), 8);
        },
      ),
      { seed, numRuns: runs },
    );
  });

  it('finds the extreme fillings that trying all of them finds', () => {
    const tank = fc.record({
      weight: fc.double({ min: 10, max: 600, noNaN: true }),
      back: fc.double({ min: 10, max: 420, noNaN: true }),
    });
    fc.assert(
      fc.property(
        trailer,
        fc.array(tank, { maxLength: 6 }),
        ({ total, part, axle, items }, tanks) => {
          const base = balance({ total, hitch: total * part }, axle, items);
          const all = Array.from({ length: 2 ** tanks.length }, (_, mask) =>
            hitchShare(
              balance(
                base,
                axle,
                tanks.filter((_t, i) => (mask >> i) % 2 === 1),
              ),
            ),
          );
          expect(extremeFilling(base, axle, tanks, 'least').share).toBeCloseTo(Math.min(...all), 9);
          expect(extremeFilling(base, axle, tanks, 'most').share).toBeCloseTo(Math.max(...all), 9);
        },
      ),
      { seed, numRuns: runs },
    );
  });

  it('finds what an integer-programming library finds, and no level in between is worse', async () => {
    const highs = await highsLoader();
    const tanks = [
      { weight: 392, back: 276 },
      { weight: 284, back: 150 },
      { weight: 250, back: 96 },
      { weight: 284, back: 200 },
    ];
    const base = { total: 5900, hitch: 790, axles: 5110 };
    const axle = 228;
    // Charnes and Cooper: with t = 1 / total the share is linear; y = x·t, and the tanks' levels lie between 0 and t.
    const terms = tanks.map(
      ({ weight, back }, i) => `${(weight * hitchPart(back, axle)).toFixed(9)} y${i}`,
    );
    const program = [
      'Minimize',
      ` obj: ${base.hitch} t + ${terms.join(' + ')}`,
      'Subject To',
      ` one: ${base.total} t + ${tanks.map(({ weight }, i) => `${weight} y${i}`).join(' + ')} = 1`,
      ...tanks.map((_, i) => ` c${i}: y${i} - t <= 0`),
      'End',
    ]
      .join('\n')
      .replaceAll('+ -', '- ');
    const solution = highs.solve(program);
    expect(solution.Status).toBe('Optimal');
    expect(extremeFilling(base, axle, tanks, 'least').share).toBeCloseTo(
      solution.ObjectiveValue,
      6,
    );
    const levels = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), {
      minLength: 4,
      maxLength: 4,
    });
    const least = extremeFilling(base, axle, tanks, 'least').share;
    fc.assert(
      fc.property(levels, (at) => {
        const part = tanks.map((t, i) => ({ ...t, weight: t.weight * (at[i] ?? 0) }));
        expect(hitchShare(balance(base, axle, part))).toBeGreaterThanOrEqual(least - 1e-12);
      }),
      { seed, numRuns: runs },
    );
  });

  it('a tank behind the axles lightens the hitch as it fills', () => {
    const shares = sweep({ total: 5600, hitch: 640, axles: 4960 }, 216, {
      weight: 392,
      back: 290,
    }).map(({ share }) => share);
    expect(shares).toHaveLength(21);
    expect(shares).toEqual(shares.toSorted((a, b) => b - a));
  });

  it('reads three tickets of a scale', () => {
    expect(byTickets({ vehicle: 6000, together: 12_084, trailerAxles: 5252 })).toEqual({
      total: 6084,
      hitch: 832,
      axles: 5252,
    });
    expect(byTickets({ vehicle: 6000, together: 5900, trailerAxles: 5252 })).toBeUndefined();
    expect(byTickets({ vehicle: 6000, together: 11_000, trailerAxles: 5252 })).toBeUndefined();
  });
});

describe('what may still be loaded', () => {
  it('names the limit that is reached first, and what is left to it', () => {
    const { value, sentence, confidence } = weigh(checkCase, 'us');
    expect(value?.limits.map(({ key, left }) => [key, Math.round(left)])).toEqual([
      ['gross', 1406],
      ['axles', 1748],
      ['hitch', 81],
    ]);
    expect(value?.first).toBe('gross');
    expect(confidence).toBe('stated');
    expect(sentence).toBe(
      'There’s room for 1,406 lb more; the limit is the GVWR. Hitch weight is 13.7%, within the usual 10 to 15%.',
    );
  });

  it('says “about” where a guess or an assumption went in, and never where none did', () => {
    const guessed = weigh({ ...checkCase, uvw: { amount: 5200, how: 'guessed' } }, 'us');
    expect(guessed.confidence).toBe('about');
    expect(guessed.sentence).toContain('about 1,406 lb');
    expect(weigh({ ...checkCase, uvw: { amount: 5200, how: 'told' } }, 'us').confidence).toBe(
      'told',
    );
  });

  it('says what is missing, and gives no number in its place', () => {
    const outcome = weigh({ ...checkCase, uvw: undefined }, 'us');
    expect(outcome.value).toBeUndefined();
    expect(outcome.missing).toEqual([{ label: 'UVW', field: 'specs.uvw' }]);
    expect(outcome.sentence).toContain('UVW is not known');
  });

  it('words whatever its schema lets in, however small', () => {
    const tiny = { amount: 3.7e-134, how: 'guessed' } as const;
    const outcome = weigh({ ...checkCase, hitch: tiny }, 'metric');
    expect(outcome.sentence).toContain('Hitch weight is');
    expect(outcome.sentence.length).toBeLessThan(300);
  });

  it('refuses the impossible by its field', () => {
    const read = weightInputSchema.safeParse({ ...checkCase, axle: known(-3) });
    expect(read.success).toBe(false);
    expect(read.error?.issues[0]?.path).toEqual(['axle', 'amount']);
  });

  it('is worked out or says what is missing for every demo unit, and fits its published shape', () => {
    for (const { record } of demoFiles) {
      for (const system of ['us', 'metric'] as const) {
        const outcome = weigh(weightInputOf(record, usualTrial), system);
        expect(weightOutcomeSchema.safeParse(outcome).success).toBe(true);
        expect(outcome.value !== undefined || outcome.missing.length > 0).toBe(true);
        if (outcome.value) expect(outcome.steps.length).toBeGreaterThan(3);
      }
    }
    expect(weigh(weightInputOf(demoRecord('TQ-0417'), usualTrial), 'us').value).toBeDefined();
  });
});

const input = (more: Partial<TowInput> = {}): TowInput =>
  towInputSchema.parse({
    loaded: known(6516),
    share: known(0.132),
    payload: known(1700),
    towRating: known(9000),
    gcwr: known(15_500),
    receiver: known(1100),
    curb: known(5300),
    aboard: known(450),
    hardware: known(80),
    ...more,
  });

describe('what should tow it', () => {
  it('holds each limit against its own rating, by hand', () => {
    const { value } = tow(input(), 'us');
    // 450 + 80 + 0.132 × 6516 = 1390.1; 5300 + 530 + 6516 = 12346.
    expect(value?.limits.map(({ key, left }) => [key, Math.round(left)])).toEqual([
      ['payload', 310],
      ['tow', 2484],
      ['combined', 3154],
      ['receiver', 240],
    ]);
    expect(value).toMatchObject({ fits: true, binding: 'receiver' });
  });

  it('has its largest trailer where a search by halves finds it', () => {
    const rating = fc.double({ min: 500, max: 20_000, noNaN: true });
    const any = fc.record({
      share: fc.double({ min: 0.08, max: 0.2, noNaN: true }),
      payload: rating,
      towRating: rating,
      gcwr: fc.double({ min: 8001, max: 30_000, noNaN: true }),
      receiver: fc.double({ min: 200, max: 2000, noNaN: true }),
      curb: fc.double({ min: 3000, max: 8000, noNaN: true }),
      aboard: fc.double({ min: 0, max: 900, noNaN: true }),
      reserve: fc.constantFrom(0, 0.2),
    });
    fc.assert(
      fc.property(any, ({ reserve, ...given }) => {
        const amounts = Object.fromEntries(Object.entries(given).map(([k, v]) => [k, known(v)]));
        const largest = tow(input({ ...amounts, reserve }), 'us').value?.largest ?? 0;
        const fits = (loaded: number) =>
          tow(input({ ...amounts, reserve, loaded: known(loaded) }), 'us').value?.fits;
        let [low, high] = [0, 100_000];
        for (let i = 0; i < 60; i++) {
          const middle = (low + high) / 2;
          if (fits(Math.max(middle, 0.01))) low = middle;
          else high = middle;
        }
        expect(Math.abs(largest - low)).toBeLessThan(0.01);
      }),
      { seed, numRuns: 100 },
    );
  });

  it('asks of a vehicle the least that would do, in both schools', () => {
    for (const reserve of [0, 0.2]) {
      const least = tow(input({ reserve }), 'us').value?.least;
      const just = {
        payload: known(least?.payload ?? 0),
        towRating: known(least?.towRating ?? 0),
        receiver: known(least?.receiver ?? 0),
      };
      const exact = tow(input({ ...just, reserve }), 'us').value;
      for (const key of ['payload', 'tow', 'receiver']) {
        expect(exact?.limits.find((l) => l.key === key)?.left).toBeCloseTo(0, 6);
      }
    }
  });

  it('says where to read what nobody has told', () => {
    const outcome = tow(towInputSchema.parse({ loaded: known(6000), share: known(0.13) }), 'us');
    expect(outcome.value?.largest).toBeUndefined();
    expect(outcome.missing.map(({ label }) => label)).toContain(
      'Payload, on the driver’s door label',
    );
    expect(outcome.sentence).toContain('of payload with you in it: read it off the driver’s door');
    expect(towOutcomeSchema.safeParse(outcome).success).toBe(true);
  });

  it('has classes that grow with their names', () => {
    const figure = (key: 'payload' | 'gcwr' | 'curb' | 'towRating') =>
      vehicleClasses.map(({ figures }) => figures[key]?.amount ?? 0);
    expect(figure('payload')).toEqual(figure('payload').toSorted((a, b) => a - b));
    const [gcwr, curb, towRating] = [figure('gcwr'), figure('curb'), figure('towRating')];
    gcwr.forEach((together, i) => {
      expect(together - (curb[i] ?? 0)).toBeLessThanOrEqual((towRating[i] ?? 0) * 1.35);
    });
  });
});

describe('whether the tires are enough', () => {
  // ST205/75R15 D: 2,150 lb at 65 psi (TRA, from memory); four of them over two axles of 3,500 lb: 22.9% in hand.
  const four = {
    each: known(2150),
    highest: known(65),
    pressure: known(65),
    gawr: known(7000),
    count: 4,
  };

  it('adds up, and takes what less pressure costs in proportion', () => {
    expect(tires(four, 'us').value).toMatchObject({ all: 8600, enough: true });
    expect(tires(four, 'us').value?.reserve).toBeCloseTo(0.2286, 4);
    const soft = tires({ ...four, pressure: known(50) }, 'us');
    expect(soft.value?.all).toBeCloseTo((8600 * 50) / 65, 6);
    expect(soft.sentence).toContain('aren’t enough');
  });

  it('carries no more for being pumped past its highest pressure', () => {
    expect(tires({ ...four, pressure: known(90) }, 'us').value?.all).toBe(8600);
  });

  it('speaks of age whatever they carry', () => {
    expect(tires({ ...four, oldest: known(8) }, 'us').sentence).toContain(
      'replace it, whatever it carries',
    );
    expect(tires({ ...four, oldest: known(5) }, 'us').sentence).toContain('watch it');
    expect(tires(four, 'us').sentence).toContain('Their dates haven’t been read');
  });

  it('is worked out or says what is missing for every demo unit', () => {
    for (const { record } of demoFiles) {
      const outcome = tires(tiresInputOf(record, '2026-04-10'), 'metric');
      expect(tiresOutcomeSchema.safeParse(outcome).success).toBe(true);
      expect(outcome.value !== undefined || outcome.missing.length > 0).toBe(true);
    }
  });
});

describe('how many nights off the hookups', () => {
  const tanks: WaterInput = {
    fresh: known(47),
    gray: known(34),
    black: known(30),
    without: [],
    people: 2,
    style: 'usual',
  };

  it('ends with the tank that stops it, by hand', () => {
    // Two people: fresh 47 ÷ 16 = 2.9; gray 34 ÷ 12 = 2.8; black 30 ÷ 2.4 = 12.5.
    const { value, sentence } = water(tanks, 'us');
    expect(value).toMatchObject({ nights: 2, first: 'gray' });
    expect(value?.days).toBeCloseTo(34 / 12, 6);
    expect(sentence).toContain('About 2 nights for 2; the gray tank is full first.');
  });

  it('with a galley tank splits what goes down the sinks', () => {
    const split = water({ ...tanks, galley: known(28) }, 'us').value;
    expect(split?.first).toBe('fresh');
    const gray = split?.tanks.filter(({ key }) => key === 'gray' || key === 'galley') ?? [];
    expect(gray.reduce((sum, { aDay }) => sum + aDay, 0)).toBeCloseTo(12, 6);
  });

  it('never lasts longer for more people or an easier style, and saving never shortens it', () => {
    const styles = waterStyles.map(({ key }) => key);
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 100, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 8 }),
        (fresh, gray, people) => {
          const days = styles.map(
            (style) =>
              water({ ...tanks, fresh: known(fresh), gray: known(gray), people, style }, 'us').value
                ?.days ?? 0,
          );
          expect(days).toEqual(days.toSorted((a, b) => b - a));
          const more = water(
            { ...tanks, fresh: known(fresh), gray: known(gray), people: people + 1 },
            'us',
          ).value;
          const fewer = water(
            { ...tanks, fresh: known(fresh), gray: known(gray), people },
            'us',
          ).value;
          expect(more?.days).toBeLessThan(fewer?.days ?? 0);
          expect(fewer?.saved).toBeGreaterThanOrEqual(0);
        },
      ),
      { seed, numRuns: runs },
    );
  });

  it('misses no tank that the unit has not got', () => {
    const bare = water(
      { fresh: known(18), without: ['gray', 'black'], people: 1, style: 'frugal' },
      'us',
    );
    expect(bare.missing).toEqual([]);
    expect(bare.value?.first).toBe('fresh');
    for (const { record } of demoFiles) {
      const outcome = water(waterInputOf(record, { people: 2, style: 'usual' }), 'us');
      expect(waterOutcomeSchema.safeParse(outcome).success).toBe(true);
    }
    expect(
      water(waterInputOf(demoRecord('TQ-0402'), { people: 2, style: 'usual' }), 'us').missing,
    ).toEqual([]);
  });
});
