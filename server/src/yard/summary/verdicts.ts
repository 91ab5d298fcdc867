import { setImmediate } from 'node:timers/promises';
import type { EntityManager } from 'typeorm';
import { withoutOurs, type UnitRecord } from '@fair-gable/core/unit/record';
import { checkedOn, verdictOf, type Verdict } from '@fair-gable/core/yard/summary';
import { clockOf, Yard } from '../../base/access/index.ts';
import { inYard, nobody, type InYard } from '../../base/database/index.ts';
import { recordStatement } from '../../unit/record/index.ts';

/** What the checks find at a unit, for whoever sees all of its record and for whoever does not see the yard's own figures. */
interface Kept {
  readonly all: Verdict;
  /** Left out where it is the same. */
  readonly shown?: Verdict;
}

interface Checked {
  readonly id: string;
  readonly revision: number;
  readonly verdict: Kept;
}

const keptOf = (record: UnitRecord, today: string): Kept => {
  const whole = checkedOn(record, today);
  const [all, shown] = [verdictOf(whole), verdictOf(checkedOn(withoutOurs(record), today, whole))];
  return JSON.stringify(all) === JSON.stringify(shown) ? { all } : { all, shown };
};

/** The verdict as this reader may see it. */
export const verdictFor = ({ all, shown = all }: Kept, seesAll: boolean): Verdict =>
  seesAll ? all : shown;

/** Whoever waits for something else comes in between. */
const eachInTurn = async <T, R>(all: readonly T[], work: (one: T) => R): Promise<readonly R[]> => {
  const done: R[] = [];
  for (const one of all) {
    done.push(work(one));
    await setImmediate();
  }
  return done;
};

/** Beside a record that was changed meanwhile, or is being changed, nothing is kept: it is checked anew when it is asked for. */
const keep = (yard: InYard, today: string, checked: readonly Checked[]): Promise<void> =>
  yard.within(async (within) => {
    await within.run(
      `WITH fresh AS (
         SELECT f.* FROM jsonb_to_recordset($2::jsonb) AS f (id uuid, revision int, verdict jsonb)),
       free AS (
         SELECT u.id FROM unit u JOIN fresh f ON f.id = u.id AND f.revision = u.revision
         WHERE u.yard_id = $1 FOR UPDATE OF u SKIP LOCKED)
       UPDATE unit SET verdict = f.verdict, verdict_for = f.revision || '/' || $3
       FROM fresh f JOIN free ON free.id = f.id
       WHERE unit.yard_id = $1 AND unit.id = f.id`,
      [JSON.stringify(checked), today],
    );
  });

/**
 * Checks units again, of which nothing is kept that holds today, and keeps what is found.
 * @returns by unit
 */
export const checkUnits = async (
  yard: InYard,
  ids: readonly string[],
  today: string,
): Promise<ReadonlyMap<string, Kept>> => {
  if (ids.length === 0) return new Map();
  const rows = await yard.query<{ id: string; revision: number; record: UnitRecord }>(
    `SELECT u.id, u.revision, ${recordStatement(3)} AS record
     FROM unit u WHERE u.yard_id = $1 AND u.id = ANY ($2::uuid[])`,
    [[...ids], []],
  );
  const checked = await eachInTurn(rows, ({ id, revision, record }) => ({
    id,
    revision,
    verdict: keptOf(record, today),
  }));
  await keep(yard, today, checked);
  return new Map(checked.map(({ id, verdict }) => [id, verdict]));
};

/** So many units are checked at a time by the clock. */
const atOnce = 100;

const checkYard = async (yard: InYard): Promise<void> => {
  const { today } = await clockOf(yard);
  for (let last = ''; ;) {
    const rows = await yard.query<{ id: string }>(
      `SELECT u.id FROM unit u
       WHERE u.yard_id = $1 AND u.in_stock AND u.id::text > $2
         AND u.verdict_for IS DISTINCT FROM u.revision || '/' || $3
       ORDER BY u.id::text LIMIT ${atOnce}`,
      [last, today],
    );
    const ids = rows.map(({ id }) => id);
    await checkUnits(yard, ids, today);
    if (ids.length < atOnce) return;
    last = ids.at(-1) ?? '';
  }
};

/** Checks whatever nobody has looked at since the day began, or since it changed, so that who looks waits for nothing. */
export const checkAll = async (manager: EntityManager): Promise<void> => {
  const yards = await manager.find(Yard, { select: { id: true } });
  for (const { id } of yards) await checkYard(inYard(manager, id, nobody));
};

/** Another program may find otherwise: whatever one that ran before this one kept is found anew. */
export const forgetVerdicts = async (manager: EntityManager): Promise<void> => {
  await manager
    .createQueryBuilder()
    .update('unit')
    .set({ verdictFor: null })
    .where('verdict_for IS NOT NULL')
    .execute();
};
