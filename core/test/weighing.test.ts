import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  recheckMiles,
  torqueFor,
  torqueRounds,
  torqueWindows,
  tiresValue,
} from '@fair-gable/core/numbers/tires';
import {
  drag,
  dragForce,
  dragOutcomeSchema,
  leverage,
  tow,
  towInputSchema,
} from '@fair-gable/core/numbers/tow';
import { waterValue } from '@fair-gable/core/numbers/water';
import {
  balance,
  byTickets,
  scale,
  scaleInputSchema,
  scaleOutcomeSchema,
  scaleProblem,
} from '@fair-gable/core/numbers/weight';
import {
  cargoLabel,
  cargoLabelInputOf,
  cargoLabelInputSchema,
  cargoLabelOutcomeSchema,
} from '@fair-gable/core/unit/cargo-label';
import type { Given } from '@fair-gable/core/unit/outcome';
import { demoFiles } from './demo-units.ts';

const known = (amount: number): Given => ({ amount, how: 'read' });
const seed = 6;

/*
 * Labels worked from memory of 49 CFR 571.110 S9–S10 and 571.120 S10 as they are printed on trailers of the given age;
 * figures invented, each to the pound.
 */
describe('the label of the capacity', () => {
  const label = (more: object) => cargoLabel(cargoLabelInputSchema.parse(more), 'us');
  // Nothing but what a case names is on the unit.
  const rated = { gvwr: known(7490), uvw: known(5572), propane: known(0), battery: false };

  it.each([
    ['that adds up', { ccc: known(1918) }, true, []],
    ['within rounding to kilograms', { ccc: known(1916) }, true, []],
    [
      'that left out two 30 lb cylinders',
      { ccc: known(1858), propane: known(60) },
      false,
      ['full propane cylinders'],
    ],
    ['that left out a battery', { ccc: known(1858), battery: true }, false, ['one battery']],
    [
      'that left out both',
      { ccc: known(1798), propane: known(60), battery: true },
      false,
      ['full propane cylinders and one battery'],
    ],
    [
      // (47 + 6) gal × 8.3 lb = 440 lb.
      'of before 2008, water taken off',
      { ccc: known(1478), water: known(53) },
      false,
      ['a full load of water, which labels before 2008 subtracted'],
    ],
    ['that nothing explains', { ccc: known(1500), propane: known(60) }, false, []],
  ])('%s', (_, more, agrees, explained) => {
    const { value } = label({ ...rated, ...more });
    expect(value?.agrees).toBe(agrees);
    expect(value?.explained.map(({ words }) => words)).toEqual(explained);
  });

  it('follows the rule for its rating, and the lesser of 100 lb and 1.5%', () => {
    const at = (gvwr: number) =>
      label({ gvwr: known(gvwr), uvw: known(gvwr * 0.7), ccc: known(gvwr * 0.3) }).value;
    expect(at(6000)).toMatchObject({ line: 90, rule: '49 CFR 571.110 S9–S10' });
    expect(at(10_000)).toMatchObject({ line: 100, rule: '49 CFR 571.110 S9–S10' });
    expect(at(10_001)).toMatchObject({ line: 100, rule: '49 CFR 571.120 S10' });
  });

  it('says how much may still be fitted, when it is past, and nothing of a used unit', () => {
    const fitted = (pounds: number, used = false) =>
      label({ ...rated, ccc: known(1918), fitted: known(pounds), used });
    expect(fitted(58).sentence).toContain('42 lb more can be added here');
    expect(fitted(112).sentence).toContain('12 lb over the limit');
    expect(fitted(112, true).value?.line).toBeUndefined();
  });

  it('is worked out or says what is missing for every demo unit', () => {
    for (const { record } of demoFiles) {
      const outcome = cargoLabel(cargoLabelInputOf(record), 'metric');
      expect(cargoLabelOutcomeSchema.safeParse(outcome).success).toBe(true);
      expect(outcome.value !== undefined || outcome.missing.length > 0).toBe(true);
    }
  });
});

describe('three tickets of a scale', () => {
  const tickets = fc.record({
    vehicle: fc.double({ min: 3000, max: 8000, noNaN: true }),
    total: fc.double({ min: 1500, max: 9000, noNaN: true }),
    share: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
    load: fc.double({ min: 0, max: 800, noNaN: true }),
    back: fc.double({ min: 0, max: 420, noNaN: true }),
  });

  it('give back the trailer that stood on it, by moments', () => {
    fc.assert(
      fc.property(tickets, ({ vehicle, total, share, load, back }) => {
        const axle = 216;
        const empty = { total, hitch: total * share };
        const standing = balance(empty, axle, [{ weight: load, back }]);
        fc.pre(standing.hitch >= 0);
        const read = byTickets({
          vehicle,
          together: vehicle + standing.total,
          trailerAxles: standing.axles,
        });
        expect(read?.total).toBeCloseTo(standing.total, 6);
        expect(read?.hitch).toBeCloseTo(standing.hitch, 6);
      }),
      { seed, numRuns: 300 },
    );
  });

  it('that contradict one another are refused by the ticket that cannot be', () => {
    expect(scaleProblem({ vehicle: 6000, together: 5900 })?.field).toBe('together');
    expect(scaleProblem({ vehicle: 6000, together: 12_000, trailerAxles: 6100 })?.field).toBe(
      'trailerAxles',
    );
    expect(scaleProblem({ vehicle: 6000, trailerAxles: 6100 })).toBeUndefined();
    const read = scaleInputSchema.safeParse({ vehicle: known(6000), together: known(5900) });
    expect(read.error?.issues[0]?.path).toEqual(['together', 'amount']);
  });

  it('are held against the ratings and against what was worked out', () => {
    const weighed = scale(
      scaleInputSchema.parse({
        vehicle: known(5760),
        together: known(13_400),
        trailerAxles: known(6800),
        expected: known(7400),
        gvwr: known(7490),
        gawr: known(7000),
      }),
      'us',
    );
    expect(weighed.value).toMatchObject({ total: 7640, hitch: 840, axles: 6800, unknown: 240 });
    expect(weighed.sentence).toContain('150 lb over the GVWR: don’t tow it like this');
    expect(weighed.sentence).toContain('240 lb more than we figured');
    expect(scaleOutcomeSchema.safeParse(weighed).success).toBe(true);
    expect(scale(scaleInputSchema.parse({}), 'us').missing).toHaveLength(3);
  });
});

describe('the rear axle of the vehicle', () => {
  const measure = fc.record({
    wheelbase: fc.double({ min: 100, max: 180, noNaN: true }),
    overhang: fc.double({ min: 30, max: 70, noNaN: true }),
    ball: fc.double({ min: 50, max: 1500, noNaN: true }),
    rear: fc.double({ min: 1500, max: 4000, noNaN: true }),
    front: fc.double({ min: 2000, max: 4500, noNaN: true }),
  });

  it('takes of the ball what the direct solution of forces and moments gives it', () => {
    fc.assert(
      fc.property(measure, ({ wheelbase, overhang, ball, rear, front }) => {
        // Moments about the front axle: rear load × wheelbase = rear × wheelbase + ball × (wheelbase + overhang).
        const moments = rear * wheelbase + ball * (wheelbase + overhang);
        expect(rear + ball * leverage(wheelbase, overhang)).toBeCloseTo(moments / wheelbase, 6);
        // Forces: what the rear gains over the ball the front loses.
        const frontLeft = rear + front + ball - moments / wheelbase;
        expect(frontLeft).toBeCloseTo(front - (ball * overhang) / wheelbase, 6);
      }),
      { seed, numRuns: 200 },
    );
  });

  const vehicle = {
    loaded: known(6500),
    share: known(0.13),
    payload: known(2200),
    rearRating: known(4100),
    rearUnladen: known(2500),
    wheelbase: known(145),
    overhang: known(50),
    aboard: known(400),
    hardware: known(80),
  };

  it('is a limit of its own where all four are known, by hand', () => {
    // 2500 + 200 + (845 + 80) × 195 ÷ 145 = 3,944: 156 lb are left.
    const { value, assumptions } = tow(towInputSchema.parse(vehicle), 'us');
    expect(value?.limits.find(({ key }) => key === 'rear')?.left).toBeCloseTo(156.03, 1);
    expect(value?.binding).toBe('rear');
    expect(assumptions.join(' ')).not.toContain('wasn’t checked');
  });

  it('is said not to have been checked where one is not known', () => {
    const three = towInputSchema.parse({ ...vehicle, overhang: undefined });
    const { value, assumptions } = tow(three, 'us');
    expect(value?.limits.some(({ key }) => key === 'rear')).toBe(false);
    expect(assumptions[0]).toContain('wasn’t checked');
  });

  it('grows with the trailer in other units alike', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (k) => {
        const lengths = ['wheelbase', 'overhang', 'share'];
        const scaled = Object.fromEntries(
          Object.entries(vehicle).map(([key, given]) => [
            key,
            known(lengths.includes(key) ? given.amount : given.amount * k),
          ]),
        );
        const one = tow(towInputSchema.parse(vehicle), 'us').value;
        const other = tow(towInputSchema.parse(scaled), 'us').value;
        expect(other?.largest).toBeCloseTo((one?.largest ?? 0) * k, 4);
        expect(other?.fits).toBe(one?.fits);
      }),
      { seed, numRuns: 100 },
    );
  });
});

describe('air against a box', () => {
  it('is as by hand: 100 ft² at 60 mph', () => {
    // ½ × 1.225 × 0.8 × 9.2903 m² × (26.822 m/s)² = 3,275 N = 736 lbf.
    expect(dragForce(100 * 144, 60)).toBeCloseTo(736.3, 0);
    expect(dragForce(14_400, 120)).toBeCloseTo(dragForce(14_400, 60) * 4, 6);
  });

  it('compares two boxes by their fronts alone, and is never more than about so much', () => {
    const outcome = drag(
      {
        height: known(108),
        width: known(96),
        otherHeight: known(120),
        otherWidth: known(96),
        speed: 60,
      },
      'us',
    );
    expect(outcome.value?.saved).toBeCloseTo(0.1, 9);
    expect(outcome.confidence).toBe('about');
    expect(outcome.sentence).toContain('about 10% less');
    expect(dragOutcomeSchema.safeParse(outcome).success).toBe(true);
    expect(drag({ speed: 60 }, 'us').missing).toHaveLength(3);
  });
});

describe('lug nuts', () => {
  // Trailer-axle workshops' tables, from memory: 1/2 in studs 90–120 lb·ft at 14 to 16 in, 50–75 below.
  it.each([
    [12, ['1/2 in']],
    [14, ['1/2 in']],
    [15, ['1/2 in', '9/16 in']],
    [16, ['1/2 in', '9/16 in']],
    [20, []],
  ])('of a wheel of %s in', (diameter, studs) => {
    expect(torqueFor(diameter).map(({ stud }) => stud)).toEqual(studs);
  });

  it('are pulled in rounds that rise to the whole', () => {
    for (const { least, most } of torqueWindows) {
      for (const torque of [least, most]) {
        const rounds = torqueRounds(torque);
        expect(rounds).toEqual(rounds.toSorted((a, b) => a - b));
        expect(rounds.at(-1)).toBe(torque);
      }
    }
    expect(recheckMiles).toEqual([10, 25, 50]);
  });
});

describe('in other units', () => {
  const factor = fc.double({ min: 0.1, max: 10, noNaN: true });

  it('tires keep their reserve, whatever pounds and psi are called', () => {
    fc.assert(
      fc.property(factor, factor, (k, p) => {
        const four = (mass: number, pressure: number) =>
          tiresValue({
            each: known(2150 * mass),
            highest: known(65 * pressure),
            pressure: known(58 * pressure),
            gawr: known(7000 * mass),
            count: 4,
          });
        expect(four(k, p)?.reserve).toBeCloseTo(four(1, 1)?.reserve ?? 0, 9);
        expect(four(k, p)?.all).toBeCloseTo((four(1, 1)?.all ?? 0) * k, 5);
      }),
      { seed, numRuns: 100 },
    );
  });

  it('tickets keep the share on the hitch, whatever a pound is called', () => {
    fc.assert(
      fc.property(factor, (k) => {
        const read = byTickets({ vehicle: 5760 * k, together: 12_120 * k, trailerAxles: 5540 * k });
        expect((read?.hitch ?? 0) / (read?.total ?? 1)).toBeCloseTo(820 / 6360, 9);
      }),
      { seed, numRuns: 100 },
    );
  });

  it('tanks last in proportion to their size', () => {
    const days = (k: number): number =>
      waterValue({
        fresh: known(47 * k),
        gray: known(34 * k),
        without: ['black'],
        people: 2,
        style: 'usual',
      })?.days ?? 0;
    fc.assert(
      fc.property(factor, (k) => expect(days(k)).toBeCloseTo(days(1) * k, 6)),
      { seed, numRuns: 100 },
    );
  });
});
