import { emptyRecord, type UnitRecord } from '@fair-gable/core/unit/record';
import type { UnitSummary } from '@fair-gable/core/yard/summary';
import { device, type KeptUnit } from './device.ts';

/** So many are handed over at a time; the page draws in between. */
const atOnce = 50;

/** Keeps the yard in brief, in place of how it was kept before. */
export const keepSummaries = async (all: readonly UnitSummary[]): Promise<void> => {
  const change = (await device()).transaction('summaries', 'readwrite');
  await change.store.clear();
  for (const [i, summary] of all.entries()) {
    const put = change.store.put(summary);
    if (i % atOnce === 0) await put;
  }
  await change.done;
};

/** The yard in brief as this device kept it; none where it never had one. */
export const keptSummaries = async (): Promise<readonly UnitSummary[]> =>
  await (await device()).getAll('summaries');

/** Keeps units as they are now. */
export const keepUnits = async (units: readonly KeptUnit[]): Promise<void> => {
  const change = (await device()).transaction('units', 'readwrite');
  for (const unit of units) void change.store.put(unit);
  await change.done;
};

/**
 * Keeps units that were fetched beside other work: what came here meanwhile is newer, and stays.
 * @param before which revisions were here when the fetching began
 */
export const keepFetched = async (
  units: readonly KeptUnit[],
  before: ReadonlyMap<string, number>,
): Promise<void> => {
  const change = (await device()).transaction('units', 'readwrite');
  for (const unit of units) {
    const had = await change.store.get(unit.id);
    if (had?.revision === before.get(unit.id)) void change.store.put(unit);
  }
  await change.done;
};

/** Lets units go that are not in the yard any more. */
export const dropUnits = async (ids: readonly string[]): Promise<void> => {
  const change = (await device()).transaction('units', 'readwrite');
  for (const id of ids) void change.store.delete(id);
  await change.done;
};

/** What an older version of the page kept has fewer parts. */
const whole = (record: UnitRecord): UnitRecord => ({ ...emptyRecord, ...record });

/** A unit that this device kept. */
export const keptUnit = async (id: string): Promise<KeptUnit | undefined> => {
  const unit = await (await device()).get('units', id);
  return unit && { ...unit, record: whole(unit.record) };
};

/** Which units this device kept. */
export const keptUnitIds = async (): Promise<readonly string[]> =>
  await (await device()).getAllKeys('units');

/** Of the units that this device kept, as of which revision; no record is read for it. */
export const keptRevisions = async (): Promise<ReadonlyMap<string, number>> => {
  const revisions = new Map<string, number>();
  const index = (await device()).transaction('units').store.index('revision');
  for (let at = await index.openKeyCursor(); at; at = await at.continue()) {
    revisions.set(at.primaryKey, at.key);
  }
  return revisions;
};
