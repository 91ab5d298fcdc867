import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Client } from 'pg';
import { withNames } from '@fair-gable/core/unit/versions';
import { describe, expect, it } from '@jest/globals';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/tables/index.ts';
import { freshDatabase, secret, signedIn, unitNamed } from './support.ts';

const dump = readFileSync(fileURLToPath(new URL('fixtures/slice.sql', import.meta.url)), 'utf8');

/** Row counts of the tables that the first version had. */
const counts = async (query: (sql: string) => Promise<{ n: number }[]>): Promise<number[]> => {
  const tables = [
    'yard',
    'person',
    'membership',
    'unit',
    'record_field',
    'record_change',
    'walk',
    'walk_event',
  ];
  const all: number[] = [];
  for (const table of tables) {
    const [row] = await query(`SELECT count(*)::int AS n FROM public."${table}"`);
    all.push(row?.n ?? -1);
  }
  return all;
};

const byKey = <T extends { unit_id: string; part: string; key: string }>(fields: T[]): T[] =>
  fields.toSorted((a, b) =>
    `${a.unit_id} ${a.part} ${a.key}` < `${b.unit_id} ${b.part} ${b.key}` ? -1 : 1,
  );

describe('a database of the first version', () => {
  it('is brought up to date with nothing lost, and works', async () => {
    const url = await freshDatabase();
    const client = new Client({ connectionString: url });
    await client.connect();
    await client.query(dump);
    const before = await counts(async (sql) => (await client.query(sql)).rows);
    const fields = (await client.query('SELECT * FROM public.record_field ORDER BY 1, 2, 3, 4'))
      .rows;
    await client.end();

    const source = await openDatabase(url);
    expect(await counts((sql) => source.query(sql))).toEqual(before);
    const fieldsNow = await source.query('SELECT * FROM record_field ORDER BY 1, 2, 3, 4');
    const named = fields.map((field) => {
      const { key, value } = withNames({ key: field.key, value: field.value }) as typeof field;
      return { ...field, key, value, others: null, filed: false };
    });
    expect(byKey(fieldsNow)).toEqual(byKey(named));
    const copies = 'SELECT name, model_year, condition, length, gvwr FROM unit ORDER BY name';
    expect(await source.query(copies)).toEqual([
      { name: 'Fenlark 24 RKD', model_year: 2026, condition: 'new', length: 335, gvwr: 7490 },
      { name: 'Marl 18 MB', model_year: 2023, condition: 'used', length: 268, gvwr: 4900 },
      expect.objectContaining({ name: 'Pell 14 T', condition: 'new' }),
      expect.objectContaining({ name: 'Skerry 27 G', condition: 'used' }),
    ]);

    const app = await buildApp({ source, secret });
    const ask = await signedIn(app, 'ines@thornquay.example');
    const found = await ask('GET', '/api/units?text=fenlark');
    expect(found.body.total).toBe(1);
    const unit = await unitNamed(ask, 'TQ-0402');
    const { body } = await ask('GET', `/api/units/${unit.id}/history?part=specs&key=hitchWeight`);
    expect(body.changes[0]).toMatchObject({ to: { amount: 640 }, fromHow: null, by: 'Ines Rook' });
    const { walks } = (await ask('GET', `/api/units/${unit.id}/walks`)).body;
    expect(walks[0].events).toHaveLength(2);
    await app.close();
    await source.destroy();
  });
});
