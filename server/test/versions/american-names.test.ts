import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { withNames } from '@fair-gable/core/unit/versions';
import { bench, signedIn, unitNamed, type Bench } from '../support.ts';

const tables: Readonly<Record<string, string>> = {
  record_field: 'key, value, others',
  record_change: 'key, from_value, to_value',
  model_sheet: 'sheet',
  model_sheet_change: 'from_sheet, to_sheet',
  model_sheet_offer: 'offer',
  walk: 'points, about',
  walk_event: 'what',
  yard: 'house_views, routes',
  membership: 'views',
};
const former =
  /"(?:specs\.)?(tyre|stabiliser|centre"|moulded"|fibreglass"|aluminium|levelling|theatre)/;

let at: Bench;
/** All rows of all tables that hold names, as text, in order. */
const held = async (): Promise<Readonly<Record<string, readonly string[]>>> => {
  const all: [string, string[]][] = [];
  for (const [table, columns] of Object.entries(tables)) {
    const rows = await at.source.query(`SELECT ${columns} FROM "${table}"`);
    all.push([table, rows.map((row: unknown) => JSON.stringify(row)).toSorted()]);
  }
  return Object.fromEntries(all);
};

beforeAll(async () => {
  at = await bench();
  const { query } = at.source;
  await query.call(
    at.source,
    `UPDATE yard SET house_views = '{"cabinets": "aluminum"}',
       routes = '[{"key": "ours", "label": "aluminum", "legs": [{"station": "roof", "side": "center"}]}]'`,
  );
  // A word of their own stands alone, and is no name.
  await query.call(
    at.source,
    `INSERT INTO record_field (yard_id, unit_id, part, key, value, how, by, at, version)
     SELECT yard_id, id, 'stowed', 'lpHose', '{"where": "theater"}', 'seen', 'Ines Rook', now(), 1 FROM unit
     ON CONFLICT DO NOTHING`,
  );
});
afterAll(() => at.close());

describe('a database of the program before', () => {
  it('has its names brought up to date, and what people wrote left alone', async () => {
    const now = await held();
    // The states that fit, then the names.
    await at.source.undoLastMigration();
    await at.source.undoLastMigration();
    const before = await held();
    for (const table of ['record_field', 'record_change', 'model_sheet', 'yard'])
      expect([table, before[table]?.some((row) => former.test(row))]).toEqual([table, true]);
    expect(before['yard']?.join()).toContain('"label":"aluminum"');
    expect(before['record_field']?.join()).toContain('"key":"gasHose"');
    expect(before['record_field']?.join()).toContain('"where":"theater"');
    await at.source.runMigrations();
    expect(await held()).toEqual(now);
    const summaries = await at.source.query('SELECT 1 FROM unit WHERE summary IS NOT NULL');
    expect(summaries).toEqual([]);
  });

  it('is found by words of today, once its units are looked at again', async () => {
    await at.source.query(`UPDATE unit SET words = 'tyres that are old'`);
    const ask = await signedIn(at.app, 'ines@thornquay.example');
    await ask('GET', '/api/units/summaries');
    const { id } = await unitNamed(ask, 'TQ-0417');
    const found = async (text: string) =>
      (await ask('GET', `/api/units?text=${encodeURIComponent(text)}`)).body.total as number;
    expect(id).toBeDefined();
    expect(await found('stabilizers')).toBeGreaterThan(0);
    expect(await found('stabilisers')).toBe(await found('stabilizers'));
  });

  it('gives the records that its files would give', async () => {
    const ask = await signedIn(at.app, 'ines@thornquay.example');
    const { id } = await unitNamed(ask, 'TQ-0417');
    const { record } = (await ask('GET', `/api/units/${id}`)).body;
    expect(withNames(record)).toEqual(record);
    expect(record.specs.tireSize.value).toBeDefined();
  });
});
