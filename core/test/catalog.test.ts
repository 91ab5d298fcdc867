import { describe, expect, it } from '@jest/globals';
import { displayRow, systems, toInternal, unitRow } from '@fair-gable/core/base/quantity';
import { pointsOf } from '@fair-gable/core/show/cards';
import {
  wordsFor,
  audiences,
  featureEntry,
  findEntries,
  features,
  featureKinds,
  featureStates,
  isPrepared,
  isFeatureKey,
  isSchoolKey,
  isSpecKey,
  leadOf,
  knownBy,
  schools,
  specs,
  stations,
  type FeatureKey,
} from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  formatSpec,
  specProblem,
  typedSpec,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { readUnitFile, toUnitFile } from '@fair-gable/core/unit/unit-file';
import { us } from './demo-units.ts';
import { valueFor } from './sample-values.ts';

const entries = [...specs, ...features];
const at = '2026-04-15T09:00:00.000Z';

/** A record in which everything is known. */
const whole: UnitRecord = {
  ...emptyRecord,
  specs: Object.fromEntries(
    specs.map((s) => [s.key, { value: valueFor(s), how: 'read', by: 'Ines', at, version: 1 }]),
  ),
  features: Object.fromEntries(
    features.map((f) => [
      f.key,
      { value: { state: 'standard' }, how: 'seen', by: 'Ines', at, version: 1 },
    ]),
  ),
};

describe('the catalog', () => {
  it('has the twenty-four stations in the order of their pegs', () => {
    expect(stations.map((s) => s.number)).toEqual(Array.from({ length: 24 }, (_, i) => i + 1));
  });

  it('never uses a key twice', () => {
    const keys = entries.map((e) => e.key);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('never calls two things the same', () => {
    const labels = entries.map((e) => e.label);
    expect(labels.filter((label, i) => labels.indexOf(label) !== i)).toEqual([]);
  });

  it.each(entries.map((e) => [e.key, e] as const))(
    'says what %s is and how to check it',
    (_, entry) => {
      expect(wordsFor(entry.key).explain).toMatch(/\S+ \S+.*[.]$/);
      expect(wordsFor(entry.key).check).toMatch(/\S+ \S+.*[.?]$/);
      expect(stations.some((s) => s.key === entry.station)).toBe(true);
    },
  );

  it('refers only to entries there are', () => {
    for (const entry of entries) {
      for (const key of entry.numbers ?? []) expect(isSpecKey(key)).toBe(true);
      if (entry.partOf) expect(isFeatureKey(entry.partOf)).toBe(true);
      const other = specs.find(({ key }) => key === entry.unless?.spec)?.value;
      const choices = other?.kind === 'choice' ? other.choices.map(({ key }) => key) : [];
      if (entry.unless) expect(choices).toContain(entry.unless.is);
    }
  });

  it('puts a caution on everything that tows, burns, shocks or pinches', () => {
    const dangerous = [
      'coupler', 'safetyChains', 'breakaway', 'lpCylinders', 'changeover', 'lpQuick', 'gvwr', 'hitchWeight',
      'axleRating', 'coldPressure', 'shoreAmps', 'shoreInlet', 'waterHeater', 'heaterTank', 'slide', 'awning',
      'lpDetector', 'coAlarm', 'furnace', 'ladder', 'battery',
    ]; // prettier-ignore
    const without = entries
      .filter(({ key }) => dangerous.includes(key))
      .filter(({ key }) => !wordsFor(key).caution);
    expect(entries.filter(({ key }) => dangerous.includes(key))).toHaveLength(dangerous.length);
    expect(without).toEqual([]);
  });

  it('has ranges that run upwards, in units of their display', () => {
    for (const { value } of specs) {
      if (!('display' in value)) continue;
      const { from, to, unit } = value.plausible;
      expect(toInternal(from, unit)).toBeLessThan(toInternal(to, unit));
      expect(unitRow(unit).dimension).toBe(displayRow(value.display).dimension);
    }
  });

  it.each(specs.map((s) => [s.key, s] as const))(
    'takes, writes and reads back a value of %s, in both systems',
    (key, spec) => {
      const value = valueFor(spec);
      expect(specProblem(key, value)).toBeUndefined();
      for (const system of systems) {
        const text = formatSpec(key, value, system, 'read');
        expect(text).not.toBe('');
        const back = typedSpec(key, text, system);
        expect(back.ok && formatSpec(key, back.value, system, 'read')).toBe(text);
      }
    },
  );

  it('carries every entry out and in again, in a unit file', () => {
    const id = '7f3a0000-0000-4000-8000-000000000001';
    const back = readUnitFile(JSON.parse(JSON.stringify(toUnitFile(id, whole))));
    expect(back).toEqual({ ok: true, file: toUnitFile(id, whole) });
  });

  it('makes a card of everything that has something to say, with nothing left unfilled', () => {
    const points = pointsOf(whole, us);
    const told = new Set(points.map((p) => p.id));
    const speaking = [
      // What is told on another's card has none of its own while that is there.
      // What follows from a signature is told where one stands.
      ...specs
        .filter((s) => wordsFor(s.key).say && !leadOf(s.key) && !s.bySignature)
        .map((s) => `specs.${s.key}`),
      ...features.filter((f) => !f.saidBy).map((f) => `features.${f.key}`),
    ];
    expect(speaking.filter((id) => !told.has(id))).toEqual([]);
    for (const { sentence } of points) expect(sentence).not.toMatch(/[{}]|undefined|nobody has/);
  });

  it('speaks of what is lacking only where it is known to be', () => {
    for (const feature of features.filter((f) => wordsFor(f.key).lack)) {
      const change: Change = {
        part: 'features',
        key: feature.key,
        value: { state: 'none' },
        how: 'seen',
        basedOn: 0,
      };
      const point = pointsOf(applyChange(emptyRecord, change, 'Ines', at), us)[0];
      // What a buyer must know is told as a fault, in place of the card.
      if (!point?.first) expect(point?.sentence).toBe(wordsFor(feature.key).lack);
    }
    expect(pointsOf(emptyRecord, us)).toEqual([]);
  });

  it('names audiences and disagreements there are, both sides of each for and against', () => {
    const known = new Set<string>(audiences.map((a) => a.key));
    for (const { audiences: who, school } of entries) {
      expect(who.filter((key) => !known.has(key))).toEqual([]);
      expect(school === undefined || isSchoolKey(school)).toBe(true);
    }
    for (const { sides } of schools) {
      expect(sides.length).toBeGreaterThan(1);
      for (const side of sides) {
        expect(side.for).toMatch(/^[A-Z].*[.]$/);
        expect(side.against).toMatch(/^[A-Z].*[.]$/);
      }
    }
    // Everybody’s concern is named by somebody’s entry.
    expect(audiences.filter((a) => !entries.some((e) => e.audiences.includes(a.key)))).toEqual([]);
  });

  it('says of each disagreement to which entries it belongs, but for those about selling', () => {
    const used = new Set(entries.map((e) => e.school));
    expect(schools.map((s) => s.key).filter((key) => !used.has(key))).toEqual([
      'tow-margin',
      'unit-system',
    ]);
  });

  it('never makes a part of itself, however far up', () => {
    for (const entry of entries) {
      const seen = new Set<string>();
      let above = entry.partOf;
      while (above) {
        expect(seen.has(above) || above === entry.key).toBe(false);
        seen.add(above);
        above = featureEntry(above as FeatureKey).partOf;
      }
    }
  });

  it.each(entries.map((e) => [e.key, e] as const))('finds %s by its own label', (key, entry) => {
    expect(findEntries(entry.label).map((e) => e.key)).toContain(key);
  });

  it('finds by several words, the nearest first, and nothing by none', () => {
    expect(findEntries('gross weight')[0]?.key).toBe('gvwr');
    expect(findEntries('OUTSIDE SHOWER')[0]?.key).toBe('outsideShower');
    expect(findEntries('dew point')).toEqual([]);
    expect(findEntries('  ')).toEqual([]);
  });

  it('makes up for a lack only with features there are', () => {
    const makers = features.flatMap((f) => f.madeUpBy ?? []);
    expect(makers.length).toBeGreaterThan(0);
    expect(makers.filter((key) => !isFeatureKey(key))).toEqual([]);
  });

  it('has something to record at every station', () => {
    for (const station of stations) {
      expect(entries.some((e) => e.station === station.key)).toBe(true);
    }
  });

  it('tells not fitted from prep and room', () => {
    expect(featureStates.filter((s) => !s.fitted).map((s) => s.key)).toEqual([
      'prep',
      'room',
      'none',
      'unreadable',
      'missing',
    ]);
    expect(featureStates.filter((s) => isPrepared(s.key)).map((s) => s.key)).toEqual([
      'prep',
      'room',
    ]);
  });

  it('gives each kind of feature states of its own, one of them there and one not', () => {
    for (const choices of Object.values(featureKinds)) {
      const states = choices.map(({ key }) => key);
      expect(new Set(states).size).toBe(states.length);
      expect(new Set(choices.map(({ label }) => label)).size).toBe(states.length);
      expect([states[0], states.at(-1)]).toEqual(['standard', 'none']);
    }
    const kindOf = (key: FeatureKey) => featureEntry(key).kind ?? 'equipment';
    expect(
      ['vinLabel', 'openRecall', 'keys', 'valvesInside', 'awning'].map((key) =>
        kindOf(key as FeatureKey),
      ),
    ).toEqual(['label', 'proof', 'comes', 'position', 'equipment']);
  });

  it('lists how a value is known from best to worst, a key for each', () => {
    expect(knownBy.map((k) => k.letter).join('')).toBe('rmshtg');
    expect(knownBy.at(-1)?.key).toBe('guessed');
  });
});
