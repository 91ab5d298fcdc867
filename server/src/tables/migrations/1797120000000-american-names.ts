import type { MigrationInterface, QueryRunner } from 'typeorm';
import { americanNames, formerNames, withNames } from '@fair-gable/core/unit/versions';
import { throughJson } from '../through-json.ts';

type Names = Readonly<Record<string, string>>;

/** Where names stand within JSON. */
const columns = [
  { table: 'record_field', json: ['value', 'others'] },
  { table: 'record_change', json: ['from_value', 'to_value'] },
  { table: 'model_sheet', json: ['sheet'] },
  { table: 'model_sheet_change', json: ['from_sheet', 'to_sheet'] },
  { table: 'model_sheet_offer', json: ['offer'] },
  { table: 'walk', json: ['points', 'about'] },
  { table: 'walk_event', json: ['what'] },
  { table: 'yard', json: ['house_views', 'routes'] },
  { table: 'membership', json: ['views'] },
] as const;

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

const rename = async (runner: QueryRunner, names: Names): Promise<void> => {
  const tables = columns.map(({ table }) => `"${table}"`).join(', ');
  await runner.query(`LOCK TABLE ${tables}, "unit" IN SHARE ROW EXCLUSIVE MODE`);
  for (const table of ['record_field', 'record_change']) await renameKeys(runner, table, names);
  for (const { table, json } of columns) {
    const where = json.map((column) => `"${column}"::text ~ '${anyOf(names)}'`).join(' OR ');
    await throughJson(runner, { table, json, where }, (value) => withNames(value, names));
  }
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
