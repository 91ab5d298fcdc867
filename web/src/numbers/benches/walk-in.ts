import { computed } from 'vue';
import { specEntry, type SpecKey } from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { useTried } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { readTyped } from '../../unit/record/typing.ts';

interface Told {
  /** As they were typed. */
  readonly specs: Readonly<Partial<Record<SpecKey, string>>>;
  /** Inches from the coupler to the axles. */
  readonly axle?: number;
}

const by = 'walk-in';
/** Nobody asks when; the record is of this tab alone. */
const at = '1970-01-01T00:00:00.000Z';
const heard = { how: 'told', basedOn: 0 } as const;

/** A trailer nobody has a record of, as somebody tells it. */
export const useWalkIn = () => {
  const session = useSession();
  const {
    value: told,
    set,
    clear,
  } = useTried<Told>(
    () => 'walk-in',
    () => ({ specs: {} }),
  );

  const changes = computed<readonly Change[]>(() => {
    const specs = Object.entries(told.value.specs).flatMap(([key, text]): Change[] => {
      const { value } = readTyped(specEntry(key as SpecKey), text, session.system);
      return value ? [{ part: 'specs', key, value, ...heard }] : [];
    });
    const { axle } = told.value;
    if (axle === undefined) return specs;
    const place = { back: axle, side: 'center' } as const;
    return [...specs, { part: 'places', key: 'axleRating', value: place, ...heard }];
  });
  const record = computed<UnitRecord>(() =>
    changes.value.reduce((so, change) => applyChange(so, change, by, at), emptyRecord),
  );

  const type = (key: SpecKey, text: string): void => {
    set({ ...told.value, specs: { ...told.value.specs, [key]: text } });
  };
  const setAxle = (inches: number | undefined): void => {
    const { specs } = told.value;
    set(inches === undefined ? { specs } : { specs, axle: inches });
  };
  const typed = computed(() => told.value.specs);
  const axle = computed(() => told.value.axle);
  return { record, typed, type, axle, setAxle, clear };
};
