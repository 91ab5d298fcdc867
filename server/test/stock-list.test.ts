import { parse } from 'csv-parse/sync';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { features, specEntry, specs, type SpecKey } from '@fair-gable/core/unit/catalog';
import { formatSpec, ourKeys } from '@fair-gable/core/unit/record';
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
  it('has a line for each unit and a column for each entry of the catalog', async () => {
    const { data, errors, meta } = await listFor(ines);
    expect(errors).toEqual([]);
    expect(data).toHaveLength(unitsInDemo);
    expect(meta.fields).toHaveLength(specs.length + features.length);
    const fenlark = data.find((row) => row['Stock number'] === 'TQ-0417');
    expect(fenlark).toMatchObject({
      GVWR: '7,490 lb',
      'Main bed': '60 × 74 in',
      'Build date': 'Dec 2025',
      'Slide topper': 'prep only',
      'Height with A/C': 'about 10 ft 11 in',
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

  it('is the same to a second reader of CSV', async () => {
    const { body } = await ines('GET', '/api/stock-list.csv');
    const rows = parse(String(body), { bom: true, relax_column_count: false }) as string[][];
    const { data, meta } = await listFor(ines);
    expect(rows[0]).toEqual(meta.fields);
    expect(rows.slice(1)).toEqual(data.map((row) => meta.fields?.map((field) => row[field])));
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

const preview = (ask: Asker, text: string, more: object = {}) =>
  ask('POST', '/api/stock-list/preview', { text, system: 'us', how: 'told', ...more });
const take = (ask: Asker, text: string, more: object = {}) =>
  ask('POST', '/api/stock-list', { text, system: 'us', how: 'told', onlyGood: false, ...more });
const inStock = async (): Promise<number> => (await ines('GET', '/api/units?limit=1')).body.total;

describe('a list from elsewhere', () => {
  const good = 'Stock #,Dry weight,Notes\r\nXX-1,"5,200",kept\r\nXX-2,4800,\r\n';

  it('is looked at first: columns by their headings, what each line would do, nothing changed', async () => {
    const before = await inStock();
    const { status, body } = await preview(ines, good);
    expect(status).toBe(200);
    expect(body).toMatchObject({
      headings: ['Stock #', 'Dry weight', 'Notes'],
      columns: ['stockNumber', 'uvw', null],
      rows: 2,
      fresh: 2,
      changed: 0,
      same: 0,
      problems: [],
      sample: [
        ['XX-1', '5,200', 'kept'],
        ['XX-2', '4800', ''],
      ],
    });
    expect(await inStock()).toBe(before);
  });

  it('comes in, and a second time changes nothing', async () => {
    const before = await inStock();
    expect((await take(ines, good)).body).toMatchObject({ fresh: 2, changed: 0, same: 0 });
    expect(await inStock()).toBe(before + 2);
    const { id, record } = await unitNamed(ines, 'XX-1');
    expect(record.specs.uvw).toMatchObject({ value: { amount: 5200 }, how: 'told' });
    const history = await ines('GET', `/api/units/${id}/history`);
    expect((await take(ines, good)).body).toMatchObject({ fresh: 0, changed: 0, same: 2 });
    expect((await ines('GET', `/api/units/${id}/history`)).body).toEqual(history.body);
  });

  it('changes what it says otherwise, and keeps what is better known', async () => {
    const list = 'Stock,GVWR\nXX-1,7000\nTQ-0402,3300\n';
    expect((await take(ines, list)).body).toMatchObject({ fresh: 0, changed: 2 });
    expect((await unitNamed(ines, 'XX-1')).record.specs.gvwr?.value).toMatchObject({
      amount: 7000,
    });
    const pell = (await unitNamed(ines, 'TQ-0402')).record.specs.gvwr;
    expect([pell?.how, pell?.value, pell?.others?.length]).toEqual([
      'read',
      { kind: 'quantity', amount: 3200 },
      1,
    ]);
  });

  const bad = 'Stock,GVWR\nYY-1,7000\nYY-2,heavy\n,6000\nYY-1,1\n';
  it('with errors comes in not at all, or but for what can’t be read, as asked', async () => {
    const seen = (await preview(ines, bad)).body;
    expect(seen.problems.map((p: { line: number; column: number }) => [p.line, p.column])).toEqual([
      [2, 1],
      [3, -1],
      [4, -1],
    ]);
    const refused = await take(ines, bad);
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toMatch(
      /^3 of 4 lines have something that can’t be read, the first is line 2: GVWR can’t be read/,
    );
    await expect(unitNamed(ines, 'YY-1')).rejects.toThrow();
    // A cell that can’t be read is left out, not its line.
    expect((await take(ines, bad, { onlyGood: true })).body).toMatchObject({ fresh: 2 });
    await unitNamed(ines, 'YY-1');
  });

  it('names the line of a zero byte and of broken characters, and takes the rest', async () => {
    const text =
      'Stock,GVWR,Series\nNN-1,70\u000000,Fenlark\nNN-2,7000,Fen\uD83Dlark\nNN-3,7000,Fen\uFFFDlark\nN\u0000N-4,7000,Marl\n';
    const seen = (await preview(ines, text)).body;
    expect(seen.problems.map((p: { line: number; column: number }) => [p.line, p.column])).toEqual([
      [1, 1],
      [2, 2],
      [3, 2],
      [4, -1],
      [4, 0],
    ]);
    expect(seen.problems[0].sentence).toBe(
      'GVWR has a broken character. Retype the cell, or save the list as UTF-8.',
    );
    expect((await take(ines, text)).status).toBe(422);
    expect((await take(ines, text, { onlyGood: true })).body).toMatchObject({ fresh: 3 });
    const { record } = await unitNamed(ines, 'NN-1');
    expect([record.specs.gvwr, record.specs.series?.value]).toEqual([
      undefined,
      { kind: 'text', text: 'Fenlark' },
    ]);
  });

  it('counts all that can’t be read, and tells the first of it', async () => {
    const lines = Array.from({ length: 300 }, (_, i) => `CC-${i},heavy\n`).join('');
    const { body } = await preview(ines, `Stock,GVWR\n${lines},5000\n`);
    expect([body.badCells, body.badLines, body.problemCount]).toEqual([300, 1, 301]);
    expect(body.problems).toHaveLength(200);
  });

  it('knows a unit by its stock number in whatever case', async () => {
    const text = 'Stock,GVWR\nnn-1,7100\n';
    expect((await take(ines, text)).body).toMatchObject({ fresh: 0, changed: 1 });
  });

  it('shows what was understood beside what stands there, and how its numbers are written', async () => {
    const european = 'Stock #;Dry weight;Fresh tank\nTQ-0403;2.150;26,5\nEU-1;3.400;30,25';
    const { body } = await preview(ines, european);
    expect(body.decimal).toBe('comma');
    expect(body.understood[0][1]).toEqual({ says: '2,150 lb', before: '2,316 lb' });
    expect(body.understood[1]).toEqual([
      { says: 'EU-1', before: null },
      { says: '3,400 lb', before: null },
      { says: '30.3 gal', before: null },
    ]);
    const point = (await preview(ines, european, { decimal: 'point' })).body;
    expect(point.understood[1][1].says).not.toBe('3,400 lb');
  });

  it('knows a unit by its VIN, whatever stands over it', async () => {
    const { record } = await unitNamed(ines, 'TQ-0417');
    const vin = record.specs.vin?.value as { text: string };
    const { body } = await preview(ines, `Frame code,Decor\n${vin.text},Heather`);
    expect(body).toMatchObject({ columns: ['vin', 'decor'], fresh: 0 });
  });

  // RFC 4180: fields in quotation marks may hold commas, line breaks and doubled quotation marks.
  it('is read as RFC 4180 has it, with hostile cells', async () => {
    const list =
      '\uFEFF"Stock #";Decor;Packages\r\n"ZZ-1";"=cmd|\'/c calc\'!A1";"a ""b"", c\r\nd"\r\n';
    expect((await take(ines, list)).body).toMatchObject({ fresh: 1 });
    const { record } = await unitNamed(ines, 'ZZ-1');
    expect(record.specs.decor?.value).toMatchObject({ text: "=cmd|'/c calc'!A1" });
    expect(record.specs.packages?.value).toMatchObject({ text: 'a "b", c\r\nd' });
    const { data } = await listFor(ines);
    expect(data.find((row) => row['Stock number'] === 'ZZ-1')?.['Decor']).toBe(
      "'=cmd|'/c calc'!A1",
    );
  });

  it.each([
    ['', 'no lines under its headings'],
    ['Stock\n', 'no lines under its headings'],
    ['Stock,Decor\nA,"open', 'a quotation mark is opened and not closed'],
  ])('is refused in a sentence: %j', async (text, words) => {
    const { status, body } = await preview(ines, text);
    expect([status, body.detail]).toEqual([422, expect.stringContaining(words)]);
  });

  it('wants columns that fit', async () => {
    const twice = await preview(ines, good, { columns: ['uvw', 'uvw', null] });
    expect([twice.status, twice.body.code]).toEqual([400, 'bad-input']);
    const strange = await preview(ines, good, { columns: ['wings', null, null] });
    expect(strange.status).toBe(400);
  });

  it('cannot be taken in by who may only look', async () => {
    const viewer = await signedIn(b.app, 'osk@thornquay.example');
    expect((await take(viewer, good)).status).toBe(403);
  });

  it('of five hundred units comes in at once, with the VIN for a name', async () => {
    const before = await inStock();
    const lines = Array.from(
      { length: 500 },
      (_, i) => `BULK${String(i).padStart(4, '0')},${3000 + i}`,
    );
    const { body } = await take(ines, ['VIN,GVWR', ...lines].join('\n'));
    expect(body).toMatchObject({ rows: 500, fresh: 500, problems: [] });
    expect(await inStock()).toBe(before + 500);
  });
});

describe('the stock as JSON', () => {
  it('is an array of unit files, each as the unit’s own', async () => {
    const { status, body } = await ines('GET', '/api/stock-list.json');
    expect(status).toBe(200);
    expect(body).toHaveLength(await inStock());
    const [first] = body;
    expect((await ines('GET', `/api/units/${first.id}/file`)).body).toEqual(first);
  });
});

describe('searching', () => {
  it('finds words anywhere in a record’s text, all of them, in any case', async () => {
    const find = async (text: string): Promise<string[]> => {
      const { body } = await ines('GET', `/api/units?limit=200&text=${encodeURIComponent(text)}`);
      return body.units.map(
        (u: { record: { specs: Record<string, { value: { text: string } }> } }) =>
          u.record.specs['stockNumber']?.value.text,
      );
    };
    expect(await find('fenlark BUNKS')).toEqual(['TQ-0419']);
    expect(await find('compressor heather')).toContain('TQ-0417');
    expect(await find('%')).toEqual([]);
    expect(await find('nothing-of-the-kind')).toEqual([]);
  });
});

describe('one’s own views', () => {
  const view = {
    text: '',
    condition: 'new',
    longest: 300,
    heaviest: null,
    driest: null,
    fromYear: null,
    sleeps: null,
    unknown: null,
    has: ['bunks'],
    need: null,
    sort: 'gvwr',
    columns: ['freshTank'],
  };
  it('are kept for one person at one yard', async () => {
    const saved = { views: [{ name: 'For the ferry', view }] };
    expect((await ines('PUT', '/api/me/views', saved)).status).toBe(204);
    expect((await ines('GET', '/api/session')).body.person.views).toEqual(saved.views);
    const other = await signedIn(b.app, 'maren@thornquay.example');
    expect((await other('GET', '/api/session')).body.person.views).toEqual([]);
    const wrong = { views: [{ name: 'x', view: { ...view, has: ['wings'] } }] };
    expect((await ines('PUT', '/api/me/views', wrong)).status).toBe(400);
  });
});
