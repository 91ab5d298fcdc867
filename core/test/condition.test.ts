import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { pointsOf } from '@fair-gable/core/show/cards';
import { disclosureOf } from '@fair-gable/core/show/disclosure';
import {
  findingKinds,
  inspectionItems,
  isFeatureKey,
  isStationKey,
  looks,
  technicianDecides,
  type SpecKey,
  type WheelKey,
} from '@fair-gable/core/unit/catalog';
import {
  ageWords,
  conclude,
  findingInputs,
  gravityNow,
  isDisclosedFirst,
  findingsOf,
  inspectionInputs,
  inspectionOf,
  inspectionState,
  knownOfMismatch,
  needsTechnician,
  oddWheels,
  operableOf,
  operableWords,
  disclosedFirst,
  signInspection,
  wheelsOf,
  type Answers,
} from '@fair-gable/core/unit/condition';
import { stationAtSpot } from '@fair-gable/core/unit/outline';
import {
  applyChange,
  emptyRecord,
  type Change,
  type Finding,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const id = (n: number): string => `0f1d0000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const put = (record: UnitRecord, change: Omit<Change, 'basedOn' | 'how'>): UnitRecord =>
  applyChange(
    record,
    { how: 'seen', basedOn: 0, ...change } as Change,
    'Bram Oake',
    '2026-04-10T10:00:00.000Z',
  );

const finding = (more: Partial<Finding>): Finding => ({
  kind: 'dent',
  gravity: 'cosmetic',
  station: 'rear',
  saidFirst: false,
  ...more,
});
const withFindings = (...all: readonly Finding[]): UnitRecord =>
  all.reduce(
    (record, value, i) => put(record, { part: 'findings', key: id(i), value } as never),
    emptyRecord,
  );

/*
 * Worked cases of the mismatched tire, each as somebody would tell it on a lot. Common practice: even wear and a clean
 * well point to a puncture, edge wear to alignment or load, a torn well to a tire that came apart.
 */
const mismatch: readonly (readonly [string, Answers, string, 'points' | 'leans' | 'open'])[] = [
  [
    'newer, clean well, others even, spare worn',
    { newer: 'yes', 'well-torn': 'no', 'wear-even': 'yes', 'spare-used': 'yes' },
    'puncture',
    'points',
  ],
  [
    'newer and the well torn, its mate as new',
    { newer: 'yes', 'well-torn': 'yes', 'same-side': 'yes' },
    'blowout',
    'leans',
  ],
  [
    'the well torn and the mate as new, nothing else',
    { 'well-torn': 'yes', 'same-side': 'yes' },
    'blowout',
    'points',
  ],
  [
    'both edges worn and little to carry',
    { 'both-edges': 'yes', heavy: 'yes' },
    'overload',
    'points',
  ],
  ['one edge worn, nothing else known', { 'one-edge': 'yes' }, 'alignment', 'leans'],
  ['others six years old, one new', { newer: 'yes', old: 'yes' }, 'puncture', 'open'],
  ['others old, and that is all one sees', { old: 'yes' }, 'age', 'leans'],
  ['nothing can be told', { newer: 'unsure', 'well-torn': 'unsure' }, 'puncture', 'open'],
];

describe('a guided look', () => {
  it.each(mismatch)('at a tire: %s', (_case, answers, leading, strength) => {
    const outcome = conclude('tire-mismatch', answers);
    expect(outcome.strength).toBe(strength);
    if (strength !== 'open') expect(outcome.weighed[0]?.key).toBe(leading);
  });

  // Common practice: small firm blisters on the sunny side are the skin; broad waves below an opening that give are water.
  it.each([
    [{ small: 'yes', 'sunny-side': 'yes', gives: 'no', moist: 'no' }, 'sun', 'points'],
    [{ small: 'no', 'seam-above': 'yes', gives: 'yes', moist: 'yes' }, 'water', 'points'],
    [{ small: 'yes', 'seam-above': 'yes' }, 'sun', 'open'],
    [{ small: 'yes', 'sunny-side': 'yes', moist: 'yes' }, 'sun', 'leans'],
  ] as const)('at a wall: %j', (answers, leading, strength) => {
    const outcome = conclude('wall-waves', answers);
    expect(outcome.strength).toBe(strength);
    if (strength !== 'open') expect(outcome.weighed[0]?.key).toBe(leading);
  });

  it('says what speaks against it, and who decides', () => {
    const { sentence } = conclude('wall-waves', {
      small: 'yes',
      'sunny-side': 'yes',
      moist: 'yes',
    });
    expect(sentence).toContain('leans toward sun on the skin only');
    expect(sentence).toContain('Against it: the meter reads higher than at a dry place');
    expect(sentence).toContain('A technician decides');
  });

  it('claims nothing before anything was seen', () => {
    for (const { key, always } of looks) {
      expect(conclude(key, {}).sentence).toBe(
        `Nothing seen so far points one way or the other. ${always}`,
      );
      expect(conclude(key, {}).open).toHaveLength(
        looks.find((look) => look.key === key)?.asks.length ?? 0,
      );
    }
  });

  it('never counts what cannot be told, and never clears anything by itself', () => {
    const answers = fc.dictionary(
      fc.constantFrom(...looks.flatMap(({ asks }) => asks.map((ask) => ask.key))),
      fc.constantFrom('yes' as const, 'no' as const, 'unsure' as const),
    );
    fc.assert(
      fc.property(fc.constantFrom(...looks), answers, (look, given) => {
        const outcome = conclude(look.key, given);
        const certain = Object.fromEntries(
          Object.entries(given).filter(([, answer]) => answer !== 'unsure'),
        );
        expect(conclude(look.key, certain).weighed).toEqual(outcome.weighed);
        expect(outcome.sentence.endsWith(look.always)).toBe(true);
        expect(outcome.sentence).not.toMatch(/\bsafe\b|nothing to worry|no problem/i);
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it('asks for nothing that speaks for an explanation it does not have', () => {
    for (const { asks, explanations } of looks) {
      const keys = explanations.map(({ key }) => key);
      const meant = asks.flatMap(({ yes, no }) => [yes, no]).flatMap((sign) => sign?.for ?? []);
      expect(meant.filter((key) => !keys.includes(key))).toEqual([]);
      expect(keys.filter((key) => !meant.includes(key))).toEqual([]);
    }
  });
});

describe('findings', () => {
  it('are told in their order: said first, then the worst, then round the unit; what was repaired last', () => {
    const record = withFindings(
      finding({ kind: 'fading', gravity: 'cosmetic', station: 'front' }),
      finding({ kind: 'rust', gravity: 'worn', station: 'hitch', saidFirst: true }),
      finding({ kind: 'brakes', gravity: 'do-not-show', station: 'running-gear', saidFirst: true }),
      finding({ kind: 'dent', saidFirst: true, repaired: { on: '2026-03-01', by: 'the yard' } }),
      finding({ kind: 'smell', gravity: 'worn', station: 'living' }),
    );
    expect(findingsOf(record).map(({ finding: f }) => f.kind)).toEqual([
      'brakes',
      'rust',
      'smell',
      'fading',
      'dent',
    ]);
    expect(disclosedFirst(record).map(({ finding: f }) => f.kind)).toEqual(['brakes', 'rust']);
  });

  it('structural, of brakes, gas and wiring wait for a technician, whatever they are called', () => {
    for (const { key, concern } of findingKinds) {
      const [found] = findingsOf(withFindings(finding({ kind: key, gravity: 'cosmetic' })));
      expect([key, found && needsTechnician(found)]).toEqual([key, technicianDecides.has(concern)]);
    }
  });

  it('are no longer signed when they are changed after it', () => {
    const value = finding({ kind: 'frame-damage', gravity: 'technician' });
    const signature = { verdict: 'watch' as const, inputs: findingInputs(emptyRecord, value) };
    const signed = put(withFindings(value), {
      part: 'signatures',
      key: `findings.${id(0)}`,
      value: signature,
    } as never);
    expect(findingsOf(signed)[0]?.signed?.by).toBe('Bram Oake');
    const worse = put(signed, {
      part: 'findings',
      key: id(0),
      value: { ...value, note: 'longer than it was' },
    } as never);
    expect(findingsOf(worse)[0]?.signed).toBeUndefined();
  });

  it('point by their look to something graver: it is told first, and waits, until a technician signs', () => {
    const bubbles = finding({
      kind: 'skin-bubbling',
      gravity: 'cosmetic',
      answers: { gives: 'yes', moist: 'yes' },
    });
    const record = withFindings(bubbles);
    const [found] = findingsOf(record);
    expect(found?.proposes).toBe('technician');
    expect(found && [gravityNow(found), isDisclosedFirst(found), needsTechnician(found)]).toEqual([
      'technician',
      true,
      true,
    ]);
    const sign = (of: UnitRecord, inputs: string): UnitRecord =>
      put(of, {
        part: 'signatures',
        key: `findings.${id(0)}`,
        value: { verdict: 'looks-only', inputs },
      } as never);
    const signed = sign(record, findingInputs(record, bubbles));
    const [after] = findingsOf(signed);
    expect(after && [gravityNow(after), isDisclosedFirst(after), needsTechnician(after)]).toEqual([
      'cosmetic',
      false,
      false,
    ]);
    // The look that it rests on changes: it is signed no more.
    const looked = put(signed, {
      part: 'findings',
      key: id(0),
      value: { ...bubbles, answers: { ...bubbles.answers, inside: 'yes' } },
    } as never);
    expect(findingsOf(looked)[0]?.signed).toBeUndefined();
  });

  it('of bubbling, waves and an odd tire are told first whatever they are called, until signed', () => {
    for (const kind of ['skin-bubbling', 'delamination', 'tire-mismatch'] as const) {
      const record = withFindings(finding({ kind, gravity: 'cosmetic', saidFirst: false }));
      expect(disclosedFirst(record).map(({ finding: f }) => f.kind)).toEqual([kind]);
    }
    expect(disclosedFirst(withFindings(finding({ kind: 'dent', gravity: 'cosmetic' })))).toEqual(
      [],
    );
  });

  it('have a station by where they were tapped, in every layer of every demo unit', () => {
    for (const { record } of demoFiles) {
      for (const layer of ['outside', 'inside', 'roof'] as const) {
        expect(isStationKey(stationAtSpot(record, { layer, x: -40, y: 120 }))).toBe(true);
      }
    }
    const { record } = { record: demoRecord('TQ-0417') };
    expect(stationAtSpot(record, { layer: 'outside', x: 0, y: 0 })).toBe('hitch');
    expect(stationAtSpot(record, { layer: 'roof', x: 0, y: 150 })).toBe('roof');
  });
});

const dated = (dates: Partial<Record<WheelKey, string>>): UnitRecord =>
  Object.entries(dates).reduce(
    (record, [key, text]) =>
      put(record, {
        part: 'specs',
        key: `tireDate${key}` as SpecKey,
        value: { kind: 'text', text },
      } as never),
    put(
      put(emptyRecord, {
        part: 'specs',
        key: 'axleRating',
        value: { kind: 'counted', count: 2, each: 3500 },
      } as never),
      { part: 'features', key: 'spare', value: { state: 'standard' } } as never,
    ),
  );

describe('wheels', () => {
  const four = { DoorFront: '1521', DoorRear: '1521', OffDoorFront: '1521', OffDoorRear: '2323' };

  it('are those the axles give, and the spare', () => {
    expect(wheelsOf(dated({}), '2026-04-10').map(({ key }) => key)).toEqual([
      'DoorFront',
      'DoorRear',
      'OffDoorFront',
      'OffDoorRear',
      'Spare',
    ]);
  });

  // Ages worked out by hand. Week 15 of 2021 begins on Sunday 11 April (49 CFR 574.5: the first full week is week 1).
  it.each([
    ['2026-04-10', 4, 'built in week 15 of 2021, 4 years old'],
    ['2026-04-11', 5, 'built in week 15 of 2021, 5 years old: watch it, replace it by 7'],
    ['2028-04-11', 7, 'built in week 15 of 2021, 7 years old: replace it, whatever the tread'],
    ['2022-04-10', 0, 'built in week 15 of 2021, not a year old'],
    ['2021-04-11', 0, 'built in week 15 of 2021, not a year old'],
    // A week that lies ahead is no age, by however few days.
    ['2021-04-10', undefined, 'week 15 of 2021 hasn’t come yet: read its date again'],
    ['2021-03-10', undefined, 'week 15 of 2021 hasn’t come yet: read its date again'],
  ])('on %s are %s years old', (today, age, words) => {
    const [front] = wheelsOf(dated(four), today);
    expect(front).toMatchObject({ age, ageText: words });
  });

  it('have no age where nobody has read a date', () => {
    expect(ageWords(undefined, '2026-04-10')).toBe('its date isn’t read');
  });

  it('name the one that is not like the others, and none where there is none', () => {
    expect(oddWheels(wheelsOf(dated(four), '2026-04-10')).map(({ key }) => key)).toEqual([
      'OffDoorRear',
    ]);
    const alike = dated({ ...four, OffDoorRear: '1821' });
    expect(oddWheels(wheelsOf(alike, '2026-04-10'))).toEqual([]);
  });

  it('answer for themselves what a look would ask', () => {
    const worn = ['DoorFront', 'DoorRear', 'OffDoorFront'].reduce(
      (record, key) => put(record, { part: 'wheels', key, value: { wear: 'even' } } as never),
      put(dated(four), { part: 'wheels', key: 'OffDoorRear', value: { well: 'clean' } } as never),
    );
    const known = knownOfMismatch(wheelsOf(worn, '2026-04-10'), 'OffDoorRear', 2310);
    expect(known).toMatchObject({
      newer: 'yes',
      'well-torn': 'no',
      'wear-even': 'yes',
      'same-side': 'no',
      heavy: 'no',
    });
    expect(conclude('tire-mismatch', known)).toMatchObject({ strength: 'points' });
  });
});

const inspect = (record: UnitRecord, result: (key: string) => 'pass' | 'fail' | 'not-tried') =>
  inspectionOf(record).reduce(
    (now, { item }) =>
      put(now, {
        part: 'inspection',
        key: item.key,
        value: {
          result: result(item.key),
          ...(result(item.key) === 'pass' ? {} : { note: 'no gas' }),
        },
      } as never),
    record,
  );
const signed = (record: UnitRecord): UnitRecord =>
  signInspection(record, { by: 'Bram Oake', today: '2026-04-10' }).reduce(
    (now, change) => applyChange(now, change, 'Bram Oake', '2026-04-10T10:00:00.000Z'),
    record,
  );

describe('the inspection', () => {
  it('asks for nothing that a unit has not got', () => {
    const bare = put(emptyRecord, {
      part: 'features',
      key: 'slide',
      value: { state: 'none' },
    } as never);
    expect(inspectionOf(bare).map(({ item }) => item.key)).not.toContain('slide');
    expect(inspectionOf(emptyRecord)).toHaveLength(inspectionItems.length);
  });

  it('names features and stations that there are', () => {
    for (const { of, station } of inspectionItems as readonly { of?: string; station: string }[]) {
      expect([station, isStationKey(station)]).toEqual([station, true]);
      if (of) expect([of, isFeatureKey(of)]).toEqual([of, true]);
    }
  });

  it('keeps a unit from being operated until it is signed', () => {
    expect(operableOf(emptyRecord)).toMatchObject({ may: false });
    const tried = inspect(emptyRecord, () => 'pass');
    expect(operableOf(tried).why).toBe(
      'The inspection isn’t signed. Show and tell only: don’t operate anything.',
    );
    expect(operableOf(signed(tried)).may).toBe(true);
    expect(operableWords(operableOf(signed(tried)), 'Etc/UTC')).toBe('Inspected 10 Apr 2026.');
    expect(operableWords(operableOf(tried), 'Etc/UTC')).toBe(operableOf(tried).why);
  });

  it('is opened by no date that somebody typed, and by no signature under an inspection half done', () => {
    const dated = put(emptyRecord, {
      part: 'specs',
      key: 'inspected',
      value: { kind: 'date', date: '2026-04-10' },
    } as never);
    expect(operableOf(dated)).toMatchObject({
      may: false,
      why: expect.stringMatching(/^Not inspected/),
    });
    expect(operableOf(signed(emptyRecord)).may).toBe(false);
    const half = put(emptyRecord, {
      part: 'inspection',
      key: 'coupler',
      value: { result: 'pass' },
    } as never);
    expect(operableOf(signed(half)).why).toMatch(/isn’t complete, \d+ items are left/);
  });

  it('is no longer signed when an item is tried again', () => {
    const before = signed(inspect(emptyRecord, () => 'pass'));
    expect(inspectionState(before).signed).toBe(true);
    const after = put(before, {
      part: 'inspection',
      key: 'furnace',
      value: { result: 'fail', note: 'no spark' },
    } as never);
    expect(inspectionState(after).signed).toBe(false);
    expect(inspectionInputs(after)).not.toBe(inspectionInputs(before));
  });

  it('lets a failed or untried thing be told and not operated, and stops all for brakes and gas', () => {
    const awning = signed(inspect(emptyRecord, (key) => (key === 'awning' ? 'not-tried' : 'pass')));
    expect(operableOf(awning).may).toBe(true);
    expect([...operableOf(awning).toldOnly]).toEqual(['awning']);
    const brakes = signed(inspect(emptyRecord, (key) => (key === 'brakes-work' ? 'fail' : 'pass')));
    expect(operableOf(brakes)).toMatchObject({ may: false });
    expect(operableOf(brakes).why).toContain('Failed: brakes on every wheel');
  });

  it('is not enough where a finding says “do not show” and no technician has decided', () => {
    const tried = signed(inspect(emptyRecord, () => 'pass'));
    const bad = put(tried, {
      part: 'findings',
      key: id(9),
      value: finding({ kind: 'frame-damage', gravity: 'do-not-show' }),
    } as never);
    expect(operableOf(bad).may).toBe(false);
  });

  it('holds the cards of a walk: what is not operated is pointed out', () => {
    const { record } = { record: demoRecord('TQ-0417') };
    const shows = (r: UnitRecord) => pointsOf(r, us).flatMap((p) => p.show ?? []);
    expect(shows(record).some((what) => what !== 'Point it out; don’t operate anything.')).toBe(
      true,
    );
    const specs = Object.fromEntries(
      Object.entries(record.specs).filter(([key]) => key !== 'inspected'),
    ) as UnitRecord['specs'];
    expect(new Set(shows({ ...record, specs, inspection: {}, signatures: {} }))).toEqual(
      new Set(['Point it out; don’t operate anything.']),
    );
  });

  it('says when what was measured is not usual', () => {
    const low = put(emptyRecord, {
      part: 'inspection',
      key: 'battery-volts',
      value: { result: 'pass', measured: 11.4 },
    } as never);
    expect(inspectionOf(low).find(({ item }) => item.key === 'battery-volts')?.unusual).toBe(true);
  });
});

const look = { system: 'us', today: '2026-04-10', timeZone: 'Etc/UTC' } as const;

describe('the disclosure', () => {
  it('tells faults first, in plain words, and what was repaired after them', () => {
    const record = withFindings(
      finding({
        kind: 'dent',
        note: 'left of the door',
        repaired: { on: '2026-03-01', by: 'the yard', what: 'filled' },
      }),
      finding({
        kind: 'delamination',
        gravity: 'technician',
        saidFirst: true,
        answers: { gives: 'yes', moist: 'yes' },
      }),
    );
    const page = disclosureOf(record, look);
    expect(page.faults.map(({ title }) => title)).toEqual(['Delamination suspected']);
    expect(page.faults[0]?.text).toContain('points to water behind the skin');
    expect(page.faults[0]?.text).toContain('A technician hasn’t decided on it yet.');
    expect(page.repaired[0]?.text).toContain(
      'left of the door. Repaired by the yard, 1 Mar 2026: filled.',
    );
    expect(page.inspection).toBe('Its inspection isn’t signed.');
    expect(page.silent).toContain('isn’t a warranty');
  });

  it('has a word for every kind', () => {
    for (const { key, plain } of findingKinds) {
      const [row] = disclosureOf(withFindings(finding({ kind: key })), look).faults;
      expect(row?.text.startsWith(plain)).toBe(true);
    }
  });
});
