import type { HistoryRow } from '@fair-gable/core/unit/record';
import type { InYard } from '../../base/database/index.ts';
import { accountsBehind } from '../../base/access/index.ts';
import { noSuchUnit } from './read.ts';
import { RecordChange, Unit } from './entities.ts';

export interface HistoryQuery {
  readonly part?: string | undefined;
  readonly key?: string | undefined;
  /** Only what is older than this row. */
  readonly before?: string | undefined;
  readonly limit: number;
}

type Accounts = ReadonlyMap<string | null, string>;

const toRow = (change: RecordChange, accounts: Accounts): HistoryRow => ({
  id: change.id,
  part: change.part,
  key: change.key,
  from: change.from,
  fromHow: change.from === null ? null : change.fromHow,
  to: change.to,
  how: change.how,
  ...(change.beside ? { beside: true } : {}),
  by: change.by,
  account: accounts.get(change.personId),
  at: change.at.toISOString(),
});

/** Pages never overlap: a row is older by its time, then by the field's version, then by its id. */
const older = `(c.at, coalesce(c.version, 0), c.id) <
  (SELECT b.at, coalesce(b.version, 0), b.id FROM record_change b
   WHERE b.yard_id = c.yard_id AND b.unit_id = c.unit_id AND b.id = :before)`;

/**
 * The changes of a unit's record, or of one field of it, latest first.
 * @param hidden keys that this reader may not see
 * @param tellsAccounts whether this reader may see who is behind a name
 * @throws Refusal not-found
 */
export const historyOf = async (
  yard: InYard,
  unitId: string,
  { part, key, before, limit }: HistoryQuery,
  {
    hidden,
    tellsAccounts,
  }: { readonly hidden: readonly string[]; readonly tellsAccounts: boolean },
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
  const changes = await rows.getMany();
  const accounts: Accounts = tellsAccounts
    ? await accountsBehind(yard.manager, changes)
    : new Map();
  return changes.map((change) => toRow(change, accounts));
};
