import type { InYard } from '../../base/database/index.ts';
import { madeOn, renewSummaries } from './renewing.ts';

/** Which summaries, and who reads them when. */
export interface SummaryQuery {
  readonly from: number;
  readonly limit: number;
  /** Whether this reader sees the yard's own figures. */
  readonly seesAll: boolean;
  /** The yard's own day. */
  readonly today: string;
}

const inStock = 'FROM unit u WHERE u.yard_id = $1 AND u.in_stock';

const order = 'ORDER BY u.created_at, u.id';

/** The page is chosen before anything of its units is read: the summaries of the others stay where they are. */
const statement = `
  WITH page AS MATERIALIZED (SELECT u.yard_id, u.id ${inStock} ${order} LIMIT $2 OFFSET $3)
  SELECT u.id,
    CASE WHEN u.summary_for = u.revision || '/' || $4
         THEN CASE WHEN $5 THEN u.summary ELSE coalesce(u.summary_shown, u.summary) END
    END::text AS summary
  FROM page JOIN unit u ON u.yard_id = page.yard_id AND u.id = page.id ${order}`;

/**
 * A page of the yard in brief, in the order in which its units were taken in. As written when it was kept, but for those units
 * of which nothing is kept that is of today, of this program and of the record as it is: they are checked first.
 * @returns JSON text: `{ total, units }`
 */
export const pageOfSummaries = async (
  yard: InYard,
  { from, limit, seesAll, today }: SummaryQuery,
): Promise<string> => {
  const [count] = await yard.query<{ total: number }>(`SELECT count(*)::int AS total ${inStock}`);
  const rows = await yard.query<{ id: string; summary: string | null }>(statement, [
    limit,
    from,
    madeOn(today),
    seesAll,
  ]);
  const stale = rows.filter(({ summary }) => summary === null).map(({ id }) => id);
  const renewed = await renewSummaries(yard, stale, today);
  const units = rows.flatMap(({ id, summary }) => {
    const { all, shown = null } = renewed.get(id) ?? {};
    return summary ?? (seesAll ? all : (shown ?? all)) ?? [];
  });
  return `{"total":${count?.total ?? 0},"units":[${units.join(',')}]}`;
};
