import { ref, watch, type Ref } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { isFitted } from '@fair-gable/core/unit/catalog';
import { openObjections } from '@fair-gable/core/unit/checks';
import type { UnitRecord, YardUnit } from '@fair-gable/core/unit/record';
import { basicsMissing, toConfirm } from '@fair-gable/core/yard/to-do';
import { objectionsTo } from '../../unit/units/units.ts';

/** What is left to do across a yard. */
export interface Left {
  readonly disagree: number;
  readonly confirm: number;
  readonly look: number;
  readonly prep: number;
}

const nothing: Left = { disagree: 0, confirm: 0, look: 0, prep: 0 };

const isPrep = (record: UnitRecord): number =>
  Object.values(record.features).filter(
    (f) => f && !isFitted(f.value.state) && f.value.state !== 'none',
  ).length;

const leftOn = (record: UnitRecord, system: System): Left => ({
  disagree: openObjections(objectionsTo(record, system)).filter((o) => o.severity !== 'look')
    .length,
  confirm: toConfirm(record).length,
  look: basicsMissing(record).length,
  prep: isPrep(record),
});

const known = new WeakMap<UnitRecord, Partial<Record<System, Left>>>();
const leftOf = (record: UnitRecord, system: System): Left => {
  const had = known.get(record)?.[system];
  if (had) return had;
  const left = leftOn(record, system);
  known.set(record, { ...known.get(record), [system]: left });
  return left;
};

const add = (a: Left, b: Left): Left => ({
  disagree: a.disagree + b.disagree,
  confirm: a.confirm + b.confirm,
  look: a.look + b.look,
  prep: a.prep + b.prep,
});

/** So long at a time does the counting hold the page. */
const slice = 8;

/**
 * What is left to do across the units, counted a slice of a frame at a time: a yard of ten thousand does not
 * hold the page.
 */
export const useLeft = (
  units: () => readonly YardUnit[],
  system: () => System,
): Readonly<Ref<Left>> => {
  const left = ref<Left>(nothing);
  let run = 0;

  const count = (of: readonly YardUnit[], from: number, sum: Left, mine: number): void => {
    if (mine !== run) return;
    const until = performance.now() + slice;
    let i = from;
    let total = sum;
    for (; i < of.length && performance.now() < until; i++) {
      total = add(total, leftOf((of[i] as YardUnit).record, system()));
    }
    if (i >= of.length) left.value = total;
    else setTimeout(() => count(of, i, total, mine));
  };

  watch([units, system], () => count(units(), 0, nothing, ++run), { immediate: true });
  return left;
};
