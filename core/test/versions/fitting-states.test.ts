import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { features, statesOf, type FeatureKey } from '@fair-gable/core/unit/catalog';
import { readModelSheetFile, toModelSheetFile } from '@fair-gable/core/unit/model-sheet';
import { changeProblem, emptyRecord, fieldText, type Change } from '@fair-gable/core/unit/record';
import { readUnitFile, toUnitFile, unitFileVersion } from '@fair-gable/core/unit/unit-file';
import { fittingState, withFittingStates } from '@fair-gable/core/unit/versions';
import { demoSheets } from '../demo-sheets.ts';

const old = JSON.parse(readFileSync(new URL('unit-v9.json', import.meta.url), 'utf8')) as Record<
  string,
  unknown
>;

describe('a unit file of version 9', () => {
  const reading = readUnitFile(old);
  if (!reading.ok) throw new Error(reading.message);
  const { record, id } = reading.file;

  it('is read with every feature in a state that its kind has, there or not as it was', () => {
    const states = (
      [
        'vinLabel',
        'tireLabel',
        'weightLabel',
        'keys',
        'manuals',
        'starterKit',
        'openRecall',
        'titleClear',
        'awning',
      ] as const
    ).map((key) => record.features[key]?.value.state);
    expect(states).toEqual([
      'none',
      'standard',
      'none',
      'standard',
      'none',
      'ours',
      'standard',
      'none',
      'prep',
    ]);
    expect(record.features.labelPhotos).toMatchObject({
      value: { state: 'standard' },
      others: [{ value: { state: 'none' }, by: 'Juno Vale' }],
    });
  });

  it('goes out as a file of this version, and in again the same', () => {
    const again = readUnitFile(JSON.parse(JSON.stringify(toUnitFile(id, record))));
    expect(again.ok && again.file.record).toEqual(record);
  });
});

describe('a state that a thing cannot have', () => {
  const change = (key: FeatureKey, state: string): Change =>
    ({ part: 'features', key, value: { state }, how: 'seen', basedOn: 0 }) as Change;

  it('is refused with what it can be', () => {
    expect(changeProblem(change('vinLabel', 'prep'))).toEqual({
      code: 'not-a-choice',
      params: { typed: 'prep only', choices: 'there and legible, unreadable, missing' },
    });
    expect(changeProblem(change('vinLabel', 'unreadable'))).toBeUndefined();
    expect(changeProblem(change('keys', 'missing'))).toBeUndefined();
    expect(changeProblem(change('awning', 'missing'))).toMatchObject({ code: 'not-a-choice' });
  });

  it('is refused in a file of this version too', () => {
    const entry = {
      value: { state: 'prep' },
      how: 'seen',
      by: 'Ines Rook',
      at: '2026-04-15T09:00:00.000Z',
      version: 1,
    };
    const file = toUnitFile('6a1f0e9c-3b5d-4c2e-9f7a-1d2c3b4a5e6f', {
      ...emptyRecord,
      features: { vinLabel: entry as never },
    });
    expect(file.version).toBe(unitFileVersion);
    expect(readUnitFile(JSON.parse(JSON.stringify(file)))).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^VIN label can’t be “prep only”/),
    });
  });

  it('of any feature becomes one that it can have, and those it can have stay', () => {
    for (const { key, kind } of features) {
      const has = statesOf(kind).map((choice) => choice.key);
      for (const state of ['standard', 'option', 'ours', 'prep', 'room', 'none'] as const) {
        const now = fittingState(key, state);
        expect(has).toContain(now);
        if (has.includes(state)) expect(now).toBe(state);
      }
    }
  });

  it('is found wherever features are spoken of, and nothing else is touched', () => {
    expect(
      withFittingStates({
        packages: [{ adds: { features: { keys: 'option', awning: 'option' } }, note: 'option' }],
        answer: { part: 'features', key: 'vinLabel', value: { state: 'room' } },
        offer: { part: 'features', key: 'openRecall', feature: 'ours' },
        other: { part: 'specs', key: 'vinLabel', value: { state: 'room' } },
        features: { awning: { value: { state: 'prep', tried: 'works' } } },
      }),
    ).toEqual({
      packages: [{ adds: { features: { keys: 'standard', awning: 'option' } }, note: 'option' }],
      answer: { part: 'features', key: 'vinLabel', value: { state: 'none' } },
      offer: { part: 'features', key: 'openRecall', feature: 'standard' },
      other: { part: 'specs', key: 'vinLabel', value: { state: 'room' } },
      features: { awning: { value: { state: 'prep', tried: 'works' } } },
    });
  });
});

it('a model sheet of version 2 is read with states that fit', () => {
  const [sheet] = demoSheets;
  const file = toModelSheetFile(sheet!);
  const values = {
    ...sheet!.values,
    features: { ...sheet!.values.features, valvesInside: 'option' },
  };
  const content = { ...file, sheet: { ...sheet, values } };
  const read = (version: number) =>
    readModelSheetFile(JSON.parse(JSON.stringify({ ...content, version })));
  const before = read(2);
  expect(before.ok && before.sheet.values.features.valvesInside).toBe('standard');
  expect(read(3)).toMatchObject({
    ok: false,
    message: expect.stringMatching(/Dump valves in the heated space can’t be “option”/),
  });
});

it('a state is called as its kind calls it', () => {
  const said = (key: FeatureKey, state: string) =>
    fieldText('features', key, { state } as never, 'seen', 'us');
  expect([
    said('vinLabel', 'standard'),
    said('keys', 'none'),
    said('openRecall', 'none'),
    said('awning', 'room'),
  ]).toEqual(['there and legible', 'not included', 'no', 'room for']);
  // In a history from before.
  expect(said('vinLabel', 'prep')).toBe('prep only');
});
