import type { MigrationInterface, QueryRunner } from 'typeorm';
import { americanNames, formerNames, withNames } from '@fair-gable/core/unit/versions';

type Names = Readonly<Record<string, string>>;

/** Where names stand within JSON, by the table and what a row is known by. */
const columns = [
  { table: 'record_field', by: ['yard_id', 'unit_id', 'part', 'key'], json: ['value', 'others'] },
  { table: 'record_change', by: ['yard_id', 'id'], json: ['from_value', 'to_value'] },
  { table: 'model_sheet', by: ['yard_id', 'id'], json: ['sheet'] },
  { table: 'model_sheet_change', by: ['yard_id', 'id'], json: ['from_sheet', 'to_sheet'] },
  { table: 'model_sheet_offer', by: ['yard_id', 'id'], json: ['offer'] },
  { table: 'walk', by: ['yard_id', 'id'], json: ['points', 'about'] },
  { table: 'walk_event', by: ['yard_id', 'walk_id', 'id'], json: ['what'] },
  { table: 'yard', by: ['id'], json: ['house_views', 'routes'] },
  { table: 'membership', by: ['yard_id', 'person_id'], json: ['views'] },
] as const;

/** So many rows are in memory at once. */
const atOnce = 500;

/** Keys of a record: one name, or several, as in `tyre-age:tyreDateSpare`. */
const renameKeys = async (runner: QueryRunner, table: string, names: Names): Promise<void> => {
  const rows = (await runner.query(`SELECT DISTINCT "key" FROM "${table}" WHERE "key" ~ $1`, [
    anyOf(names),
  ])) as { key: string }[];
  const before = rows.map(({ key }) => key);
  const now = before.map((key) => withNames(key, names));
  await runner.query(
    `UPDATE "${table}" t SET "key" = n.now
     FROM unnest($1::text[], $2::text[]) AS n (before, now)
     WHERE t."key" = n.before AND n.now <> n.before`,
    [before, now],
  );
};

/** A pattern of the database's that finds a whole name anywhere in a text. */
const anyOf = (names: Names): string => String.raw`\m(${Object.keys(names).join('|')})\M`;

interface Row {
  readonly at: string;
  readonly [column: string]: unknown;
}

const renameJson = async (
  runner: QueryRunner,
  { table, by, json }: (typeof columns)[number],
  names: Names,
): Promise<void> => {
  const known = by.map((column) => `"${column}"`).join(', ');
  const all = json.map((column) => `"${column}"`).join(', ');
  const isNamed = json.map((column) => `"${column}"::text ~ $1`).join(' OR ');
  const ids = `jsonb_build_array(${known})`;
  for (let last: string | null = null; ;) {
    const rows = (await runner.query(
      `SELECT ${ids}::text AS at, ${all} FROM "${table}"
       WHERE (${isNamed}) AND ($2::jsonb IS NULL OR ${ids} > $2::jsonb)
       ORDER BY ${ids} LIMIT ${atOnce}`,
      [anyOf(names), last],
    )) as Row[];
    await putRenamed(runner, table, ids, json, rows, names);
    if (rows.length < atOnce) return;
    last = rows.at(-1)?.at ?? null;
  }
};

const putRenamed = async (
  runner: QueryRunner,
  table: string,
  ids: string,
  json: readonly string[],
  rows: readonly Row[],
  names: Names,
): Promise<void> => {
  const text = (value: unknown): string | null =>
    value === null ? null : JSON.stringify(withNames(value, names));
  const set = json.map((column, i) => `"${column}" = n.c${i}`).join(', ');
  const given = json.map((_, i) => `$${i + 2}::jsonb[]`).join(', ');
  await runner.query(
    `UPDATE "${table}" SET ${set}
     FROM unnest($1::jsonb[], ${given}) AS n (at, ${json.map((_, i) => `c${i}`).join(', ')})
     WHERE ${ids} = n.at`,
    [rows.map(({ at }) => at), ...json.map((column) => rows.map((row) => text(row[column])))],
  );
};

const rename = async (runner: QueryRunner, names: Names): Promise<void> => {
  for (const table of ['record_field', 'record_change']) await renameKeys(runner, table, names);
  for (const place of columns) await renameJson(runner, place, names);
  // Made anew out of the records.
  await runner.query(
    `UPDATE "unit" SET "summary" = NULL, "summary_shown" = NULL, "summary_for" = NULL`,
  );
};

/** Fields, choices and checks are called by the trade's own words, in one spelling. What people wrote is left as it is. */
export class AmericanNames1797120000000 implements MigrationInterface {
  name = 'AmericanNames1797120000000';

  async up(runner: QueryRunner): Promise<void> {
    await rename(runner, americanNames);
  }

  async down(runner: QueryRunner): Promise<void> {
    await rename(runner, formerNames);
  }
}
