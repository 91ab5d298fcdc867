import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { readUnitFile, toUnitFile, unitFileJsonSchema, unitFileVersion } from '@fair-gable/core';
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
    expect(message(content)).toContain('not a Fair Gable unit file');
  });

  it('names the version it cannot read', () => {
    expect(message(but(['version'], unitFileVersion + 1))).toMatch(
      /version 8; this program reads up to 7/,
    );
  });

  it.each([
    ['a missing id', but(['id'], undefined), /“id”/],
    [
      'a bad amount',
      but(['record', 'specs', 'gvwr', 'value', 'amount'], -4),
      /“Gross weight rating”/,
    ],
    ['a bad state', but(['record', 'features', 'awning', 'value', 'state'], 'perhaps'), /“Awning”/],
    ['a bad date', but(['record', 'specs', 'uvw', 'at'], 'yesterday'), /“Weight as built”/],
    ['an extra field', but(['extra'], 1), /its top/],
    [
      'an unknown spec',
      but(['record', 'specs', 'wingspan'], file.record.specs.gvwr),
      /specs\.wingspan/,
    ],
    [
      'the wrong kind',
      but(['record', 'specs', 'gvwr', 'value'], { kind: 'text', text: 'heavy' }),
      /Gross weight rating/,
    ],
    ['a long text', but(['record', 'specs', 'vin', 'value', 'text'], 'X'.repeat(600)), /“VIN”/],
  ])('refuses %s and names the place', (_, content, words) => {
    expect(message(content)).toMatch(words);
    expect(message(content)).toContain('Nothing was taken in.');
  });
});
