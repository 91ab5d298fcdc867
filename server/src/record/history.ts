import type { HistoryRow } from '@fair-gable/core';
import type { InYard } from '../database/index.ts';
import { noSuchUnit } from './read.ts';
import { RecordChange, Unit } from './entities.ts';

export interface HistoryQuery {
  readonly part?: string | undefined;
  readonly key?: string | undefined;
  /** Only what is older than this row. */
  readonly before?: string | undefined;
  readonly limit: number;
}

const toRow = (change: RecordChange): HistoryRow => ({
  id: change.id,
  part: change.part,
  key: change.key,
  from: change.from,
  fromHow: change.from === null ? null : change.fromHow,
  to: change.to,
  how: change.how,
  ...(change.beside ? { beside: true } : {}),
  by: change.by,
  at: change.at.toISOString(),
});

/** Pages never overlap: a row is older by its time, then by the field's version, then by its id. */
const older = `(c.at, coalesce(c.version, 0), c.id) <
  (SELECT b.at, coalesce(b.version, 0), b.id FROM record_change b
   WHERE b.yard_id = c.yard_id AND b.unit_id = c.unit_id AND b.id = :before)`;

/**
 * The changes of a unit's record, or of one field of it, latest first.
 * @param hidden keys that this reader may not see
 * @throws Refusal not-found
 */
export const historyOf = async (
  yard: InYard,
  unitId: string,
  { part, key, before, limit }: HistoryQuery,
  hidden: readonly string[],
): Promise<readonly HistoryRow[]> => {
  if (!(await yard.findOne(Unit, { id: unitId }))) throw noSuchUnit();
  const rows = yard.manager
    .createQueryBuilder(RecordChange, 'c')
    .where('c.yard_id = :yardId AND c.unit_id = :unitId', { yardId: yard.yardId, unitId })
    .andWhere('c.key <> ALL (:hidden)', { hidden: [...hidden] })
    .orderBy('c.at', 'DESC')
    .addOrderBy('coalesce(c.version, 0)', 'DESC')
    .addOrderBy('c.id', 'DESC')
    .limit(limit);
  if (part) rows.andWhere('c.part = :part', { part });
  if (key) rows.andWhere('c.key = :key', { key });
  if (before) rows.andWhere(older, { before });
  return (await rows.getMany()).map(toRow);
};
