import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { features, formatSpec, ourKeys, specEntry, specs, type SpecKey } from '@fair-gable/core';
import {
  bench,
  editOf,
  signedIn,
  specChange,
  unitNamed,
  unitsInDemo,
  type Asker,
  type Bench,
} from './support.ts';

let b: Bench;
let ines: Asker;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
});
afterAll(() => b.close());

/** The list as another program of the registry reads it. */
const listFor = async (ask: Asker) => {
  const { status, body, headers } = await ask('GET', '/api/stock-list.csv');
  expect([status, headers['content-type']]).toEqual([200, 'text/csv; charset=utf-8']);
  const text = String(body).replace(/^\uFEFF/, '');
  return Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
};

describe('the stock list', () => {
  it('has a line for each unit and a column for each entry of the catalogue', async () => {
    const { data, errors, meta } = await listFor(ines);
    expect(errors).toEqual([]);
    expect(data).toHaveLength(unitsInDemo);
    expect(meta.fields).toHaveLength(specs.length + features.length);
    const fenlark = data.find((row) => row['Stock number'] === 'TQ-0417');
    expect(fenlark).toMatchObject({
      'Gross weight rating': '7,490 lb',
      'Main bed': '60 × 74 in',
      'Build date': 'Dec 2025',
      'Slide topper': 'prep',
      'Height with air conditioner': 'about 10 ft 11 in',
      'Galley gray tank': '',
    });
  });

  it('says the same of every unit as the record does', async () => {
    const { data } = await listFor(ines);
    const { body } = await ines('GET', '/api/units?limit=200&sort=taken-in');
    for (const [i, { record }] of body.units.entries()) {
      for (const key of Object.keys(record.specs) as SpecKey[]) {
        const { value, how } = record.specs[key];
        const cell = data[i]?.[specEntry(key).label] ?? '';
        expect(cell.replace(/^'(?=[=+\-@])/, '')).toBe(formatSpec(key, value, 'us', how));
      }
    }
  });

  it('never hands a spreadsheet something to run', async () => {
    const { id, record } = await unitNamed(ines, 'TQ-0402');
    const evil = ['=1+1', '+cmd', '-2', '@SUM(A1)', '"=1"', '=HYPERLINK("x","y"),z'];
    for (const [i, text] of evil.entries()) {
      const version = (record.specs.decor?.version ?? 0) + i;
      const change = specChange('decor', text.trim(), version);
      expect((await ines('POST', `/api/units/${id}/edits`, editOf([change]))).status).toBe(200);
      const { data, errors } = await listFor(ines);
      const cell = data.find((row) => row['Stock number'] === 'TQ-0402')?.['Decor'] ?? '';
      expect(errors).toEqual([]);
      expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      expect(cell).toContain(text.trim());
    }
  });

  it('leaves the yard’s own figures out for a guest', async () => {
    const guest = await signedIn(b.app, 'ivo@thornquay.example');
    const { meta } = await listFor(guest);
    const labels = ourKeys.map((key) => specEntry(key as SpecKey).label);
    expect(labels.length).toBeGreaterThan(0);
    expect(meta.fields?.filter((field) => labels.includes(field))).toEqual([]);
  });
});
