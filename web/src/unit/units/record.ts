import { computed, watch, type ComputedRef } from 'vue';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { useUnits } from './units.ts';

/** The record of a unit, opened where it is not open yet; undefined while it is not here. */
export const useRecordOf = (id: () => string | undefined): ComputedRef<UnitRecord | undefined> => {
  const units = useUnits();
  watch(
    id,
    // Out of reach: whoever shows it goes by what they have.
    (unit) => unit && void units.open(unit).catch(() => undefined),
    { immediate: true },
  );
  return computed(() => units.units.get(id() ?? '')?.record);
};
