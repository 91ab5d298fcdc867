import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { toInternal } from '@fair-gable/core/base/quantity';
import {
  betweenThirds,
  drainMinutes,
  fillMinutes,
  heaterRates,
  levelsAfter,
  panelsOf,
  recoveryMinutes,
  recoveryRate,
  water,
  waterInputOf,
  waterTimes,
} from '@fair-gable/core/numbers/water';
import { leftToLabel } from '@fair-gable/core/unit/aboard';
import { labelLine } from '@fair-gable/core/unit/cargo-label';
import { emptyRecord } from '@fair-gable/core/unit/record';
import { changesByLabelPhotos, otherReadings } from '@fair-gable/core/unit/round';
import { demoFiles, demoRecord } from './demo-units.ts';

describe('water takes its time', () => {
  it.each([
    [47, 4, 11.75],
    [18, 3, 6],
  ])('%s gal at %s gal a minute: %s minutes', (gallons, flow, minutes) => {
    expect(fillMinutes(gallons, flow)).toBeCloseTo(minutes, 6);
  });

  it('drains the faster the wider the valve', () => {
    const minutes = ([1, 1.5, 3] as const).map((inches) => drainMinutes(40, inches, 9));
    expect(minutes).toEqual(minutes.toSorted((a, b) => b - a));
  });

  it('drains as stepping through Torricelli’s law does', () => {
    // dh/dt = −C_d a √(2 g h) ÷ A in small steps; the law from any hydraulics textbook.
    const stepped = (gallons: number, inches: number, head: number): number => {
      const volume = gallons * 0.003_785_411_784;
      const outlet = (Math.PI / 4) * (inches * 0.0254) ** 2;
      let height = head * 0.0254;
      const area = volume / height;
      const step = 0.001;
      let seconds = 0;
      while (height > 1e-7) {
        height -= (step * 0.6 * outlet * Math.sqrt(2 * 9.806_65 * height)) / area;
        seconds += step;
      }
      return seconds / 60;
    };
    for (const [gallons, inches, head] of [
      [40, 3, 9],
      [26, 1.5, 7],
      [80, 3, 12],
    ] as const) {
      expect(drainMinutes(gallons, inches, head)).toBeCloseTo(stepped(gallons, inches, head), 2);
    }
  });

  /*
   * The handbook's check cases: 12,000 BTU/h × 0.72 at a rise of 100 °F → 10.4 gal/h; 1,440 W × 0.98 → 5.8; both 16.
   */
  it('a heater lifts so many gallons an hour', () => {
    const gas = recoveryRate(toInternal(12_000, 'BTU/h'), 0.72, 100 / 1.8);
    const element = recoveryRate(1440, 0.98, 100 / 1.8);
    expect(gas).toBeCloseTo(10.4, 1);
    expect(element).toBeCloseTo(5.8, 1);
    expect(gas + element).toBeCloseTo(16.1, 1);
  });

  /*
   * Worked by hand: 6 gal × 8.345 lb × 60 °F = 3,004 BTU; 12,000 BTU/h at 75% give 9,000 BTU an hour: 20.0 minutes.
   * 10 gal by a 1,440 W element (4,913 BTU/h): 5,007 BTU, 61.1 minutes.
   */
  it.each([
    [6, toInternal(12_000, 'BTU/h'), 0.75, 20.03],
    [10, 1440, 1, 61.14],
  ])('a heater of %s gal recovers', (gallons, watts, efficiency, minutes) => {
    expect(recoveryMinutes(gallons, watts, efficiency, 60 / 1.8)).toBeCloseTo(minutes, 1);
  });

  it('doubles with the rise, and halves with the power', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 16, noNaN: true }),
        fc.double({ min: 400, max: 6000, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        (gallons, watts, rise) => {
          const one = recoveryMinutes(gallons, watts, 0.75, rise);
          expect(recoveryMinutes(gallons, watts, 0.75, rise * 2)).toBeCloseTo(one * 2, 6);
          expect(recoveryMinutes(gallons, watts * 2, 0.75, rise)).toBeCloseTo(one / 2, 6);
        },
      ),
      { seed: 6, numRuns: 100 },
    );
  });

  it('a panel of thirds leaves no level out and counts none twice', () => {
    const steps = ([0, 1, 2, 3] as const).map((lit) => betweenThirds(48, lit));
    expect(steps).toEqual([
      { from: 0, to: 16 },
      { from: 16, to: 32 },
      { from: 32, to: 48 },
      { from: 48, to: 48 },
    ]);
  });
});

describe('what a unit’s water takes', () => {
  it('is told of what it has, and of nothing else', () => {
    const rows = waterTimes(demoRecord('TQ-0417')).map(({ what }) => what);
    expect(rows).toContain('Filling the fresh tank with a hose');
    expect(waterTimes(emptyRecord)).toEqual([]);
    expect(panelsOf(emptyRecord)).toEqual([]);
    expect(heaterRates(emptyRecord)).toEqual([]);
    for (const { record } of demoFiles) {
      for (const { minutes } of waterTimes(record)) {
        expect(minutes).toBeGreaterThan(0);
        expect(minutes).toBeLessThan(600);
      }
      for (const { readings } of panelsOf(record)) expect(readings).toHaveLength(4);
      const rates = heaterRates(record);
      const [gas, element, both] = (['gas', 'element', 'both'] as const).map(
        (by) => rates.find((rate) => rate.by === by)?.gallons ?? 0,
      );
      if (both) expect(both).toBeCloseTo((gas ?? 0) + (element ?? 0), 9);
    }
  });

  it('leaves the fresh tank as it goes into the others, and nothing past the first that stops it', () => {
    const { value } = water(
      waterInputOf(demoRecord('TQ-0417'), { people: 2, style: 'usual' }),
      'us',
    );
    if (!value) throw new Error('no answer');
    expect(levelsAfter(value, 0)).toEqual({ freshTank: 1, grayTank: 0, blackTank: 0 });
    const last = levelsAfter(value, value.days);
    expect(last.grayTank).toBeCloseTo(1, 9);
    expect(levelsAfter(value, 99)).toEqual(last);
    const half = levelsAfter(value, value.days / 2);
    expect(half.freshTank).toBeCloseTo((1 + (last.freshTank ?? 0)) / 2, 9);
  });
});

describe('the line of the weight label', () => {
  // 49 CFR 571.110 S10 and 571.120 S10, from memory: the lesser of 100 lb and 1.5% of the GVWR.
  it.each([
    [3000, 45],
    [6000, 90],
    [6667, 100],
    [7490, 100],
    [14_000, 100],
  ])('for a gross of %s lb is %s lb', (gross, line) => {
    expect(labelLine(gross)).toBeCloseTo(line, 0);
  });

  it('is passed by what the ledger of a new unit adds up to, and asked of no used one', () => {
    const weighed = (pounds: number, condition: string) => {
      const rated = { ...demoRecord('TQ-0419'), fitted: {} };
      const specs = {
        ...rated.specs,
        condition: { ...rated.specs.condition, value: { kind: 'choice', choice: condition } },
      };
      const line = { what: 'Rack', weight: pounds, on: '2026-04-01' };
      const entry = {
        value: line,
        how: 'measured',
        by: 'Bram',
        at: '2026-04-01T09:00:00.000Z',
        version: 1,
      };
      return leftToLabel({ ...rated, specs, fitted: { a: entry } } as never);
    };
    expect(weighed(58, 'new')).toBe(42);
    expect(weighed(112, 'new')).toBe(-12);
    expect(weighed(112, 'used')).toBeUndefined();
    expect(leftToLabel(emptyRecord)).toBeUndefined();
  });

  it('photos of all three labels tick them once', () => {
    const photo = (of: string) => ({
      value: { of: [of], width: 8, height: 6 },
      how: 'seen',
      by: 'Ines',
      at: '2026-04-01T09:00:00.000Z',
      version: 1,
    });
    const photos = { a: photo('specs.vin'), b: photo('specs.uvw'), c: photo('specs.coldPressure') };
    const record = (more: object) => ({ ...emptyRecord, ...more }) as typeof emptyRecord;
    expect(changesByLabelPhotos(record({ photos: { a: photos.a, b: photos.b } }))).toEqual([]);
    const [tick] = changesByLabelPhotos(record({ photos }));
    expect(tick).toMatchObject({
      part: 'features',
      key: 'labelPhotos',
      value: { state: 'standard' },
    });
    const features = { labelPhotos: { value: { state: 'standard' }, version: 1 } };
    expect(changesByLabelPhotos(record({ photos, features }))).toEqual([]);
    // One is taken off again: so is the tick.
    const rest = { b: photos.b, c: photos.c };
    const [off] = changesByLabelPhotos(record({ photos: rest, features }));
    expect(off).toMatchObject({ key: 'labelPhotos', value: null });
  });
});

const at = '2026-04-01T09:00:00.000Z';

describe('a label that is read again', () => {
  const vin = { kind: 'text', text: '5FGTA2422R1000417' } as const;
  const entry = (how: 'read' | 'told') => ({ value: vin, how, by: 'Ines', at, version: 1 });
  const other = {
    key: 'vin' as const,
    value: { kind: 'text' as const, text: '5FGTA2422R1000418' },
  };

  it('may be another unit’s where its VIN differs from the one that was read', () => {
    const record = { ...emptyRecord, specs: { vin: entry('read') } };
    expect(otherReadings(record, [other])).toEqual([{ key: 'vin', before: vin, now: other.value }]);
    expect(otherReadings(record, [{ key: 'vin', value: vin }])).toEqual([]);
  });

  it('is not asked about over what we were told', () => {
    expect(otherReadings({ ...emptyRecord, specs: { vin: entry('told') } }, [other])).toEqual([]);
  });
});
