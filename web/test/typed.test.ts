import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { specEntry, type Spec, type SpecKey } from '@fair-gable/core/unit/catalog';
import { checkRecord, openObjections } from '@fair-gable/core/unit/checks';
import { inspectionOf } from '@fair-gable/core/unit/condition';
import {
  applyChange,
  emptyRecord,
  type Change,
  type Entry,
  type FeatureValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { otherReadings, roundOf, type Step } from '@fair-gable/core/unit/round';
import { readUnitFile } from '@fair-gable/core/unit/unit-file';
import { typedFitted, type FittedDraft } from '../src/unit/aboard/typed-fitted.ts';
import {
  stowingChange,
  stowingText,
  withoutStowing,
  withStowing,
} from '../src/unit/aboard/typed-stowing.ts';
import { findingChange, signatureChange, withRepair } from '../src/unit/condition/finding-edits.ts';
import { itemAsTyped, itemChange, openAfter } from '../src/unit/condition/typed-inspection.ts';
import {
  labelChanges,
  labelTyped,
  otherReadingWords,
  textsIn,
  withTyped,
} from '../src/unit/label/typed-label.ts';
import { afterTap, afterTrying } from '../src/unit/record/tapped-feature.ts';
import { placeChange, readDistance, type PlaceDraft } from '../src/unit/record/typed-place.ts';
import {
  emptyUnit,
  howTyped,
  textsOf,
  unitGroups,
  unitTyped,
  waysHere,
} from '../src/unit/record/typed-unit.ts';
import {
  asTheSheetSays,
  hintAt,
  placeAt,
  readStep,
  sheetText,
  stateChange,
} from '../src/unit/round/typed-step.ts';

const at = '2026-04-15T09:00:00.000Z';
const us = 'us';
const demo = (name: string): UnitRecord => {
  const url = new URL(`../../demo/units/${name}.json`, import.meta.url);
  const read = readUnitFile(JSON.parse(readFileSync(url, 'utf8')));
  if (!read.ok) throw new Error(read.message);
  return read.file.record;
};
const kept = (record: UnitRecord, changes: readonly Change[]): UnitRecord =>
  changes.reduce((r, change) => applyChange(r, change, 'Ines Rook', at), record);
const spec = (key: SpecKey): Spec => specEntry(key);
const quantity = (amount: number) => ({ kind: 'quantity', amount }) as const;

describe('a unit that is typed in', () => {
  const id = '0a11ce00-0000-4000-8000-000000000001';
  const draft = {
    ...emptyUnit(id),
    typed: { ...emptyUnit(id).typed, gvwr: '7,490', uvw: 'heavy', overallLength: '24 ft' },
  };

  it('is what can be read of it, each known as its group or by its own choice', () => {
    const { changes, unreadable } = unitTyped(draft, us);
    expect(unreadable).toEqual(['uvw']);
    expect(changes).toEqual([
      { part: 'specs', key: 'gvwr', value: quantity(7490), how: 'read', basedOn: 0 },
      { part: 'specs', key: 'overallLength', value: quantity(288), how: 'measured', basedOn: 0 },
    ]);
    const own = { ...draft, own: { gvwr: 'told' as const } };
    expect(howTyped(own, 'gvwr')).toBe('told');
    expect(howTyped(own, 'uvw')).toBe('read');
    const told = { ...draft, hows: { ...draft.hows, 'VIN and weight labels': 'told' as const } };
    expect(unitTyped(told, us).changes[0]?.how).toBe('told');
  });

  it('has each field once, and begins with none', () => {
    const keys = unitGroups.flatMap((group) => group.keys);
    expect(new Set(keys).size).toBe(keys.length);
    expect(unitTyped(emptyUnit(id), us)).toEqual({ changes: [], unreadable: [] });
  });

  it('offers only ways that can be gone there', () => {
    const record = kept(emptyRecord, [
      { part: 'specs', key: 'gvwr', value: quantity(3000), how: 'read', basedOn: 0 },
      { part: 'specs', key: 'uvw', value: quantity(5000), how: 'read', basedOn: 0 },
    ]);
    const look = { system: us, today: '2026-04-15' } as const;
    const objections = openObjections(checkRecord(record, look));
    const ways = objections.flatMap(waysHere);
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways) {
      expect(way.kind).not.toBe('reason');
      if (way.kind === 'go') expect(Object.keys(draft.typed)).toContain(way.field);
    }
  });

  it('takes a suggested value back into its field as it would be typed', () => {
    const changes: Change[] = [
      { part: 'specs', key: 'gvwr', value: quantity(7940), how: 'read', basedOn: 1 },
      { part: 'features', key: 'awning', value: { state: 'standard' }, how: 'seen', basedOn: 0 },
    ];
    const record = kept(emptyRecord, unitTyped(draft, us).changes);
    expect(textsOf(record, changes, us)).toEqual({ gvwr: '7,940 lb' });
  });
});

describe('a place that is typed', () => {
  const awning = { key: 'awning', label: 'Awning' } as never;
  const slide = {
    key: 'slide',
    label: 'Slide',
    located: { shape: 'slide', side: 'door' },
  } as never;
  const draft: PlaceDraft = {
    back: '12 ft',
    length: '',
    depth: '',
    side: 'door',
    how: 'measured',
    basedOn: 3,
  };

  it('is inches back on its side; of a slide its size too, where it was typed', () => {
    const change = { part: 'places', how: 'measured', basedOn: 3 };
    const place = { back: 144, side: 'door' };
    expect(placeChange(draft, awning, us)).toEqual({ ...change, key: 'awning', value: place });
    expect(placeChange({ ...draft, length: '9 ft', depth: '30 in' }, slide, us)).toEqual({
      ...change,
      key: 'slide',
      value: { ...place, length: 108, depth: 30 },
    });
    // An awning has no depth to keep.
    expect(placeChange({ ...draft, depth: 'x' }, awning, us)).toMatchObject({ value: place });
  });

  it('says which of its fields can’t be read', () => {
    expect(placeChange({ ...draft, back: ' ' }, awning, us)).toMatch(/^Distance from the coupler:/);
    expect(placeChange({ ...draft, back: 'far' }, awning, us)).toMatch(/^Distance from the coup/);
    expect(placeChange({ ...draft, depth: 'deep' }, slide, us)).toMatch(/^Slide depth/);
    expect(placeChange({ ...draft, back: '77' }, awning, us)).toMatch(/^Distance from the coup/);
  });

  it('reads back in both systems, and an empty field is nothing', () => {
    expect(readDistance('Awning', '12 ft', us)).toEqual({
      inches: 144,
      echo: '12 ft = 3.66 m',
      problem: '',
    });
    expect(readDistance('Awning', '', us)).toEqual({ inches: undefined, echo: '', problem: '' });
  });
});

describe('a step of a round', () => {
  const record = demo('tq-0417.unit');
  const steps = roundOf(record).flatMap(({ steps: all }) => all);
  const stepOf = (part: Step['part'], state?: Step['state']): Step => {
    const found = steps.find((s) => s.part === part && (!state || s.state === state));
    if (!found) throw new Error(`no ${part} ${state}`);
    return found;
  };

  it('keeps a state as seen, over what was on the screen', () => {
    const step = stepOf('features', 'seen');
    const version = record.features[step.entry.key as 'awning']?.version;
    expect(stateChange(record, step, 'none')).toEqual({
      part: 'features',
      key: step.entry.key,
      value: { state: 'none' },
      how: 'seen',
      basedOn: version,
    });
  });

  it('takes the sheet’s word as the sheet’s, never as read', () => {
    const sheet = kept(emptyRecord, [
      { part: 'specs', key: 'gvwr', value: quantity(7490), how: 'sheet', basedOn: 0 },
    ]);
    const offered = roundOf(sheet)
      .flatMap(({ steps: all }) => all)
      .find(({ id }) => id === 'specs.gvwr')!;
    expect(offered.state).toBe('offered');
    expect(sheetText(sheet, offered, us)).toBe('7,490 lb');
    expect(hintAt(offered)).toMatch(/^The sheet says so\. /);
    expect(asTheSheetSays(sheet, offered)).toMatchObject({ how: 'sheet', basedOn: 1 });
    expect(asTheSheetSays(sheet, offered).value).toEqual(quantity(7490));
  });

  it('knows a place that was only tapped as a guess, and one that was taped as it is said', () => {
    const step = stepOf('places');
    const draft: PlaceDraft = {
      back: '',
      length: '',
      depth: '',
      side: 'door',
      how: 'measured',
      basedOn: 1,
      tapped: 100,
    };
    expect(placeAt(record, step, draft, us)).toMatchObject({
      part: 'places',
      value: { back: 100, side: 'door' },
      how: 'guessed',
      basedOn: 1,
    });
    expect(placeAt(record, step, { ...draft, back: '10 ft' }, us)).toMatchObject({
      value: { back: 120, side: 'door' },
      how: 'measured',
    });
  });

  it('reads what is typed by what it is of', () => {
    const ofSpec = steps.find(({ id }) => id === 'specs.gvwr')!;
    expect(readStep(ofSpec, '7490', us).value).toEqual(quantity(7490));
    const place = stepOf('places');
    expect(readStep(place, '10 ft', us).inches).toBe(120);
    expect(readStep(place, 'x', us).problem).toContain(', position');
  });

  it('says to which point of it the tape goes', () => {
    const hints = steps.filter(({ part }) => part === 'places').map(hintAt);
    expect(hints.some((hint) => hint.includes('forward edge'))).toBe(true);
    expect(hints.some((hint) => hint.includes('middle'))).toBe(true);
  });
});

describe('a label that is typed', () => {
  const record = demo('tq-0417.unit');
  const fields = [spec('gvwr'), spec('uvw')];

  it('is read where it can be, and kept over what was there', () => {
    const { read, isBroken } = labelTyped(fields, { gvwr: '7,490 lb', uvw: '?' }, us);
    expect([read, isBroken]).toEqual([[{ key: 'gvwr', value: quantity(7490) }], true]);
    expect(labelTyped(fields, {}, us)).toEqual({ read: [], isBroken: false });
    expect(labelChanges(record, read)).toEqual([
      {
        part: 'specs',
        key: 'gvwr',
        value: quantity(7490),
        how: 'read',
        basedOn: record.specs.gvwr?.version,
      },
    ]);
  });

  it('rests on what was on the screen when the typing began', () => {
    const begun = withTyped({}, { gvwr: '7' }, record);
    const meanwhile = kept(record, [
      {
        part: 'specs',
        key: 'gvwr',
        value: quantity(7000),
        how: 'read',
        basedOn: record.specs.gvwr?.version ?? 0,
      },
    ]);
    const typed = withTyped(begun, { gvwr: '7,490' }, meanwhile);
    const { read } = labelTyped(fields, typed, us);
    const [change] = labelChanges(meanwhile, read, typed.basedOn);
    expect(change?.basedOn).toBe(record.specs.gvwr?.version);
    expect(change?.basedOn).not.toBe(meanwhile.specs.gvwr?.version);
    // Emptied and begun again it rests on what is there now.
    const again = withTyped(
      withTyped(typed, { gvwr: '' }, meanwhile),
      { gvwr: '7,490' },
      meanwhile,
    );
    expect(again.basedOn?.gvwr).toBe(meanwhile.specs.gvwr?.version);
    expect(textsIn(again)).toEqual([['gvwr', '7,490']]);
    expect(textsIn(withTyped({}, { gvwr: '' }, record))).toEqual([]);
  });

  it('says what was read otherwise before', () => {
    const now = { kind: 'text', text: '4XTFN2423R1000199' } as const;
    const [other] = otherReadings(record, [{ key: 'vin', value: now }]);
    expect(otherReadingWords(other!, us)).toMatch(/^VIN: 4XTFN2423R1000199 now, \w+ before$/);
  });
});

describe('an item of the inspection', () => {
  const items = inspectionOf(emptyRecord);
  const measured = items.find(({ item }) => item.measure)!;
  const display = measured.item.measure!.display;

  it('is not left untried without a word why', () => {
    const nothing = { measured: '', note: ' ' };
    expect(itemChange(measured, 'not-tried', nothing, us)).toMatch(/say in a few words why/);
    const why = { ...nothing, note: 'no gas on the lot' };
    expect(itemChange(measured, 'not-tried', why, us)).toMatchObject({
      part: 'inspection',
      key: measured.item.key,
      value: { result: 'not-tried', note: 'no gas on the lot' },
      basedOn: 0,
    });
  });

  it('keeps its figure where it has one, and says where that can’t be read', () => {
    expect(itemChange(measured, 'pass', { measured: 'x', note: '' }, us)).toContain(
      measured.item.label,
    );
    const change = itemChange(measured, 'pass', { measured: '12', note: '' }, us) as Change;
    expect(change.value).toMatchObject({ result: 'pass', measured: expect.any(Number) });
    const record = kept(emptyRecord, [change]);
    const again = inspectionOf(record).find(({ item }) => item.key === measured.item.key);
    // What is shown may be typed again.
    expect(itemAsTyped(again, us).measured).not.toBe('');
    expect(itemChange(again!, 'pass', itemAsTyped(again, us), us)).toMatchObject({
      value: change.value,
      basedOn: 1,
    });
    expect(display).toBeDefined();
    expect(itemAsTyped(undefined, us)).toEqual({ measured: '', note: '', basedOn: 0 });
    // What was begun before somebody else decided rests on what was on the screen then.
    const begun = { ...itemAsTyped(measured, us), note: 'once more' };
    expect(itemChange(again!, 'fail', begun, us)).toMatchObject({ basedOn: 0 });
  });

  it('leads on to the next that is open, and to none that is decided', () => {
    const [first, second] = items;
    expect(openAfter(items, first!.item.key)).toBe(second);
    const decided = kept(emptyRecord, [
      itemChange(second!, 'pass', { measured: '', note: '' }, us) as Change,
    ]);
    expect(openAfter(inspectionOf(decided), first!.item.key)).toBeUndefined();
    expect(openAfter(items, items.at(-1)!.item.key)).toBeUndefined();
  });
});

describe('a line of the ledger', () => {
  const draft: FittedDraft = {
    what: ' second battery ',
    feature: null,
    weight: '63',
    back: '',
    on: '2026-04-10',
    side: undefined,
  };

  it('has what was said of it and nothing else', () => {
    const line = { what: 'second battery', weight: 63, on: '2026-04-10' };
    expect(typedFitted(draft, us)).toEqual(line);
    const more = { ...draft, back: '4 ft', side: 'front' as const, feature: 'awning' };
    expect(typedFitted(more, us)).toEqual({ ...line, back: 48, side: 'front', feature: 'awning' });
  });

  it('says which of its figures can’t be read', () => {
    expect(typedFitted({ ...draft, weight: '' }, us)).toMatch(/^Weight/);
    expect(typedFitted({ ...draft, back: 'x' }, us)).toMatch(/^Back from the coupler/);
  });
});

describe('where a loose item is kept', () => {
  const there = (where: string, basedOn: number): Change => ({
    part: 'stowed',
    key: 'keys',
    value: { where },
    how: 'seen',
    basedOn,
  });

  it('rests on what was on the screen when the typing began', () => {
    const begun = withStowing({}, emptyRecord, 'keys', 'off');
    const meanwhile = kept(emptyRecord, [there('glove box', 0)]);
    const typed = withStowing(begun, meanwhile, 'keys', ' office ');
    expect(stowingChange(typed, meanwhile, 'keys')).toEqual(there('office', 0));
    expect(stowingText(typed, 'keys')).toBe(' office ');
    // What an older page kept rests on what is there now.
    expect(stowingChange({ keys: 'office' }, meanwhile, 'keys')).toEqual(there('office', 1));
  });

  it('is nothing to keep where the record says so, and is taken off where it is emptied', () => {
    const record = kept(emptyRecord, [there('office', 0)]);
    const draft = withStowing({}, record, 'keys', 'office');
    expect(stowingChange(draft, record, 'keys')).toBeUndefined();
    const emptied = withStowing(draft, record, 'keys', '');
    expect(stowingChange(emptied, record, 'keys')).toMatchObject({ value: null, basedOn: 1 });
    expect(withoutStowing(emptied, 'keys')).toEqual({});
  });
});

describe('a tap on a feature', () => {
  const known = (how: Entry<FeatureValue>['how'], value: FeatureValue): Entry<FeatureValue> => ({
    value,
    how,
    by: 'Ines Rook',
    at,
    version: 1,
  });

  it('says that it was seen; a second one takes it back', () => {
    expect(afterTap(undefined, 'standard')).toEqual({ value: { state: 'standard' }, how: 'seen' });
    const told = known('told', { state: 'standard' });
    expect(afterTap(told, 'none')).toEqual({ value: { state: 'none' }, how: 'told' });
    expect(afterTap(told, null)).toEqual({ value: null, how: 'told' });
  });

  it('confirms what only the sheet says', () => {
    const sheet = known('sheet', { state: 'option' });
    expect(afterTap(sheet, null)).toEqual({ value: { state: 'option' }, how: 'seen' });
    expect(afterTap(sheet, 'none')).toEqual({ value: { state: 'none' }, how: 'seen' });
  });

  it('says whether it works of what is there alone', () => {
    expect(afterTrying(undefined, 'works')).toBeUndefined();
    const seen = known('seen', { state: 'standard' });
    const works = { state: 'standard', tried: 'works' } as const;
    expect(afterTrying(seen, 'works')).toEqual({ value: works, how: 'seen' });
    expect(afterTrying(known('seen', works), 'works')?.value).toEqual({ state: 'standard' });
    expect(afterTrying(known('seen', works), 'faulty')?.value).toEqual({
      state: 'standard',
      tried: 'faulty',
    });
  });
});

describe('a finding', () => {
  const finding = { kind: 'delamination', gravity: 'cosmetic', station: 'rear' } as never;
  const entry = { value: finding, how: 'seen', by: 'Ines Rook', at, version: 4 } as never;
  const found = { id: 'f1', entry, finding, proposes: undefined, signed: undefined } as never;

  it('is changed over what was on the screen, or taken off', () => {
    expect(findingChange(found, null)).toMatchObject({ key: 'f1', value: null, basedOn: 4 });
    expect(findingChange(found, finding, 3)).toMatchObject({ basedOn: 3 });
  });

  it('has a repair once somebody says who and when', () => {
    const typed = { on: '2026-04-12', by: ' Osk Tamber ', what: '' };
    expect(withRepair(finding, typed)).toEqual({
      ...(finding as object),
      repaired: { on: '2026-04-12', by: 'Osk Tamber' },
    });
    expect(withRepair(finding, { ...typed, by: ' ' })).toBeUndefined();
    expect(withRepair(finding, { ...typed, on: '' })).toBeUndefined();
  });

  it('is signed with what it was signed by: another finding has another signature', () => {
    const typed = { verdict: 'as-found' as const, note: '' };
    const change = signatureChange(emptyRecord, found, typed);
    expect(change).toMatchObject({ part: 'signatures', key: 'findings.f1', basedOn: 0 });
    const worse = { ...(found as object), finding: { ...(finding as object), gravity: 'safety' } };
    const other = signatureChange(emptyRecord, worse as never, typed);
    expect((other.value as { inputs: string }).inputs).not.toBe(
      (change.value as { inputs: string }).inputs,
    );
  });
});
