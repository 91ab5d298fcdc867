import { parts, unitSorts, type UnitNow } from '@fair-gable/core/unit/record';
import { searchedWords } from '@fair-gable/core/yard/list';
import type { InYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';

/** What a page of the yard's list is made of. */
export interface ListQuery {
  readonly from: number;
  readonly limit: number;
  readonly sort: (typeof unitSorts)[number];
  readonly order: 'asc' | 'desc';
  /** Words that are all somewhere in the record’s text. */
  readonly text?: string | undefined;
  readonly condition?: string | undefined;
}

const sortColumns: Readonly<Record<ListQuery['sort'], string>> = {
  'taken-in': 'created_at',
  name: 'name',
  length: 'length',
  gvwr: 'gvwr',
  year: 'model_year',
  'stock-number': 'stock_number',
};

/** An entry of a record as JSON; times in the one form in which the program writes them. */
const said = `'value', f.value, 'how', f.how, 'by', f.by,
  'at', to_char(f.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'version', f.version`;
const entry = `CASE WHEN f.filed THEN json_strip_nulls(json_build_object(${said}, 'filed', true, 'others', f.others))
  WHEN f.others IS NULL THEN json_build_object(${said})
  ELSE json_build_object(${said}, 'others', f.others) END`;

const part = (name: string): string =>
  `'${name}', coalesce(json_object_agg(f.key, ${entry}) FILTER (WHERE f.part = '${name}'), '{}')`;

/**
 * A unit's whole record as the database itself writes JSON, so that a page of units is neither
 * taken apart nor put together again on its way. What was taken back is not known.
 * @param hidden number of the parameter that holds the keys to leave out
 */
export const recordStatement = (hidden: number): string => `
  (SELECT json_build_object(${parts.map(part).join(', ')})
   FROM record_field f
   WHERE f.yard_id = u.yard_id AND f.unit_id = u.id AND f.value IS NOT NULL
     AND f.key <> ALL ($${hidden}::text[]))`;

const matching = `
  u.yard_id = $1 AND u.in_stock
  AND ($2::text[] IS NULL OR u.words LIKE ALL ($2::text[]))
  AND ($3::text IS NULL OR u.condition = $3)`;

/**
 * The statement of one page; a benchmark runs it through pg alone. Where words are searched the long texts are
 * gone through once, for count and page together; without words both are read off the indexes.
 */
export const pageStatement = ({
  sort,
  order,
  text,
}: Pick<ListQuery, 'sort' | 'order' | 'text'>): string => {
  const direction = `${order === 'asc' ? 'ASC' : 'DESC'} NULLS LAST`;
  const by = `u.${sortColumns[sort]} ${direction}, u.id`;
  const found = `unit u WHERE ${matching}`;
  const once = `found AS MATERIALIZED (SELECT u.yard_id, u.id, u.revision, u.${sortColumns[sort]} FROM ${found}),`;
  const source = text ? 'found u' : found;
  return `
    WITH ${text ? once : ''}
      page AS (SELECT u.* FROM ${source} ORDER BY ${by} LIMIT $4 OFFSET $5)
    SELECT json_build_object(
      'total', (SELECT count(*) FROM ${source}),
      'units', coalesce((SELECT json_agg(json_build_object('id', u.id, 'record', ${recordStatement(6)}, 'revision', u.revision) ORDER BY ${by})
                         FROM page u), '[]'))::text AS page`;
};

/** One pattern for each word: all of them must be somewhere in the record’s text. */
const like = (text: string | undefined): readonly string[] | null =>
  text
    ? searchedWords(text).map((word) => `%${word.replaceAll(/[\\%_]/g, String.raw`\$&`)}%`)
    : null;

/** The parameters of `pageStatement` after the yard. */
export const pageParameters = (query: ListQuery, hidden: readonly string[]): unknown[] => [
  like(query.text),
  query.condition ?? null,
  query.limit,
  query.from,
  [...hidden],
];

/**
 * A page of the yard's units in stock.
 * @param hidden keys that this reader may not see
 * @returns JSON text: `{ total, units: [{ id, record, revision }] }`
 */
export const pageOfUnits = async (
  yard: InYard,
  query: ListQuery,
  hidden: readonly string[],
): Promise<string> => {
  const [row] = await yard.query<{ page: string }>(
    pageStatement(query),
    pageParameters(query, hidden),
  );
  if (!row) throw new Error('The database gave no page.');
  return row.page;
};

/** Units read at once: a list of ten thousand never lies in memory whole. */
const readAtOnce = 100;

/** Every unit in stock, in the order in which they were taken in. */
export const recordsOf = async function* (
  yard: InYard,
  hidden: readonly string[] = [],
): AsyncGenerator<UnitNow> {
  for (let from = 0; ; from += readAtOnce) {
    const query = { from, limit: readAtOnce, sort: 'taken-in', order: 'asc' } as const;
    const { units } = JSON.parse(await pageOfUnits(yard, query, hidden)) as { units: UnitNow[] };
    yield* units;
    if (units.length < readAtOnce) return;
  }
};

/**
 * One unit.
 * @throws Refusal not-found
 */
export const readUnit = async (
  yard: InYard,
  id: string,
  hidden: readonly string[] = [],
): Promise<UnitNow> => {
  const [row] = await yard.query<UnitNow>(
    `SELECT u.id, ${recordStatement(3)} AS record, u.revision FROM unit u WHERE u.yard_id = $1 AND u.id = $2`,
    [id, [...hidden]],
  );
  if (!row) throw noSuchUnit();
  return row;
};

export const noSuchUnit = (): Refusal =>
  new Refusal('not-found', 'There is no such unit in this yard. Look for it in the yard’s list.');
