import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { readUnitFile, textOf, type UnitRecord } from '@fair-gable/core';
import { marksOf } from '../src/condition/marks.ts';
import { questionKeys, questionsFor } from '../src/numbers/questions.ts';
import { answersFor, freshTrial, type Trial } from '../src/numbers/trial.ts';
import { photosOf } from '../src/photo/photos.ts';

const folder = new URL('../../demo/units/', import.meta.url);
const records: readonly UnitRecord[] = readdirSync(folder).map((name) => {
  const read = readUnitFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (!read.ok) throw new Error(read.message);
  return read.file.record;
});
const recordOf = (stockNumber: string): UnitRecord => {
  const found = records.find((record) => textOf(record, 'stockNumber') === stockNumber);
  if (!found) throw new Error(`no ${stockNumber}`);
  return found;
};
const today = '2026-04-15';
const answers = (record: UnitRecord, more: Partial<Trial> = {}, system: 'us' | 'metric' = 'us') =>
  answersFor(record, { ...freshTrial(record), ...more }, system, today);

describe('a buyer’s questions', () => {
  it('each have an answer or say what is missing, for every unit in both systems', () => {
    for (const record of records) {
      for (const system of ['us', 'metric'] as const) {
        const asked = questionsFor(answers(record, {}, system), system);
        expect(asked.map(({ key }) => key).toSorted()).toEqual([...questionKeys].toSorted());
        for (const { answer, missing } of asked) expect(answer ?? missing).not.toBe('');
        if (system === 'metric') {
          expect(asked.map(({ answer }) => answer).join(' ')).not.toMatch(/\blb\b|\bgal\b/);
        }
      }
    }
  });

  it('stand first where they can be answered now', () => {
    for (const record of records) {
      const has = questionsFor(answers(record), 'us').map(({ answer }) => answer !== undefined);
      expect(has).toEqual(has.toSorted((a, b) => Number(b) - Number(a)));
    }
  });

  it('are answered for the unit as its record has it, by hand', () => {
    // TQ-0417: 5,572 as built, 47 gal × 8.345 = 392, propane 60: 6,024 of 7,490 lb.
    const asked = questionsFor(answers(recordOf('TQ-0417')), 'us');
    expect(asked.find(({ key }) => key === 'load')?.answer).toBe('1,466 lb');
    expect(asked.find(({ key }) => key === 'nights')?.answer).toBe(
      'about 2, the gray tank fills first',
    );
  });

  it('say “about” where the record only guesses', () => {
    const { record } = { record: recordOf('TQ-0417') };
    const uvw = record.specs.uvw;
    if (!uvw) throw new Error('no weight');
    const guessed: UnitRecord = {
      ...record,
      specs: { ...record.specs, uvw: { ...uvw, how: 'guessed' } },
    };
    const load = questionsFor(answers(guessed), 'us').find(({ key }) => key === 'load');
    expect(load).toMatchObject({ about: true, answer: 'about 1,466 lb' });
  });
});

describe('what is tried', () => {
  const record = recordOf('TQ-0417');
  const fresh = freshTrial(record);

  it('leaves the record as it is, and begins with fresh water and propane aboard', () => {
    const before = JSON.stringify(record);
    answers(record, { people: 5 });
    expect(JSON.stringify(record)).toBe(before);
    expect(fresh.weight.levels).toEqual({ freshTank: 1 });
    expect(fresh.weight.gear.every(({ pounds }) => pounds === 0)).toBe(true);
  });

  it('on the rear rack lightens the hitch, in the front store makes it heavier', () => {
    const loaded = (key: string) => {
      const gear = fresh.weight.gear.map((row) =>
        row.key === key ? { ...row, pounds: 300 } : row,
      );
      return answers(record, { weight: { ...fresh.weight, gear } }).weight.value?.hitch ?? 0;
    };
    const empty = answers(record).weight.value?.hitch ?? 0;
    expect(loaded('rack')).toBeLessThan(empty);
    expect(loaded('front')).toBeGreaterThan(empty);
  });

  it('of a vehicle: what was read off it goes before its class, and what was not is named', () => {
    const own = answers(record, { own: { payload: 900 } }).tow;
    expect(own.value?.limits.find(({ key }) => key === 'payload')?.rating).toBe(900);
    expect(own.value?.limits.some(({ key }) => key === 'combined')).toBe(false);
    expect(answers(record).tow.confidence).toBe('about');
    const nobody = answers(record, { vehicle: 'none of them' }).tow;
    expect(nobody.missing.map(({ label }) => label)).toContain(
      'Payload, on the driver’s door label',
    );
  });

  it('of a school: a fifth in hand takes a fifth off every rating', () => {
    const rating = (reserve: number) =>
      answers(record, { reserve }).tow.value?.limits.map((limit) => limit.rating) ?? [];
    expect(rating(0.2)).toEqual(rating(0).map((full) => full * 0.8));
  });

  it('of the tyres: less pressure carries less', () => {
    const all = (pressure: number | null) => answers(record, { pressure }).tyres.value?.all ?? 0;
    expect(all(40)).toBeLessThan(all(null));
  });
});

describe('what is drawn and shown', () => {
  it('every finding and reading with a spot is a mark, by its shape', () => {
    const marks = marksOf(recordOf('TQ-0377'));
    expect(marks.filter(({ shape }) => shape === 'drop')).toHaveLength(3);
    expect(marks.find(({ text }) => text.startsWith('Delamination'))?.shape).toBe('cross');
    expect(marks.find(({ text }) => text.startsWith('Crack in a seal'))).toMatchObject({
      shape: 'done',
      text: 'Crack in a seal, repaired',
    });
  });

  it('a photo is found by what it shows, oldest first', () => {
    const record = recordOf('TQ-0377');
    const all = photosOf(record);
    expect(all.map(({ at }) => at)).toEqual(all.map(({ at }) => at).toSorted());
    expect(photosOf(record, 'specs.gvwr')).toHaveLength(1);
    expect(photosOf(record, 'wheels.OffDoorFront')).toHaveLength(1);
    expect(photosOf(record, 'specs.uvw')).toEqual([]);
  });
});
