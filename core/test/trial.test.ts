import { describe, expect, it } from '@jest/globals';
import type { System } from '@fair-gable/core/base/quantity';
import { vehicleClasses, vehiclesOf } from '@fair-gable/core/numbers/tow';
import {
  askingOf,
  compareTrials,
  freshTrial,
  keptTrials,
  questionsFor,
} from '@fair-gable/core/numbers/trial';
import { gearPlacesOf } from '@fair-gable/core/numbers/weight';
import { pointsOf } from '@fair-gable/core/show/cards';
import {
  applyChange,
  emptyRecord,
  nameOf,
  questionKeys,
  type KeptTrial,
  type QuestionKey,
  type Trial,
  type UnitRecord,
  type Vehicle,
} from '@fair-gable/core/unit/record';
import { answersFor } from './answers.ts';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const today = '2026-04-15';
const answers = (record: UnitRecord, more: Partial<Trial> = {}, system: System = 'us') =>
  answersFor(record, { ...freshTrial(), ...more }, system, today);
const asking = (record: UnitRecord, more: Partial<Trial> = {}, system: System = 'us') =>
  askingOf(record, { ...freshTrial(), ...more }, system, today);
const asked = (record: UnitRecord, key: QuestionKey, more: Partial<Trial> = {}) =>
  questionsFor(asking(record, more)).find((one) => one.key === key);

describe('a buyer’s questions', () => {
  it('each have an answer or say what is missing, for every unit in both systems', () => {
    for (const { record } of demoFiles) {
      for (const system of ['us', 'metric'] as const) {
        const all = questionsFor(asking(record, {}, system));
        expect(all.map(({ key }) => key).toSorted()).toEqual([...questionKeys].toSorted());
        for (const { answer, missing } of all) expect(answer ?? missing).not.toBe('');
        if (system === 'metric') {
          const said = all.map(({ answer }) => answer).join(' ');
          expect(said).not.toMatch(/\blb\b|\bgal\b/);
        }
      }
    }
  });

  it('stand first where they can be answered now', () => {
    for (const { record } of demoFiles) {
      const has = questionsFor(asking(record)).map(({ answer }) => answer !== undefined);
      expect(has).toEqual(has.toSorted((a, b) => Number(b) - Number(a)));
    }
  });

  it('are answered for the unit as its record has it, by hand', () => {
    // TQ-0417: 5,572 dry, 47 gal × 8.345 = 392, propane 60: 6,024 of 7,490 lb.
    const record = demoRecord('TQ-0417');
    expect(asked(record, 'load')?.answer).toBe('1,466 lb');
    expect(asked(record, 'nights')?.answer).toBe('about 2, the gray tank fills first');
    expect(asked(record, 'tow')?.answer).toBe(
      'needs a tow rating of 6,024 lb; 575 lb on the ball, loaded with fresh water and propane',
    );
    // 7,490 − 5,572 = 1,918 lb; the label says 1,858: two cylinders, or the battery: what the dry weight counts nobody has read.
    expect(asked(record, 'label')?.answer).toBe('60 lb apart, maybe explained');
    expect(asked(record, 'scale')).toMatchObject({ answer: undefined });
  });

  it('say “about” where the record only guesses', () => {
    const record = demoRecord('TQ-0417');
    const { uvw } = record.specs;
    if (!uvw) throw new Error('no weight');
    const guessed = { ...record, specs: { ...record.specs, uvw: { ...uvw, how: 'guessed' } } };
    expect(asked(guessed as UnitRecord, 'load')).toMatchObject({
      about: true,
      answer: 'about 1,466 lb',
    });
  });
});

describe('what is tried', () => {
  const record = demoRecord('TQ-0417');

  it('leaves the record as it is, and begins with fresh water and propane aboard', () => {
    const before = JSON.stringify(record);
    answers(record, { people: 5 });
    expect(JSON.stringify(record)).toBe(before);
    expect(freshTrial()).toMatchObject({ levels: { freshTank: 1 }, gear: {}, propane: true });
  });

  it('begins with the reserve that the yard’s house view keeps', () => {
    expect(freshTrial(() => 'margin').reserve).toBe(0.2);
    expect(freshTrial(() => 'full').reserve).toBe(0);
  });

  it('on the rear rack lightens the hitch, in the front store makes it heavier', () => {
    const hitch = (gear: Trial['gear']) => answers(record, { gear }).load.value?.hitch ?? 0;
    expect(hitch({ rack: 300 })).toBeLessThan(hitch({}));
    expect(hitch({ front: 300 })).toBeGreaterThan(hitch({}));
  });

  it('has a place for machines where there is a garage, and nowhere else', () => {
    const hasGarage = ({ features }: UnitRecord) =>
      ['standard', 'option', 'ours'].includes(features.garageSpace?.value.state ?? 'none');
    for (const { record: one } of demoFiles) {
      const places = gearPlacesOf(one).map(({ key }) => key);
      expect([nameOf(one), places.includes('garage')]).toEqual([nameOf(one), hasGarage(one)]);
    }
    expect(demoFiles.some(({ record: one }) => hasGarage(one))).toBe(true);
  });

  it('holds a rack to what it may carry', () => {
    const entry = { how: 'read', by: 'Ines', at: '2026-04-01T09:00:00.000Z', version: 1 } as const;
    const rack = { ...entry, value: { kind: 'quantity', amount: 200 } as const };
    const rated = { ...record, specs: { ...record.specs, rearRackRating: rack } };
    const limits = answers(rated, { gear: { rack: 260 } }).load.value?.limits;
    expect(limits?.find(({ label }) => label === 'Rear rack')?.left).toBe(-60);
    // The rack is no limit of the whole: what may still be loaded the axles say, which it presses on most.
    expect(answers(rated, { gear: { rack: 260 } }).load.value?.first).toBe('axles');
  });

  it('of a school: a fifth in hand takes a fifth off every rating; both schools stand side by side', () => {
    const rating = (reserve: number) =>
      answers(record, { reserve }).tow.value?.limits.map((limit) => limit.rating) ?? [];
    expect(rating(0.2)).toEqual(rating(0).map((full) => full * 0.8));
    const schools = answers(record).tow.value?.schools;
    expect(schools?.map(({ reserve }) => reserve)).toEqual([0, 0.2]);
    expect(schools?.[1]?.largest).toBeLessThan(schools?.[0]?.largest ?? 0);
  });

  it('of the tires: the softest decides for all', () => {
    const all = (pressures: Trial['pressures']) => answers(record, { pressures }).tires.value?.all;
    expect(all({ DoorFront: 65, DoorRear: 40 })).toBe(all({ DoorFront: 40 }));
    expect(all({ DoorRear: 40 })).toBeLessThan(all({}) ?? 0);
  });

  it('on the scale goes before what was worked out, for the vehicle and the tires', () => {
    const weighings = { vehicle: 5760, together: 12_120, trailerAxles: 5540 };
    const weighed = answers(record, { weighings });
    expect(weighed.scale.value).toMatchObject({ total: 6360, hitch: 820 });
    expect(weighed.tow.value?.least?.towRating).toBe(6360);
    expect(weighed.tires.steps.at(-1)?.arithmetic).toContain('5,540 lb');
    // 6,024 lb were worked out.
    expect(weighed.scale.sentence).toContain('336 lb more than we figured');
  });
});

describe('a question of somebody who walks in', () => {
  it('with nothing told: what a vehicle of the class takes, said to be about', () => {
    const { tow } = answers(emptyRecord);
    expect(tow.confidence).toBe('about');
    // Receiver 1,100 ÷ 13%.
    expect(tow.value?.largest).toBeCloseTo(1100 / 0.13, 6);
    expect(tow.sentence).toContain('can tow a trailer of up to about 8,462 lb, loaded');
  });

  it('with a GVWR alone: the trailer as heavy as it may be', () => {
    const change = {
      part: 'specs',
      key: 'gvwr',
      value: { kind: 'quantity', amount: 6000 },
      how: 'told',
      basedOn: 0,
    } as const;
    const record = applyChange(emptyRecord, change, 'walk-in', '2026-04-01T09:00:00.000Z');
    const { tow } = answers(record);
    expect(tow.value).toMatchObject({ hitch: 780, fits: true });
    expect(tow.assumptions).toContain('Figured at its GVWR, the most it may weigh.');
  });
});

describe('kept trials', () => {
  const record = { ...demoRecord('TQ-0417'), trials: {} };
  const kept = (
    name: string,
    trial: Partial<Trial>,
    question: QuestionKey = 'load',
  ): KeptTrial => ({
    name,
    question,
    card: question === 'load',
    on: today,
    trial: { ...freshTrial(), ...trial },
  });
  const ids = [
    'a0000000-0000-4000-8000-000000000001',
    'a0000000-0000-4000-8000-000000000002',
  ] as const;
  const trials = [
    kept('Weekend, dry', { levels: {} }),
    kept('Family of five', { people: 5 }, 'nights'),
  ];
  const keeping = trials.reduce(
    (so, value, i) =>
      applyChange(
        so,
        { part: 'trials', key: ids[i] ?? '', value, how: 'seen', basedOn: 0 },
        'Ines',
        '2026-04-15T09:00:00.000Z',
      ),
    record,
  );

  it('are listed by name with what they answer', () => {
    expect(keptTrials(keeping, 'us').map(({ kept: one, answer }) => [one.name, answer])).toEqual([
      ['Family of five', expect.stringMatching(/^about 0/)],
      ['Weekend, dry', '1,858 lb'],
    ]);
  });

  it('stand side by side, and say where they differ', () => {
    const rows = compareTrials(keeping, trials, 'us');
    const differing = rows.filter(({ differs }) => differs).map(({ key }) => key);
    expect(differing.toSorted()).toEqual(['load', 'nights', 'tow']);
    expect(rows.find(({ key }) => key === 'load')?.answers).toEqual(['1,858 lb', '1,466 lb']);
  });

  it('are a card of the walk once somebody sends them there, in words that hold now', () => {
    const cards = pointsOf(keeping, us).filter(({ id }) => id.startsWith('trials.'));
    expect(cards).toHaveLength(1);
    expect(cards[0]).toMatchObject({ label: 'Weekend, dry', station: 'labels' });
    expect(cards[0]?.sentence).toContain('room for 1,858 lb');
    expect(pointsOf(record, us).some(({ id }) => id.startsWith('trials.'))).toBe(false);
  });
});

describe('a yard’s vehicles', () => {
  it('are the usual classes until it writes its own, then its buyers’', () => {
    expect(vehiclesOf([])).toEqual(vehicleClasses);
    const own: Vehicle = { ...(vehicleClasses[0] as Vehicle), label: 'Island crossover' };
    const buyers: Vehicle = { key: 'gray-truck', label: 'Gray truck', kind: 'buyer', figures: {} };
    const all = vehiclesOf([buyers, own]);
    expect(all).toHaveLength(vehicleClasses.length + 1);
    expect(all[0]?.label).toBe('Island crossover');
    expect(all.at(-1)).toBe(buyers);
  });

  it('say how sure a figure is by where it was found', () => {
    const record = demoRecord('TQ-0417');
    const vehicle = (from: 'label' | 'class' | 'told'): Vehicle => ({
      key: 'one',
      label: 'One',
      kind: 'buyer',
      figures: { payload: { amount: 1500, from } },
    });
    const sure = (from: 'label' | 'class' | 'told') =>
      answers(record, { vehicle: vehicle(from) }).tow.confidence;
    // The weights of this unit are partly told; nothing is surer than they are.
    expect(answers(record).load.confidence).toBe('told');
    expect([sure('label'), sure('told'), sure('class')]).toEqual(['told', 'told', 'about']);
    const alone = (from: 'label' | 'told') =>
      answers(emptyRecord, { vehicle: vehicle(from), aboard: 0 }).tow.confidence;
    expect([alone('label'), alone('told')]).toEqual(['about', 'about']);
    const { missing } = answers(record, { vehicle: vehicle('label') }).tow;
    expect(missing.map(({ label }) => label)).toEqual([
      'Tow rating, in the maker’s tow guide, by engine and axle',
      'GCWR, in the maker’s tow guide',
      'Receiver rating, on the receiver’s plate',
    ]);
  });
});
