import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import {
  findEntries,
  findingKinds,
  isFeatureKey,
  isSpecKey,
  schools,
  specs,
} from '@fair-gable/core/unit/catalog';
import { checkRecord } from '@fair-gable/core/unit/checks';
import { findingsOf, findingInputs } from '@fair-gable/core/unit/condition';
import { readModelSheetFile } from '@fair-gable/core/unit/model-sheet';
import {
  applyChange,
  emptyRecord,
  parts,
  typedSpec,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { columnsOf } from '@fair-gable/core/unit/stock-list';
import { readUnitFile, toUnitFile } from '@fair-gable/core/unit/unit-file';
import { americanNames, formerNames, renamed, withNames } from '@fair-gable/core/unit/versions';

const at = '2026-04-15T09:00:00.000Z';
const fixture = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`${name}.json`, import.meta.url), 'utf8'));
const read = (content: unknown) => {
  const reading = readUnitFile(content);
  if (!reading.ok) throw new Error(reading.message);
  return reading.file;
};
const kept = (...changes: readonly Change[]): UnitRecord =>
  changes.reduce((record, change) => applyChange(record, change, 'Ines Rook', at), emptyRecord);

/** Every name in a record: its keys, and the texts of its values but what people wrote. */
const formerIn = (json: unknown): readonly string[] =>
  Object.keys(americanNames).filter((name) =>
    new RegExp(`"(?:[^" ]*[.:])?${name}(?:[.:][^" ]*)?"`).test(JSON.stringify(json)),
  );

describe('a file of an older version', () => {
  const versions = [1, 2, 3, 4, 5, 6, 7, 8];

  it.each(versions)('%i is read, and every field is there under its name of today', (version) => {
    const old = fixture(`unit-v${version}`) as { record: Record<string, object> };
    const { record, id } = read(old);
    const counts = (of: Record<string, object>) =>
      parts.map((part) => Object.keys(of[part] ?? {}).length);
    expect(counts(record as never)).toEqual(counts(old.record));
    expect(formerIn(record)).toEqual([]);
    // Out again as a file of this version, and in, it is the same.
    expect(read(JSON.parse(JSON.stringify(toUnitFile(id, record)))).record).toEqual(record);
  });

  it('has the names before, which the fixtures show', () => {
    const shown = new Set(versions.flatMap((v) => formerIn(fixture(`unit-v${v}`))));
    expect([...shown]).toEqual(expect.arrayContaining(['tyreSize', 'centre', 'stabilisers']));
    expect(shown.size).toBeGreaterThan(20);
  });

  it('of a model sheet is read too', () => {
    const old = fixture('model-sheet-v1');
    expect(formerIn(old)).toContain('stabilisers');
    const reading = readModelSheetFile(old);
    expect(reading.ok && formerIn(reading.sheet)).toEqual([]);
  });

  it('of this version is not translated: what it says is what it says', () => {
    const { id, record } = read(fixture('unit-v8'));
    const file = { ...toUnitFile(id, record) } as { record: UnitRecord };
    const entry = record.specs.gvwr;
    const strange = { ...file.record, specs: { ...file.record.specs, tyreSize: entry } };
    expect(readUnitFile({ ...file, record: strange })).toMatchObject({ ok: false });
  });
});

describe('the names of before', () => {
  const choices = specs.flatMap(({ value }) =>
    value.kind === 'choice' ? value.choices.map(({ key }) => key) : [],
  );
  const sides = schools.flatMap((school) => school.sides.map(({ key }) => key));
  const isNow = (name: string): boolean =>
    isSpecKey(name) ||
    isFeatureKey(name) ||
    [...choices, ...sides, ...findingKinds.map(({ key }) => key), 'center'].includes(name);

  it('are nothing’s name any more, and each stands for one of today', () => {
    expect(Object.keys(americanNames).filter(isNow)).toEqual([]);
    const fields = Object.values(americanNames).filter((name) => /[A-Z]/.test(name));
    expect(fields.filter((name) => !isSpecKey(name) && !isFeatureKey(name))).toEqual([]);
    expect(Object.keys(formerNames)).toHaveLength(Object.keys(americanNames).length);
  });

  it('are found alone and in a row, and nowhere in a sentence', () => {
    expect(renamed('tyre-age:tyreDateSpare', americanNames)).toBe('tire-age:tireDateSpare');
    expect(renamed('places.stabilisers', americanNames)).toBe('places.stabilizers');
    expect(renamed('new tyre', americanNames)).toBe('new tyre');
    expect(renamed('constructor', americanNames)).toBe('constructor');
    expect(withNames(withNames({ tyreSize: ['centre'] }), formerNames)).toEqual({
      tyreSize: ['centre'],
    });
  });

  it('leave alone what people wrote, were it one such word', () => {
    const own = { note: 'mould', reason: 'tyres', where: 'centre', readings: ['theatre'] };
    expect(withNames(own)).toEqual(own);
    expect(withNames({ kind: 'text', text: 'moulded' })).toEqual({ kind: 'text', text: 'moulded' });
    expect(withNames({ kind: 'choice', choice: 'moulded' })).toEqual({
      kind: 'choice',
      choice: 'molded',
    });
  });
});

describe('what somebody let stand or signed', () => {
  it('stands still: a note on a choice that is called otherwise now', () => {
    const spec: Change = {
      part: 'specs',
      key: 'tireDateSpare',
      value: { kind: 'text', text: '1215' },
      how: 'read',
      basedOn: 0,
    };
    const look = { system: 'us', today: '2026-04-15' } as const;
    const found = checkRecord(kept(spec), look).find((o) => o.rule === 'tire-age');
    const note: Change = {
      part: 'settlements',
      key: found?.id ?? '',
      value: { reason: 'the spare is for show', inputs: found?.inputs ?? '' },
      how: 'seen',
      basedOn: 0,
    };
    const record = kept(spec, note);
    const before = withNames(record, formerNames);
    expect(Object.keys((before as UnitRecord).settlements)).toEqual(['tyre-age:tyreDateSpare']);
    const after = withNames(before) as UnitRecord;
    expect(after).toEqual(record);
    const settled = checkRecord(after, look).find((o) => o.rule === 'tire-age')?.settled;
    expect(settled?.reason).toBe('the spare is for show');
  });

  it('is signed still: a finding whose note is the word itself', () => {
    const id = '0a11ce00-0000-4000-8000-00000000000f';
    const finding = {
      kind: 'mold',
      gravity: 'technician',
      station: 'rear',
      note: 'mould',
    } as const;
    const found: Change = {
      part: 'findings',
      key: id,
      value: finding,
      how: 'seen',
      basedOn: 0,
    } as Change;
    const inputs = findingInputs(emptyRecord, finding as never);
    const signature: Change = {
      part: 'signatures',
      key: `findings.${id}`,
      value: { verdict: 'as-found', inputs },
      how: 'seen',
      basedOn: 0,
    } as Change;
    const before = withNames(kept(found, signature), formerNames) as UnitRecord;
    expect(JSON.stringify(before.signatures)).toContain(String.raw`[\"mould\"`);
    expect(findingsOf(withNames(before) as UnitRecord)[0]?.signed?.value.verdict).toBe('as-found');
  });
});

describe('another spelling', () => {
  it('is understood where people look for something', () => {
    expect(findEntries('tyre size')[0]?.key).toBe('tireSize');
    expect(findEntries('colour')[0]?.key).toBe('decor');
    expect(findEntries('levelling jacks')[0]?.key).toBe('levelingSystem');
  });

  it('is understood in lists, also of a program that had other names', () => {
    expect(columnsOf(['Tyre size', 'gearSpace', 'Grey tank', 'storeFinish'])).toEqual([
      'tireSize',
      'garageSpace',
      'grayTank',
      'storageFinish',
    ]);
    expect(typedSpec('wheelMaterial', 'aluminium', 'us')).toEqual({
      ok: true,
      value: { kind: 'choice', choice: 'aluminum' },
    });
  });
});
