import type { QueryRunner } from 'typeorm';

/** Columns of JSON that a migration goes through, in the rows of a table that it has to look at. */
export interface JsonColumns {
  readonly table: string;
  readonly json: readonly string[];
  /** A condition of the database's, without values. */
  readonly where: string;
}

/** So many rows are in memory at once. */
const atOnce = 500;

interface Row {
  /** Where the row lies in the table: nobody else writes meanwhile. */
  readonly at: string;
  readonly [column: string]: unknown;
}

const put = async (
  runner: QueryRunner,
  { table, json }: JsonColumns,
  rows: readonly Row[],
  change: (json: unknown) => unknown,
): Promise<void> => {
  const text = (value: unknown): string | null =>
    value === null ? null : JSON.stringify(change(value));
  const set = json.map((column, i) => `"${column}" = n.c${i}`).join(', ');
  const given = json.map((_, i) => `$${i + 2}::jsonb[]`).join(', ');
  await runner.query(
    `UPDATE "${table}" t SET ${set}
     FROM unnest($1::text[], ${given}) AS n (at, ${json.map((_, i) => `c${i}`).join(', ')})
     WHERE t.ctid = n.at::tid`,
    [rows.map(({ at }) => at), ...json.map((column) => rows.map((row) => text(row[column])))],
  );
};

/**
 * Goes through JSON of a table once, however long it is, in the transaction of a migration that has locked it.
 * @param change makes what is there into what is to be there
 */
export const throughJson = async (
  runner: QueryRunner,
  place: JsonColumns,
  change: (json: unknown) => unknown,
): Promise<void> => {
  const all = place.json.map((column) => `"${column}"`).join(', ');
  await runner.query(
    `DECLARE through NO SCROLL CURSOR FOR
     SELECT ctid::text AS at, ${all} FROM "${place.table}" WHERE ${place.where}`,
  );
  for (;;) {
    const rows = (await runner.query(`FETCH ${atOnce} FROM through`)) as Row[];
    if (rows.length === 0) break;
    await put(runner, place, rows, change);
  }
  await runner.query('CLOSE through');
};
