import { describe, expect, it } from '@jest/globals';
import { featureEntry, specEntry } from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  typedSpec,
  type Change,
  type Entry,
  type SpecValue,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { keypadFor, type PadKey } from '@fair-gable/core/unit/round';
import { draftPlaces, mayBePlaced, otherStatements } from '../src/unit/record/field-row.ts';
import { stateOfDigit, statesOffered } from '../src/unit/record/tapped-feature.ts';
import {
  inPlaceOfOthers,
  isDisputedBy,
  keptSpec,
  specChange,
} from '../src/unit/record/typed-spec.ts';
import { digitKeyed, keyTakenBack, padKeyed } from '../src/unit/round/keyed.ts';

const at = '2026-04-15T09:00:00.000Z';
const uvw = specEntry('uvw');
const awning = featureEntry('awning');
const weighs = (amount: number) => ({ kind: 'quantity', amount }) as const;
const known = (how: Entry<SpecValue>['how'] = 'read'): Entry<SpecValue> => ({
  value: weighs(5180),
  how,
  by: 'Ines Rook',
  at,
  version: 3,
});
const draft = { how: 'told', basedOn: 2 } as const;

describe('what a row says of its field', () => {
  const told: Change = { ...specChange(uvw, weighs(5300), { how: 'told', basedOn: 1 }) };
  const read = specChange(uvw, weighs(5180), { how: 'read', basedOn: 0 });
  const record = [read, told].reduce(
    (all, change) => applyChange(all, change, 'Ines Rook', at),
    emptyRecord,
  );

  it('names what others say, by first name or as a file says it', () => {
    expect(otherStatements(record, 'specs', uvw, 'us')).toEqual(['also: 5,300 lb, told, Ines']);
    expect(otherStatements(record, 'specs', uvw, 'metric')).toEqual(['also: 2,404 kg, told, Ines']);
    const entry = record.specs.uvw as Entry<SpecValue>;
    const others = (entry.others ?? []).map((other) => ({ ...other, filed: true as const }));
    const filed: UnitRecord = { ...record, specs: { uvw: { ...entry, others } } };
    expect(otherStatements(filed, 'specs', uvw, 'us')).toEqual([
      'also: 5,300 lb, told, from a file',
    ]);
    expect(otherStatements(emptyRecord, 'specs', uvw, 'us')).toEqual([]);
  });

  it('asks where it is of what has a place and is there', () => {
    const of = (state: 'standard' | 'none'): UnitRecord => {
      const change: Change = {
        part: 'features',
        key: 'awning',
        value: { state },
        how: 'seen',
        basedOn: 0,
      };
      return applyChange(emptyRecord, change, 'Ines Rook', at);
    };
    expect(mayBePlaced(of('standard'), 'features', awning)).toBe(true);
    expect(mayBePlaced(of('none'), 'features', awning)).toBe(false);
    expect(mayBePlaced(emptyRecord, 'features', awning)).toBe(false);
    // A weight is nowhere.
    expect(mayBePlaced(record, 'specs', uvw)).toBe(false);
  });

  it('marks what is typed of the field and of its place', () => {
    expect(draftPlaces('u1', 'features', awning)).toEqual([
      'u1.features.awning',
      'u1.places.awning',
    ]);
  });
});

describe('a spec that is typed', () => {
  it('is kept as typed; where it is the same, only how it is known', () => {
    expect(keptSpec(uvw, undefined, weighs(5300), draft)).toEqual(
      specChange(uvw, weighs(5300), draft),
    );
    const same = keptSpec(uvw, known('sheet'), weighs(5180), draft);
    expect(same).toMatchObject({ value: weighs(5180), how: 'told', basedOn: 2, others: [] });
  });

  it('is disputed where a better source says otherwise, and takes its place only when asked to', () => {
    expect(isDisputedBy(uvw, known(), weighs(5300), draft)).toBe(true);
    expect(isDisputedBy(uvw, known(), weighs(5180), draft)).toBe(false);
    expect(isDisputedBy(uvw, undefined, weighs(5300), draft)).toBe(false);
    expect(inPlaceOfOthers(uvw, weighs(5300), draft)).toMatchObject({ how: 'told', others: [] });
  });
});

describe('a feature under one digit or one thumb', () => {
  it('has its states in order, 0 takes it back, and nothing else is one', () => {
    expect(['1', '6', '0', '7', 'x', '10'].map((key) => stateOfDigit(key))).toEqual([
      'standard',
      'none',
      null,
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('has the states of its kind alone', () => {
    expect(['1', '2', '3', '4'].map((key) => stateOfDigit(key, 'label'))).toEqual([
      'standard',
      'unreadable',
      'none',
      undefined,
    ]);
    expect(['2', '3'].map((key) => stateOfDigit(key, 'proof'))).toEqual(['none', undefined]);
    expect(statesOffered(undefined, false, 'comes').map(({ label }) => label)).toEqual([
      'here',
      'here, from us',
      'missing',
      'not included',
    ]);
  });

  it('offers the likelier two where there is little room: what it is, and that it is not there', () => {
    const keys = (...args: Parameters<typeof statesOffered>) =>
      statesOffered(...args).map(({ key }) => key);
    expect(keys(undefined, false)).toEqual(['standard', 'none']);
    expect(keys('prep', false)).toEqual(['prep', 'none']);
    expect(keys('none', false)).toEqual(['standard', 'none']);
    expect(keys('none', true)).toHaveLength(6);
  });
});

describe('what is keyed on the pad', () => {
  const keysOf = (key: Parameters<typeof specEntry>[0], system: 'us' | 'metric' = 'us') => {
    const pad = keypadFor(specEntry(key).value, system);
    return (label: string): PadKey => {
      const found = pad?.keys.find((one) => one.label === label);
      if (!found) throw new Error(`No key ${label}`);
      return found;
    };
  };
  const keyed = (presses: readonly (string | PadKey)[]): string =>
    presses.reduce<string>(
      (typed, press) =>
        typeof press === 'string' ? digitKeyed(typed, press, false) : padKeyed(typed, press),
      '',
    );
  const length = keysOf('overallLength');
  const fraction = length('½ ¼ ⅛');

  it('reads as one would type it', () => {
    const typed = keyed(['2', '6', length('ft'), '4', length('in')]);
    expect(typed).toBe('26 ft 4 in');
    expect(typedSpec('overallLength', typed, 'us')).toEqual({ ok: true, value: weighs(316) });
  });

  it('puts a fraction before the unit, whichever was pressed first, and goes round it', () => {
    expect(keyed(['9', fraction, length('in')])).toBe('9 1/2 in');
    expect(keyed(['9', length('in'), fraction])).toBe('9 1/2 in');
    expect(keyed(['9', length('in'), fraction, fraction])).toBe('9 1/4 in');
    expect(keyed(['9', fraction, fraction, fraction, fraction, fraction])).toBe('9 1/2');
  });

  it('begins anew over what is known, and goes on after what was typed', () => {
    expect(digitKeyed('7,490 lb', '5', true)).toBe('5');
    expect(digitKeyed('5', '1', false)).toBe('51');
  });

  it('takes the last key back whole', () => {
    expect(keyTakenBack('26 ft 4 in')).toBe('26 ft 4');
    expect(keyTakenBack('26 ft 4')).toBe('26 ft ');
    expect(keyTakenBack('9 1/2')).toBe('9');
    expect(keyTakenBack('12')).toBe('1');
    expect(keyTakenBack('')).toBe('');
  });
});
