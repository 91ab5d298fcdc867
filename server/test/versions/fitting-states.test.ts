import { afterAll, beforeAll, expect, it } from '@jest/globals';
import { bench, type Bench } from '../support.ts';

let at: Bench;
const rows = async <T>(sql: string): Promise<readonly T[]> => at.source.query(sql);
const stateOf = async (key: string): Promise<unknown> =>
  (
    await rows<{ state: unknown }>(
      `SELECT value->>'state' AS state FROM record_field WHERE part = 'features' AND key = '${key}' AND by = 'Odd Lune'`,
    )
  )[0]?.state;

/** A feature of the first unit, as a program before could write it. */
const write = (key: string, state: string, others = 'NULL') =>
  at.source.query(
    `INSERT INTO record_field (yard_id, unit_id, part, key, value, how, by, at, version, others)
     SELECT yard_id, id, 'features', '${key}', '{"state": "${state}"}', 'seen', 'Odd Lune', now(), 1, ${others}
     FROM unit ORDER BY id LIMIT 1
     ON CONFLICT (yard_id, unit_id, part, key) DO UPDATE
       SET value = EXCLUDED.value, by = EXCLUDED.by, others = EXCLUDED.others`,
  );

beforeAll(async () => {
  at = await bench();
});
afterAll(() => at.close());

it('a feature in a state that its kind has not becomes one that is there, or not', async () => {
  await at.source.undoLastMigration();
  await write('vinLabel', 'prep');
  await write(
    'tireLabel',
    'option',
    `'[{"value": {"state": "room"}, "how": "told", "by": "Juno Vale", "at": "2026-04-14T13:40:00.000Z"},
       {"value": {"state": "standard"}, "how": "sheet", "by": "Juno Vale", "at": "2026-04-14T13:40:00.000Z"}]'`,
  );
  await write('keys', 'ours');
  await write('awning', 'room');
  await write('openRecall', 'ours');
  await at.source.query(`UPDATE unit SET summary = '{"of": "before"}'`);
  await at.source.runMigrations();
  expect(await rows(`SELECT id FROM unit WHERE summary->>'of' = 'before'`)).toEqual([]);
  expect(
    await Promise.all(['vinLabel', 'tireLabel', 'keys', 'awning', 'openRecall'].map(stateOf)),
  ).toEqual(['none', 'standard', 'ours', 'room', 'standard']);
  const [label] = await rows<{ others: { value: { state: string }; by: string }[] }>(
    `SELECT others FROM record_field WHERE key = 'tireLabel' AND by = 'Odd Lune'`,
  );
  expect(label?.others.map(({ value, by }) => [value.state, by])).toEqual([
    ['none', 'Juno Vale'],
    ['standard', 'Juno Vale'],
  ]);
});

it('the program before reads what this one wrote', async () => {
  await write(
    'vinLabel',
    'unreadable',
    `'[{"value": {"state": "none"}, "how": "told", "by": "J", "at": "2026-04-14T13:40:00.000Z"}]'`,
  );
  await write('keys', 'missing');
  await at.source.undoLastMigration();
  expect(await Promise.all(['vinLabel', 'keys', 'awning'].map(stateOf))).toEqual([
    'none',
    'none',
    'room',
  ]);
  await at.source.runMigrations();
});

it('the states in a sheet and in an offer fit as well', async () => {
  await at.source.undoLastMigration();
  await at.source.query(
    `UPDATE model_sheet SET sheet = jsonb_set(sheet::jsonb, '{values,features,valvesInside}', '"option"')`,
  );
  await at.source.runMigrations();
  const sheets = await rows<{ state: string }>(
    `SELECT sheet::jsonb->'values'->'features'->>'valvesInside' AS state FROM model_sheet`,
  );
  expect(sheets.length).toBeGreaterThan(0);
  expect(new Set(sheets.map(({ state }) => state))).toEqual(new Set(['standard']));
});
