import { setImmediate } from 'node:timers/promises';
import type { EntityManager } from 'typeorm';
import { withoutOurs, type UnitRecord } from '@fair-gable/core/unit/record';
import { searchText } from '@fair-gable/core/yard/list';
import { checkedOn, summaryOf } from '@fair-gable/core/yard/summary';
import { clockOf, Yard } from '../../base/access/index.ts';
import { inYard, nobody, type InYard } from '../../base/database/index.ts';
import { recordStatement } from '../../unit/record/index.ts';
import { program } from './program.ts';

/** Of which day and program a summary is, beside its revision. @param today the yard's own day */
export const madeOn = (today: string): string => `${today}/${program}`;

/** A unit's summary as JSON text. */
interface Kept {
  /** For whoever sees all of its record. */
  readonly all: string;
  /** For whoever does not see the yard's own figures; null where it says the same. */
  readonly shown: string | null;
  /** What it is found by: the catalog's words change from program to program. */
  readonly words: string;
}

interface Now {
  readonly id: string;
  readonly revision: number;
  readonly record: UnitRecord;
}

const keptOf = ({ id, revision, record }: Now, today: string): Kept => {
  const whole = checkedOn(record, today);
  const less = checkedOn(withoutOurs(record), today, whole);
  const [all, shown] = [whole, less].map((checked) =>
    JSON.stringify(summaryOf(id, revision, checked)),
  ) as [string, string];
  return { all, shown: shown === all ? null : shown, words: searchText(record) };
};

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
const keep = (
  yard: InYard,
  today: string,
  units: readonly Now[],
  kept: readonly Kept[],
): Promise<void> =>
  yard.within(async (within) => {
    await within.run(
      `WITH fresh AS (
         SELECT * FROM unnest($3::uuid[], $4::int[], $5::json[], $6::json[], $7::text[]) AS f (id, revision, summary, shown, words)),
       free AS (
         SELECT u.yard_id, u.id FROM unit u JOIN fresh f ON f.id = u.id AND f.revision = u.revision
         WHERE u.yard_id = $1 FOR UPDATE OF u SKIP LOCKED)
       UPDATE unit SET summary = f.summary, summary_shown = f.shown, summary_for = f.revision || '/' || $2, words = f.words
       FROM fresh f JOIN free ON free.id = f.id
       WHERE unit.yard_id = free.yard_id AND unit.id = free.id`,
      [
        madeOn(today),
        units.map(({ id }) => id),
        units.map(({ revision }) => revision),
        kept.map(({ all }) => all),
        kept.map(({ shown }) => shown),
        kept.map(({ words }) => words),
      ],
    );
  });

/**
 * Checks units again, of which nothing is kept that holds today, and keeps what is found.
 * @returns by unit
 */
export const renewSummaries = async (
  yard: InYard,
  ids: readonly string[],
  today: string,
): Promise<ReadonlyMap<string, Kept>> => {
  if (ids.length === 0) return new Map();
  const units = await yard.query<Now>(
    `SELECT u.id, u.revision, ${recordStatement(3)} AS record
     FROM unit u WHERE u.yard_id = $1 AND u.id = ANY ($2::uuid[])`,
    [[...ids], []],
  );
  const kept = await eachInTurn(units, (unit) => keptOf(unit, today));
  await keep(yard, today, units, kept);
  return new Map(units.map(({ id }, i) => [id, kept[i] as Kept]));
};

/** So many units are checked at a time by the clock. */
const atOnce = 100;

const renewYard = async (yard: InYard, over: AbortSignal): Promise<void> => {
  const { today } = await clockOf(yard);
  for (let last = ''; !over.aborted;) {
    const rows = await yard.query<{ id: string }>(
      `SELECT u.id FROM unit u
       WHERE u.yard_id = $1 AND u.in_stock AND u.id::text > $2
         AND u.summary_for IS DISTINCT FROM u.revision || '/' || $3
       ORDER BY u.id::text LIMIT ${atOnce}`,
      [last, madeOn(today)],
    );
    const ids = rows.map(({ id }) => id);
    await renewSummaries(yard, ids, today);
    if (ids.length < atOnce) return;
    last = ids.at(-1) ?? '';
  }
};

/** Checks whatever nobody has looked at since the day began, or since it changed, so that who looks waits for nothing. */
export const renewAll = async (manager: EntityManager, over: AbortSignal): Promise<void> => {
  const yards = await manager.find(Yard, { select: { id: true } });
  for (const { id } of yards) await renewYard(inYard(manager, id, nobody), over);
};
