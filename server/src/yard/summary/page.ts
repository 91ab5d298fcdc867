import type { UnitSummary } from '@fair-gable/core/yard/summary';
import type { InYard } from '../../base/database/index.ts';
import { briefStatement } from '../../unit/record/index.ts';
import { checkUnits, verdictFor } from './verdicts.ts';

/** Which summaries, and who reads them when. */
export interface SummaryQuery {
  readonly from: number;
  readonly limit: number;
  /** Keys that this reader may not see. */
  readonly hidden: readonly string[];
  /** The yard's own day. */
  readonly today: string;
}

const isFresh = `u.verdict_for = u.revision || '/' || $5`;
const order = 'u.created_at, u.id';
const inStock = 'FROM unit u WHERE u.yard_id = $1 AND u.in_stock';

const statement = `
  WITH page AS (SELECT u.* ${inStock} ORDER BY ${order} LIMIT $2 OFFSET $3)
  SELECT
    json_build_object(
      'total', (SELECT count(*) ${inStock}),
      'units', coalesce(json_agg(json_build_object(
        'id', u.id,
        'revision', u.revision,
        'record', ${briefStatement(4)},
        'verdict', CASE WHEN cardinality($4::text[]) = 0 THEN u.verdict->'all'
                        ELSE coalesce(u.verdict->'shown', u.verdict->'all') END
      ) ORDER BY ${order}), '[]'))::text AS page,
    coalesce(json_agg(u.id) FILTER (WHERE (${isFresh}) IS NOT TRUE), '[]') AS stale
  FROM page u`;

interface Page {
  readonly total: number;
  readonly units: readonly UnitSummary[];
}

/**
 * A page of the yard in brief, in the order in which its units were taken in. As the database writes it, but for those units whose
 * verdict is not of today and of the record as it is: they are checked first.
 * @returns JSON text: `{ total, units }`
 */
export const pageOfSummaries = async (
  yard: InYard,
  { from, limit, hidden, today }: SummaryQuery,
): Promise<string> => {
  const [row] = await yard.query<{ page: string; stale: readonly string[] }>(statement, [
    limit,
    from,
    [...hidden],
    today,
  ]);
  if (!row) throw new Error('The database gave no page.');
  if (row.stale.length === 0) return row.page;
  const checked = await checkUnits(yard, row.stale, today);
  const { total, units } = JSON.parse(row.page) as Page;
  const seesAll = hidden.length === 0;
  return JSON.stringify({
    total,
    units: units.map((unit) => {
      const kept = checked.get(unit.id);
      return kept ? { ...unit, verdict: verdictFor(kept, seesAll) } : unit;
    }),
  });
};
