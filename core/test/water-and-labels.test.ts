import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  betweenThirds,
  changesByLabelPhotos,
  drainMinutes,
  emptyRecord,
  fillMinutes,
  labelLine,
  leftToLabel,
  panelOf,
  recoveryMinutes,
  toInternal,
  waterTimes,
} from '@fair-gable/core';
import { demoFiles, demoRecord } from './demo-units.ts';

describe('water takes its time', () => {
  it.each([
    [47, 4, 11.75],
    [18, 3, 6],
  ])('%s gal at %s gal a minute: %s minutes', (gallons, flow, minutes) => {
    expect(fillMinutes(gallons, flow)).toBeCloseTo(minutes, 6);
  });

  it('drains the faster the wider the valve', () => {
    const minutes = ([1, 1.5, 3] as const).map((inches) => drainMinutes(40, inches));
    expect(minutes).toEqual(minutes.toSorted((a, b) => b - a));
  });

  /*
   * Worked by hand: 6 gal × 8.345 lb × 60 °F = 3,004 BTU; 12,000 BTU/h at 75 % give 9,000 BTU an hour: 20.0 minutes.
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
    expect(rows).toContain('Fresh tank filled by a hose');
    expect(waterTimes(emptyRecord)).toEqual([]);
    expect(panelOf(emptyRecord)).toEqual([]);
    for (const { record } of demoFiles) {
      for (const { minutes } of waterTimes(record)) {
        expect(minutes).toBeGreaterThan(0);
        expect(minutes).toBeLessThan(600);
      }
      const panel = panelOf(record);
      expect([0, 4]).toContain(panel.length);
    }
  });
});

describe('the line of the weight label', () => {
  // 49 CFR 571.110 S10 and 571.120 S10, from memory: the lesser of 100 lb and 1.5 % of the gross rating.
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
  });
});
