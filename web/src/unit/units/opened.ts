import { computed, shallowRef, watch } from 'vue';
import {
  applyChange,
  emptyRecord,
  type UnitNow,
  type YardUnit,
} from '@fair-gable/core/unit/record';
import { withWaiting } from '@fair-gable/core/yard/outbox';
import { Refused } from '../../base/api/client.ts';
import {
  dropUnits,
  keepUnits,
  keptUnit,
  useOutbox,
  type KeptUnit,
  type NewUnit,
} from '../../base/device/index.ts';
import { readUnit } from './reading.ts';

const asUnit = ({ id, changes, by, at }: NewUnit): YardUnit => ({
  id,
  record: changes.reduce((record, change) => applyChange(record, change, by, at), emptyRecord),
});

/** The records on the page: what the server confirmed, and what still waits on top. */
const useRecords = () => {
  const outbox = useOutbox();
  const confirmed = shallowRef<ReadonlyMap<string, KeptUnit>>(new Map());

  const units = computed<ReadonlyMap<string, YardUnit>>(() => {
    const all = new Map<string, YardUnit>(confirmed.value);
    for (const unit of outbox.newUnits) if (!all.has(unit.id)) all.set(unit.id, asUnit(unit));
    for (const id of new Set(outbox.edits.map((edit) => edit.unit))) {
      const unit = all.get(id);
      if (unit) all.set(id, { id, record: withWaiting(unit.record, id, outbox.edits) });
    }
    return all;
  });

  const put = (unit: KeptUnit): void => {
    confirmed.value = new Map(confirmed.value).set(unit.id, unit);
  };
  const drop = (id: string): void => {
    confirmed.value = new Map([...confirmed.value].filter(([one]) => one !== id));
  };
  const dropAll = (): void => {
    confirmed.value = new Map();
  };
  return { confirmed, units, put, drop, dropAll };
};

/**
 * The units whose records were opened.
 * @param revisionTold of which revision the yard was told a unit last
 */
export const useOpened = (revisionTold: (id: string) => number | undefined) => {
  const outbox = useOutbox();
  const { confirmed, units, put, drop, dropAll } = useRecords();

  /** As the server has it now: on the page, and on the device. */
  const replace = async (unit: UnitNow): Promise<void> => {
    put(unit);
    await keepUnits([unit]).catch(() => undefined);
  };

  /** Reads a unit again; whether there is one. @throws Refused, NoNetwork */
  const read = async (id: string): Promise<boolean> => {
    try {
      await replace(await readUnit(id));
    } catch (error) {
      if (!(error instanceof Refused) || error.status !== 404) throw error;
      drop(id);
      await dropUnits([id]).catch(() => undefined);
    }
    return units.value.has(id);
  };
  /** Reads a unit again, after somebody changed it. */
  const refresh = async (id: string): Promise<void> => {
    // Out of reach: the next news, or the next look at the yard, brings it.
    await read(id).catch(() => undefined);
  };

  const isAsTold = (id: string): boolean => {
    const unit = confirmed.value.get(id);
    return unit?.revision !== undefined && unit.revision === revisionTold(id);
  };
  /** Those that changed since they were opened. */
  const refreshChanged = async (): Promise<void> => {
    for (const id of confirmed.value.keys()) if (!isAsTold(id)) await refresh(id);
  };

  /**
   * Opens a unit's record: at once where it is on this device, and as the server has it now.
   * @returns whether there is such a unit
   * @throws Refused, NoNetwork where it is neither here nor to be had
   */
  const open = async (id: string): Promise<boolean> => {
    if (!units.value.has(id)) {
      const had = await keptUnit(id).catch(() => undefined);
      if (had && !confirmed.value.has(id)) put(had);
    }
    if (!units.value.has(id)) return read(id);
    if (confirmed.value.has(id) && !isAsTold(id)) void refresh(id);
    return true;
  };

  // What waits to be sent is laid over the record it changes, wherever the unit is shown.
  watch(
    () => [...new Set(outbox.edits.map((edit) => edit.unit))].join(' '),
    (ids) => {
      for (const id of ids.split(' ').filter(Boolean)) void open(id).catch(() => undefined);
    },
    { immediate: true },
  );
  outbox.onConfirmed(replace);
  outbox.onConflict(refresh);
  return { confirmed, units, open, refresh, refreshChanged, dropAll };
};
