import { describe, expect, it } from '@jest/globals';
import { roles, rights } from '@fair-gable/core/base/rights';
import {
  applyChange,
  changeSchema,
  emptyRecord,
  fieldLabel,
  fieldText,
  partRow,
  parts,
  recordSchema,
  rightToChange,
  targetLabel,
  type Change,
  type Part,
} from '@fair-gable/core/unit/record';
import { readUnitFile, toUnitFile } from '@fair-gable/core/unit/unit-file';

const day = '2026-04-13T11:30:00.000Z';

/** The example of a part, as a change that somebody makes. */
const changeOf = (part: Part): Change => {
  const [key, value] = partRow(part).example;
  return { part, key, value, how: 'seen', basedOn: 0 } as Change;
};

/** A record that has the example of every part. */
const full = parts.reduce(
  (record, part) => applyChange(record, changeOf(part), 'Ines Rook', day),
  emptyRecord,
);

describe.each(parts)('the part %s', (part) => {
  const row = partRow(part);
  const [key, value] = row.example;

  it('takes its example, and no key of something else', () => {
    expect(row.isKey(key)).toBe(true);
    expect(row.schema.parse(value)).toEqual(value);
    for (const strange of ['', 'nothing of ours', '__proto__', 'constructor', `${key}.${key}`]) {
      expect([strange, row.isKey(strange)]).toEqual([strange, false]);
    }
    expect(row.schema.safeParse({ no: 'value' }).success).toBe(false);
  });

  it('is in words', () => {
    const said = fieldText(part, key, value, 'seen', 'us');
    expect([fieldLabel(part, key), said]).toEqual([
      expect.stringMatching(/^[A-Z].*[^.]$/),
      expect.stringMatching(/\S/),
    ]);
    expect(said).not.toMatch(/undefined|\[object|NaN/);
    // What a photo shows has no point in its key.
    if (!key.includes('.')) expect(targetLabel(`${part}.${key}`)).toBe(fieldLabel(part, key));
    expect(fieldText(part, key, null, 'seen', 'us')).toBe('not known');
  });

  it('is changed by somebody’s right', () => {
    const right = rightToChange({ part, key });
    expect(Object.keys(rights)).toContain(right);
    expect(roles.some((role) => (rights[right] as readonly string[]).includes(role))).toBe(true);
  });

  it('is changed, kept, undone, and goes by a file', () => {
    const change = changeOf(part);
    expect(changeSchema.parse(change)).toEqual(change);
    expect(changeSchema.safeParse({ ...change, key: 'nothing of ours' }).success).toBe(false);
    const kept = applyChange(emptyRecord, change, 'Ines Rook', day);
    expect(recordSchema.parse(kept)).toEqual(kept);
    const gone = applyChange(
      kept,
      { ...change, value: null, basedOn: 1 } as Change,
      'Ines Rook',
      day,
    );
    expect(gone[part]).toEqual({});
    const { [part]: mine } = full;
    const file = readUnitFile(
      JSON.parse(JSON.stringify(toUnitFile('0a11ce00-0000-4000-8000-000000000009', full))),
    );
    expect(file.ok && file.file.record[part]).toEqual(mine);
  });
});
