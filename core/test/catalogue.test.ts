import { describe, expect, it } from '@jest/globals';
import {
  features,
  isFeatureKey,
  isSpecKey,
  stations,
  featureStates,
  knownBy,
  specs,
  toInternal,
} from '@fair-gable/core';

const entries = [...specs, ...features];

describe('the catalogue', () => {
  it('has the twenty-four stations in the order of their pegs', () => {
    expect(stations.map((s) => s.number)).toEqual(Array.from({ length: 24 }, (_, i) => i + 1));
  });

  it('never uses a key twice', () => {
    const keys = entries.map((e) => e.key);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it.each(entries.map((e) => [e.key, e] as const))(
    'says what %s is and how to check it',
    (_, entry) => {
      expect(entry.explain).toMatch(/\S+ \S+.*[.]$/);
      expect(entry.check).toMatch(/\S+ \S+.*[.?]$/);
      expect(stations.some((s) => s.key === entry.station)).toBe(true);
    },
  );

  it('refers only to entries there are', () => {
    for (const entry of entries) {
      for (const key of entry.numbers ?? []) expect(isSpecKey(key)).toBe(true);
      if (entry.partOf) expect(isFeatureKey(entry.partOf)).toBe(true);
    }
  });

  it('puts a caution on everything that tows, burns, shocks or pinches', () => {
    const dangerous = [
      'coupler', 'safetyChains', 'breakaway', 'lpCylinders', 'changeover', 'lpQuick', 'gvwr', 'hitchWeight',
      'axleRating', 'coldPressure', 'shoreAmps', 'shoreInlet', 'waterHeater', 'heaterTank', 'slide', 'awning',
      'lpDetector', 'coAlarm', 'furnace', 'ladder', 'battery',
    ]; // prettier-ignore
    const without = dangerous.filter((key) => !entries.find((e) => e.key === key)?.caution);
    expect(without).toEqual([]);
  });

  it('has ranges that run upwards, in units of their display', () => {
    for (const { value } of specs) {
      if (value.kind !== 'quantity' && value.kind !== 'counted') continue;
      const { from, to, unit } = value.plausible;
      expect(toInternal(from, unit)).toBeLessThan(toInternal(to, unit));
    }
  });

  it('offers only stations that have something to record', () => {
    for (const station of stations) {
      expect(entries.some((e) => e.station === station.key)).toBe(true);
    }
  });

  it('tells not fitted from prep and room', () => {
    expect(featureStates.filter((s) => !s.fitted).map((s) => s.key)).toEqual([
      'prep',
      'room',
      'none',
    ]);
  });

  it('lists how a value is known from best to worst, a key for each', () => {
    expect(knownBy.map((k) => k.letter).join('')).toBe('rmshtg');
    expect(knownBy.at(-1)?.key).toBe('guessed');
  });
});
