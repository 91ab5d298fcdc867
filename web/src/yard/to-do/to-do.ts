import { computed, ref, shallowRef, watch, type ComputedRef } from 'vue';
import type { UnitRecord, YardUnit } from '@fair-gable/core/unit/record';
import type { Left, UnitSummary } from '@fair-gable/core/yard/summary';
import { leftAt, questionsLeft, type LeftRow } from '@fair-gable/core/yard/to-do';
import { keptUnit } from '../../base/device/index.ts';
import { readRecords } from '../../unit/units/reading.ts';
import { useUnits } from '../../unit/units/units.ts';

const nothing: Left = { disagree: 0, confirm: 0, look: 0, prep: 0 };

const add = (a: Left, b: Left): Left => ({
  disagree: a.disagree + b.disagree,
  confirm: a.confirm + b.confirm,
  look: a.look + b.look,
  prep: a.prep + b.prep,
});

/** How much is left to do across the yard. */
export const useLeft = (): ComputedRef<Left> => {
  const units = useUnits();
  return computed(() => units.list.map(({ verdict }) => verdict.left).reduce(add, nothing));
};

/** What was found at a unit, until it changes. */
interface Found {
  readonly of: number | UnitRecord;
  readonly rows: readonly LeftRow[];
}

/**
 * All that is left to do across the yard, unit by unit: by the records that are open, those on this device, and the others from
 * the server, of which none stays.
 */
export const useLeftRows = () => {
  const units = useUnits();
  const found = new Map<string, Found>();
  const rows = shallowRef<readonly LeftRow[]>();
  /** How many records could not be had. */
  const lacking = ref(0);
  let run = 0;

  const note = (unit: YardUnit, of: Found['of']): void => {
    if (found.get(unit.id)?.of !== of) found.set(unit.id, { of, rows: leftAt(unit) });
  };
  /** Whether its rows are known without asking the server. */
  const isFound = async ({ id, revision }: UnitSummary): Promise<boolean> => {
    const opened = units.units.get(id);
    if (opened) note(opened, opened.record);
    if (opened || found.get(id)?.of === revision) return true;
    const kept = await keptUnit(id).catch(() => undefined);
    if (kept?.revision === revision) note(kept, revision);
    return kept?.revision === revision;
  };
  const fetch = async (ids: ReadonlySet<string>, mine: number): Promise<void> => {
    for await (const page of readRecords()) {
      if (mine !== run) return;
      for (const unit of page) if (ids.has(unit.id)) note(unit, unit.revision);
    }
  };

  const gather = async (all: readonly UnitSummary[]): Promise<void> => {
    const mine = (run += 1);
    const missing = new Set<string>();
    for (const unit of all) {
      if (!(await isFound(unit))) missing.add(unit.id);
      if (mine !== run) return;
    }
    // Out of reach: what this device has is told, and that it is not all.
    if (missing.size > 0) await fetch(missing, mine).catch(() => undefined);
    if (mine !== run) return;
    lacking.value = all.filter(({ id }) => !found.has(id)).length;
    rows.value = [...all.flatMap(({ id }) => found.get(id)?.rows ?? []), ...questionsLeft(all)];
  };
  watch(
    () => units.loaded && units.list,
    (all) => all && void gather(all),
    { immediate: true },
  );
  return { rows, lacking };
};
