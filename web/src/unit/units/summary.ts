import type { UnitRecord, YardUnit } from '@fair-gable/core/unit/record';
import { checkedOn, summaryOf, type UnitSummary } from '@fair-gable/core/yard/summary';

const made = new WeakMap<UnitRecord, UnitSummary>();

/** A unit in brief, worked out once for a record and a day. */
export const summaryOn = (unit: YardUnit, today: string, revision = 0): UnitSummary => {
  const had = made.get(unit.record);
  if (had?.verdict.day === today && had.revision === revision && had.id === unit.id) return had;
  const summary = summaryOf(unit.id, revision, checkedOn(unit.record, today));
  made.set(unit.record, summary);
  return summary;
};
