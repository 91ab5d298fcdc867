import type { UnitSummary } from '@fair-gable/core/yard/summary';
import {
  dropUnits,
  keepFetched,
  keptRevisions,
  keptSummaries,
  keptUnit,
  keptUnitIds,
} from '../../base/device/index.ts';
import { summaryOn } from './summary.ts';
import { readRecords, readUnit } from './reading.ts';

/** A yard of up to so many units is on the device whole; of a larger one what was opened is. */
export const mostKept = 600;

/** Up to so many units are fetched one by one; more come by the page. */
const oneByOne = 12;

/** Fetches the units that this device lacks, or has as they were. @param isOver whether that is not wanted any more */
const fetchMissing = async (
  missing: ReadonlySet<string>,
  before: ReadonlyMap<string, number>,
  isOver: () => boolean,
): Promise<void> => {
  if (missing.size <= oneByOne) {
    for (const id of missing) {
      if (isOver()) return;
      await keepFetched([await readUnit(id)], before);
    }
    return;
  }
  for await (const page of readRecords()) {
    if (isOver()) return;
    await keepFetched(
      page.filter(({ id }) => missing.has(id)),
      before,
    );
  }
};

/**
 * Brings the records on this device up to the yard's: those that are gone are dropped, and of a yard that is kept whole the others
 * are fetched.
 * @param isOver whether that is not wanted any more
 * @throws Refused, NoNetwork
 */
export const keepYard = async (
  summaries: ReadonlyMap<string, UnitSummary>,
  isOver: () => boolean,
): Promise<void> => {
  const had = await keptUnitIds();
  await dropUnits(had.filter((id) => !summaries.has(id)));
  if (summaries.size > mostKept) return;
  const revisions = await keptRevisions();
  const missing = [...summaries.values()]
    .filter(({ id, revision }) => revisions.get(id) !== revision)
    .map(({ id }) => id);
  if (missing.length > 0) await fetchMissing(new Set(missing), revisions, isOver);
};

const renewed = async (summary: UnitSummary, today: string): Promise<UnitSummary> => {
  if (summary.verdict.day === today) return summary;
  const unit = await keptUnit(summary.id);
  return unit ? summaryOn(unit, today, summary.revision) : summary;
};

/** A version of the page that kept no summaries left the records alone. */
const madeOf = async (id: string, today: string): Promise<readonly UnitSummary[]> => {
  const unit = await keptUnit(id);
  return unit ? [summaryOn(unit, today, unit.revision)] : [];
};

/**
 * The yard in brief as this device kept it. What it kept on another day is renewed by the records beside it: what the checks find
 * may be another.
 */
export const keptYard = async (today: string): Promise<readonly UnitSummary[]> => {
  const kept = await keptSummaries();
  const all: UnitSummary[] = [];
  for (const summary of kept) all.push(await renewed(summary, today));
  if (kept.length > 0) return all;
  for (const id of await keptUnitIds()) all.push(...(await madeOf(id, today)));
  return all;
};
