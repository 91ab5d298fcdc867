import { describe, expect, it } from '@jest/globals';
import { toInternal } from '@fair-gable/core/base/quantity';
import { numberSpoken } from '@fair-gable/core/base/words';
import { modelTalk, pointsOf } from '@fair-gable/core/show/cards';
import {
  claimRows,
  claimsIn,
  comparedRows,
  lexicon,
  riskyIn,
  type Evidence,
} from '@fair-gable/core/show/claims';
import {
  isSpecKey,
  type FeatureKey,
  type HowKnown,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import { emptyRecord, type SpecValue, type UnitRecord } from '@fair-gable/core/unit/record';
import { demoFiles, demoRecord, us } from './demo-units.ts';
import * as sets from './claims-heard.ts';
import { demoSheets } from './demo-sheets.ts';

const entry = <T>(value: T, how: HowKnown) => ({
  value,
  how,
  by: 'Ines',
  at: '2026-03-14T09:00:00.000Z',
  version: 1,
});
const withSpec = (
  record: UnitRecord,
  key: SpecKey,
  value: SpecValue,
  how: HowKnown = 'read',
): UnitRecord => ({ ...record, specs: { ...record.specs, [key]: entry(value, how) } });
const withFeatures = (keys: readonly FeatureKey[], how: HowKnown = 'seen'): UnitRecord => ({
  ...emptyRecord,
  features: Object.fromEntries(
    keys.map((key) => [key, entry({ state: 'standard' as const }, how)]),
  ),
});
const pounds = (amount: number): SpecValue => ({ kind: 'quantity', amount });
const against = (record: UnitRecord, stock: readonly UnitRecord[] = []): Evidence => ({
  record,
  stock,
  system: 'us',
});
const grades = (text: string, evidence: Evidence): readonly string[] =>
  claimsIn(text, evidence).map(({ key, grade }) => `${key} ${grade}`);

const warm: readonly FeatureKey[] = [
  'enclosedBelly',
  'bellyHeat',
  'tankHeat',
  'heatedLines',
  'valvesInside',
  'doublePane',
];

/** Sentences as they are heard on a lot, with what they claim: common practice. */
const heard: readonly (readonly [string, readonly string[]])[] = [
  ['This one is a true four-season trailer.', ['four-season open']],
  ['It’s half-ton towable.', ['half-ton not']],
  ['Any truck can tow it.', ['half-ton not']],
  ["These walls can't delaminate.", ['delaminate not']],
  ['The best in its class, hands down.', ['best not']],
  ['It is the only one with a rear kitchen.', ['only not']],
  ['Twice as much storage as the others.', ['multiple not']],
  ['It is 30% lighter.', ['multiple not']],
  ['The stabilizers level the trailer.', ['level open']],
  ['The roof is maintenance-free.', ['no-upkeep not']],
  ['It never leaks.', ['leak not']],
  ['You can run the A/C off the battery.', ['off-grid not']],
  ['It runs the A/C off the battery.', ['off-grid not']],
  ['Fully off-grid, for weeks.', ['off-grid not']],
  ['It’s perfectly safe.', ['safe not']],
  ['Everything works.', ['inspected open']],
  ['It is like new.', ['as-new open']],
  ['One-owner, garage kept.', ['one-owner open', 'one-owner open']],
  ['It has a lifetime warranty.', ['warranty not']],
  ['There is no wood in it.', ['no-wood open']],
  ['It weighs only 4,980 lb.', ['weighs-only open']],
  ['It sleeps 8.', ['sleeps open']],
  ['This price is only today.', ['price not']],
  ['The oven heats the trailer nicely.', ['range-heat not']],
  ['It has the largest fridge.', ['most-fridgeSize open']],
  // What is denied is not claimed; what is only near is not either.
  ['It is not the best for you.', []],
  ['I won’t say it never leaks.', []],
  ['A best-selling book on birds lies inside.', []],
  ['Leave it level before you use the fridge.', []],
  ['Two seasons of tires are left on it.', []],
  ['Keep a safe distance.', []],
  // What somebody else says is told as theirs.
  ['We were told: it sleeps 4.', []],
];

describe('what is claimed in words', () => {
  it.each(heard)('%s', (text, expected) => {
    expect(grades(text, against(emptyRecord))).toEqual(expected);
  });

  it('is heard with either apostrophe and in any case', () => {
    expect(grades("IT WON'T LEAK", against(emptyRecord))).toEqual(['leak not']);
  });

  it('says where it stands, and of two that overlap the longer', () => {
    const text = 'Really, it is the best in its class today only.';
    const claims = claimsIn(text, against(emptyRecord));
    expect(claims.map(({ words }) => words)).toEqual(['the best in its class', 'today only']);
    for (const { at, words } of claims) expect(text.slice(at, at + words.length)).toBe(words);
  });
});

describe('a claim is graded by what is known', () => {
  const text = 'A four-season trailer.';

  it('holds where all of it was seen', () => {
    expect(grades(text, against(withFeatures(warm)))).toEqual(['four-season holds']);
    expect(riskyIn(text, against(withFeatures(warm)))).toEqual([]);
  });

  it('does not hold on what we were told or a guess', () => {
    for (const how of ['told', 'guessed'] as const) {
      expect(grades(text, against(withFeatures(warm, how)))).toEqual(['four-season open']);
    }
  });

  it('is wrong where one is surely missing, and names it; its wording names what is there', () => {
    const record = withFeatures(warm.slice(1));
    const bare = {
      ...record,
      features: { ...record.features, enclosedBelly: entry({ state: 'none' as const }, 'seen') },
    };
    const [claim] = claimsIn(text, against(bare));
    expect(claim).toMatchObject({ grade: 'not' });
    expect(claim?.because).toMatch(/not on it: .*belly/i);
    expect(claim?.instead).toMatch(/double/i);
  });

  it('prep and room are not the thing', () => {
    const record = withFeatures(['levelingSystem']);
    const prep = { ...record.features.levelingSystem, value: { state: 'prep' as const } };
    const only = { ...record, features: { levelingSystem: prep } } as UnitRecord;
    expect(grades('It is self-leveling.', against(only))).toEqual(['level not']);
  });

  it('holds the weight that is said against the label, in either system', () => {
    const record = withSpec(emptyRecord, 'gvwr', pounds(7490));
    expect(grades('It weighs 7,490 lb.', against(record))).toEqual(['weighs-only holds']);
    expect(grades('It weighs 3,397 kg.', against(record))).toEqual(['weighs-only holds']);
    expect(grades('It weighs only 4,980 lb.', against(record))).toEqual(['weighs-only not']);
    const guess = withSpec(emptyRecord, 'gvwr', pounds(7490), 'guessed');
    expect(grades('It weighs 7,490 lb.', against(guess))).toEqual(['weighs-only open']);
  });

  it('compares with the stock whose number is known, and shares a place', () => {
    const tank = (amount: number, how: HowKnown = 'read') =>
      withSpec(emptyRecord, 'freshTank', pounds(amount), how);
    const most = 'It has the biggest fresh tank.';
    expect(grades(most, against(tank(54), [tank(40), tank(54)]))).toEqual(['most-freshTank holds']);
    expect(grades(most, against(tank(54), [tank(40), tank(60)]))).toEqual(['most-freshTank not']);
    expect(grades(most, against(tank(54), [tank(90, 'guessed')]))).toEqual(['most-freshTank open']);
    expect(claimsIn(most, against(tank(54), [tank(40), tank(60)]))[0]?.because).toBe(
      '54 gal: 1 is more among 3 on this yard whose fresh tank is known.',
    );
  });

  it('of used units as new is wrong; of new ones until something is found', () => {
    const condition = (choice: string) =>
      withSpec(emptyRecord, 'condition', { kind: 'choice', choice });
    expect(grades('Flawless.', against(condition('used')))).toEqual(['as-new not']);
    expect(grades('Flawless.', against(condition('new')))).toEqual(['as-new holds']);
  });
});

describe('sentences as they are said beside a unit', () => {
  const used = withSpec(demoRecord('TQ-0417'), 'condition', { kind: 'choice', choice: 'used' });
  const risky = (says: string) => riskyIn(says, against(used)).map(({ key }) => key);
  const worked = [...sets.worked, ...sets.second, ...sets.third, ...sets.fourth];

  it('are many, and half of them harmless', () => {
    const all = [...worked, ...sets.fresh];
    expect(all.length).toBeGreaterThan(300);
    expect(all.filter(({ claims }) => claims === undefined).length).toBeGreaterThan(150);
    expect(new Set(all.map(({ says }) => says)).size).toBe(all.length);
  });

  it.each(
    worked.filter(({ claims }) => claims !== undefined).map(({ says, claims }) => [says, claims]),
  )('is found: %s', (says, claims) => expect(risky(says ?? '')).toContain(claims));

  it.each(worked.filter(({ claims }) => claims === undefined).map(({ says }) => [says]))(
    'is harmless: %s',
    (says) => expect(risky(says)).toEqual([]),
  );

  it('nothing was fitted to are found nine times in ten, with fewer than one false alarm in twenty', () => {
    const claiming = sets.fresh.filter(({ claims }) => claims !== undefined);
    const harmless = sets.fresh.filter(({ claims }) => claims === undefined);
    const found = claiming.filter(({ says }) => risky(says).length > 0).length;
    const alarms = harmless.filter(({ says }) => risky(says).length > 0).length;
    expect(found / claiming.length).toBeGreaterThanOrEqual(0.9);
    expect(alarms / harmless.length).toBeLessThan(0.05);
  });
});

describe('a figure in somebody’s own words', () => {
  const holds = (amount: number) => withSpec(emptyRecord, 'freshTank', pounds(amount));

  it.each([
    ['The fresh tank holds forty gallons.', 'figure-freshTank not'],
    ['Forty-seven gallons of fresh water.', 'figure-freshTank holds'],
    ['About forty-five gallons of fresh water.', 'figure-freshTank holds'],
    ['Almost fifty gallons of drinking water.', 'figure-freshTank not'],
    ['More than forty-five gallons of fresh.', 'figure-freshTank holds'],
    ['It has 178 liters of fresh water.', 'figure-freshTank holds'],
  ])('%s', (says, grade) => expect(grades(says, against(holds(47)))).toEqual([grade]));

  it('needs no name on its own card, and is nothing known where only a guess is', () => {
    const own = { ...against(holds(47)), about: ['freshTank'] as const };
    expect(grades('It holds forty gallons.', own)).toEqual(['figure-freshTank not']);
    expect(grades('It holds forty gallons.', against(holds(47)))).toEqual([]);
    const guess = withSpec(emptyRecord, 'freshTank', pounds(47), 'guessed');
    expect(grades('The fresh tank holds 47 gallons.', against(guess))).toEqual([
      'figure-freshTank open',
    ]);
  });

  it.each([
    ['forty-seven', 47],
    ['a hundred and twenty', 120],
    ['two thousand five hundred', 2500],
    ['13.5k', 13_500],
    ['1,200', 1200],
  ])('%s is a number', (said, number) => expect(numberSpoken(said)).toBeCloseTo(number, 6));

  it('of a weight is held against the weight that is named', () => {
    const record = withSpec(withSpec(emptyRecord, 'gvwr', pounds(7490)), 'uvw', pounds(5572));
    expect(grades('It weighs 5,572 lb dry.', against(record))).toEqual(['weighs-only holds']);
    expect(grades('Empty it weighs 5,572 lb.', against(record))).toEqual(['weighs-only holds']);
    expect(grades('It weighs only 5,572 lb.', against(record))).toEqual(['weighs-only not']);
  });
});

describe('a figure of several', () => {
  const each = toInternal(15_000, 'BTU/h');
  const record = withSpec(emptyRecord, 'acUnits', { kind: 'counted', count: 2, each });
  it.each([
    ['You’ve got two 15,000-BTU air conditioners.', ['holds']],
    ['You’ve got 30,000 BTU of A/C.', ['holds']],
    ['You’ve got two 13,500-BTU air conditioners.', ['not']],
  ])('%s', (said, graded) => {
    expect(claimsIn(said, against(record)).map(({ grade }) => grade)).toEqual(graded);
  });
});

describe('a figure of the outside fridge', () => {
  const cubicFeet = (amount: number) =>
    ({ kind: 'quantity', amount: toInternal(amount, 'ft³') }) as const;
  const record = withSpec(
    withSpec(emptyRecord, 'fridgeSize', cubicFeet(8)),
    'outsideFridgeSize',
    cubicFeet(1.6),
  );
  it.each([
    ['The outside fridge holds 1.6 cubic feet.', []],
    ['The outside fridge holds 8 cubic feet.', ['outsideFridgeSize']],
    ['The fridge holds 8 cubic feet.', []],
    ['The fridge holds 1.6 cubic feet.', ['fridgeSize']],
  ])('%s', (said, wrong) => {
    const found = claimsIn(said, against(record)).filter(({ grade }) => grade === 'not');
    expect(found.map(({ words }) => words.includes('outside')).length).toBe(wrong.length);
  });
});

describe('a wording that is offered instead', () => {
  it('says no guess, nothing we were only told, and nothing that nobody has written down', () => {
    for (const how of ['guessed', 'told'] as const) {
      const record = withSpec(emptyRecord, 'freshTank', pounds(47), how);
      const [claim] = claimsIn('You can boondock for a week.', against(record));
      expect(claim?.instead).not.toMatch(/47|\{|nobody has/);
    }
  });
});

describe('the words by meaning', () => {
  it('are each used by a row', () => {
    const patterns = claimRows.flatMap(({ words }) => words).join(' ');
    for (const meaning of Object.keys(lexicon)) expect(patterns).toContain(`{${meaning}}`);
  });
});

describe('the rows', () => {
  it('each have a key of their own, and places that can be filled', () => {
    expect(new Set(claimRows.map(({ key }) => key)).size).toBe(claimRows.length);
    for (const { instead } of claimRows) {
      for (const [, key = ''] of instead.matchAll(/\{(\w+)\}/g)) {
        expect(key === 'features' || isSpecKey(key)).toBe(true);
      }
    }
  });

  it('word nothing that is itself a claim', () => {
    for (const { instead } of claimRows) {
      const risky = riskyIn(instead, against(demoRecord('TQ-0417')));
      expect(risky.map(({ words }) => words)).toEqual([]);
    }
  });

  it('are each tripped by a sentence above', () => {
    const tripped = [
      ...heard.flatMap(([, claims]) => claims.map((claim) => claim.split(' ')[0])),
      ...sets.worked.map(({ claims }) => claims),
    ];
    for (const { key } of claimRows) expect(tripped).toContain(key);
    expect(comparedRows.length).toBeGreaterThan(10);
  });
});

describe('the program’s own words', () => {
  it('claim nothing that does not hold, on any demo unit, objections and their answers too', () => {
    const stock = demoFiles.map(({ record }) => record);
    for (const { record } of demoFiles) {
      const evidence = against(record, stock);
      const points = pointsOf(record, { ...us, talk: modelTalk(record, demoSheets) });
      // Words under which the record has changed are told so, and claims in them are found.
      for (const { sentence } of points.filter(({ changed }) => changed === undefined)) {
        const wrong = riskyIn(sentence, evidence).map(({ words }) => `${words}: ${sentence}`);
        expect(wrong).toEqual([]);
      }
    }
  });
});

describe('another spelling', () => {
  it.each([
    ['The walls are mold-proof.', 'The walls are mould-proof.'], // voice: kept
    ['It is twenty percent lighter.', 'It is twenty per cent lighter.'],
    ['It is all aluminum.', 'It is all aluminium.'], // voice: kept
    ['It is all fiberglass.', 'It is all fibreglass.'], // voice: kept
    ['The tires are indestructible.', 'The tyres are indestructible.'], // voice: kept
  ])('of “%s” is the same claim', (ours, theirs) => {
    const found = (words: string) =>
      claimsIn(words, { record: emptyRecord, stock: [], system: 'us' }).map(({ key }) => key);
    expect(found(ours)).not.toEqual([]);
    expect(found(theirs)).toEqual(found(ours));
  });
});
