import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import {
  applyChange,
  broughtInBy,
  type Change,
  type Entry,
  entryOf,
  type FieldValue,
  parts,
  statementsOf,
  type UnitRecord,
  whoBriefly,
  byWhom,
} from '@fair-gable/core/unit/record';
import {
  asTheFileSays,
  readUnitFile,
  toUnitFile,
  unitFileJsonSchema,
  unitFileVersion,
} from '@fair-gable/core/unit/unit-file';
import { roles } from '@fair-gable/core/base/rights';
import { demoFiles } from './demo-units.ts';

const [file] = demoFiles;
if (!file) throw new Error('no demo files');

/** A deep copy with one place changed. */
const but = (path: readonly string[], value: unknown): unknown => {
  const copy = structuredClone(file) as unknown as Record<string, unknown>;
  const last = path.at(-1) ?? '';
  const holder = path.slice(0, -1).reduce((o, key) => o[key] as Record<string, unknown>, copy);
  if (value === undefined) Reflect.deleteProperty(holder, last);
  else holder[last] = value;
  return copy;
};

const message = (content: unknown): string => {
  const read = readUnitFile(content);
  return read.ok ? 'taken' : read.message;
};

describe('a unit file', () => {
  it('comes back as it went out', () => {
    const out = toUnitFile(file.id, file.record);
    const back = readUnitFile(JSON.parse(JSON.stringify(out)));
    expect(back).toEqual({ ok: true, file: out });
  });

  it('says of what came in by it that the file says so, and counts changes anew', () => {
    const record = asTheFileSays(file.record);
    const entries = parts.flatMap((part) => Object.values(record[part]));
    expect(entries.length).toBeGreaterThan(100);
    for (const entry of entries) {
      expect([entry?.version, entry?.filed]).toEqual([1, true]);
      const { others = [] } = entry as Entry<FieldValue>;
      expect(others.every((other) => other.filed)).toBe(true);
    }
    const gvwr = entryOf(record, 'specs', 'gvwr') as Entry<FieldValue>;
    expect([byWhom(gvwr), whoBriefly(gvwr)]).toEqual([
      'Bram Oake, as the file says',
      'from a file',
    ]);
    expect(readUnitFile(JSON.parse(JSON.stringify(toUnitFile(file.id, record))))).toMatchObject({
      ok: true,
    });
  });

  it('keeps the mark beside what somebody reads here, and drops it where they read the same', () => {
    const record = asTheFileSays(file.record);
    const { value } = entryOf(record, 'specs', 'gvwr') as Entry<FieldValue>;
    const said = (how: 'read' | 'told', v: FieldValue) =>
      applyChange(
        record,
        { part: 'specs', key: 'gvwr', value: v, how, basedOn: 1 } as Change,
        'Bo Ark',
        '2026-05-01T10:00:00.000Z',
      ).specs.gvwr as Entry<FieldValue>;
    expect(said('read', value)).toMatchObject({ by: 'Bo Ark', version: 2 });
    expect(said('read', value).filed).toBeUndefined();
    const beside = said('told', { kind: 'quantity', amount: 1234 });
    expect(statementsOf(beside).map((s) => whoBriefly(s))).toEqual(['from a file', 'Bo']);
  });

  it('brings no signature, and what was tried by a technician alone', () => {
    const signed = { ...file.record, signatures: { inspection: {} } } as unknown as UnitRecord;
    for (const role of roles) {
      const brought = broughtInBy(role, signed);
      expect(brought.signatures).toEqual({});
      expect(brought.specs.inspected).toBeUndefined();
    }
  });

  it('is described by the published JSON Schema', () => {
    const published = readFileSync(
      new URL(`../../docs/schemas/unit-v${unitFileVersion}.schema.json`, import.meta.url),
      'utf8',
    );
    expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(unitFileJsonSchema())));
  });

  it.each([
    ['a foreign file', { hello: 'world' }],
    ['a list', [1, 2]],
    ['nothing', null],
    ['text', 'unit'],
    ['another format', but(['format'], 'other/unit')],
  ])('refuses %s by its name', (_, content) => {
    expect(message(content)).toContain('isn’t a Fair Gable unit file');
  });

  it('names the version it cannot read', () => {
    expect(message(but(['version'], unitFileVersion + 1))).toMatch(
      new RegExp(`version ${unitFileVersion + 1}; this program reads up to ${unitFileVersion}\\.`),
    );
  });

  it.each([
    ['a missing id', but(['id'], undefined), /“id”/],
    ['a bad amount', but(['record', 'specs', 'gvwr', 'value', 'amount'], -4), /“GVWR”/],
    ['a bad state', but(['record', 'features', 'awning', 'value', 'state'], 'perhaps'), /“Awning”/],
    ['a bad date', but(['record', 'specs', 'uvw', 'at'], 'yesterday'), /“UVW”/],
    ['an extra field', but(['extra'], 1), /its top/],
    [
      'an unknown spec',
      but(['record', 'specs', 'wingspan'], file.record.specs.gvwr),
      /specs\.wingspan/,
    ],
    [
      'the wrong kind',
      but(['record', 'specs', 'gvwr', 'value'], { kind: 'text', text: 'heavy' }),
      /GVWR/,
    ],
    ['a long text', but(['record', 'specs', 'vin', 'value', 'text'], 'X'.repeat(600)), /“VIN”/],
  ])('refuses %s and names the place', (_, content, words) => {
    expect(message(content)).toMatch(words);
    expect(message(content)).toContain('Nothing was imported.');
  });
});
