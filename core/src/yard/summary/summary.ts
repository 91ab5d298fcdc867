import type { System } from '../../base/quantity/index.ts';
import { isFitted } from '../../unit/catalog/index.ts';
import { checkRecord, openObjections, type Objection } from '../../unit/checks/index.ts';
import { followsSheet } from '../../unit/model-sheet/index.ts';
import { briefOf, type Brief, type UnitRecord, type YardUnit } from '../../unit/record/index.ts';
import { basicsMissing, nextNeed, toConfirm, type Need } from '../to-do/index.ts';

/** How much is left to do at a unit. */
export interface Left {
  /** Objections that are open. */
  readonly disagree: number;
  /** Fields to measure or confirm. */
  readonly confirm: number;
  /** What should be known before it is shown, and nobody looked at. */
  readonly look: number;
  /** What is only prepared, or has room. */
  readonly prep: number;
}

/** What the checks find at a unit on a day, so that who looks at the yard works none of it out. */
export interface Verdict {
  /** A calendar date: what it says of ages holds on that day. */
  readonly day: string;
  /** What it needs next, in the words of each unit system. */
  readonly need: Readonly<Record<System, Need>>;
  readonly left: Left;
  readonly followsSheet: boolean;
}

/** A unit as the yard's page has it: what draws, finds and compares it, and what is to be done at it. */
export interface UnitSummary {
  readonly id: string;
  /** Counts the changes of its record; of a unit that is not sent yet it is 0. */
  readonly revision: number;
  readonly record: Brief;
  readonly verdict: Verdict;
}

const prepared = (record: UnitRecord): number =>
  Object.values(record.features).filter(
    (entry) => entry && !isFitted(entry.value.state) && entry.value.state !== 'none',
  ).length;

const leftAt = (record: UnitRecord, objections: readonly Objection[]): Left => ({
  disagree: openObjections(objections).filter(({ severity }) => severity !== 'look').length,
  confirm: toConfirm(record).length,
  look: basicsMissing(record).length,
  prep: prepared(record),
});

/**
 * What the checks find at a unit.
 * @param today a calendar date
 */
export const verdictOn = (record: UnitRecord, today: string): Verdict => {
  const [us, metric] = (['us', 'metric'] as const).map((system) =>
    checkRecord(record, { system, today }),
  ) as [readonly Objection[], readonly Objection[]];
  return {
    day: today,
    need: { us: nextNeed(record, us), metric: nextNeed(record, metric) },
    left: leftAt(record, us),
    followsSheet: followsSheet(record),
  };
};

/** A unit's summary out of its whole record. */
export const summaryOf = (
  { id, record }: YardUnit,
  today: string,
  revision: number,
): UnitSummary => ({ id, revision, record: briefOf(record), verdict: verdictOn(record, today) });
