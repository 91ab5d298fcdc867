import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  applyChange,
  checkRecord,
  inverseOf,
  type Change,
  type Objection,
  type UnitRecord,
} from '@fair-gable/core';
import { ask, NoNetwork, saying } from '../api/client.ts';
import { keep, kept } from '../outbox/index.ts';

export interface YardUnit {
  readonly id: string;
  readonly record: UnitRecord;
}

interface Undoable {
  readonly unit: string;
  readonly what: string;
  readonly changes: readonly Change[];
}

/** The yard's units, and the changes this person makes to them. */
export const useUnits = defineStore('units', () => {
  const units = shallowRef<ReadonlyMap<string, YardUnit>>(new Map());
  const loaded = ref(false);
  const problem = ref<string>();
  const saving = ref(0);
  const undoable = shallowRef<readonly Undoable[]>([]);

  const replace = (unit: YardUnit): void => {
    units.value = new Map(units.value).set(unit.id, unit);
    void keep('units', [...units.value.values()]);
  };

  /** Reads the yard; what this device kept stands in while the server is out of reach. */
  const load = async (): Promise<void> => {
    problem.value = undefined;
    try {
      const answer = await ask<{ units: YardUnit[] }>('GET', '/api/units');
      units.value = new Map(answer.units.map((unit) => [unit.id, unit]));
      await keep('units', answer.units);
    } catch (error) {
      const had = error instanceof NoNetwork ? await kept('units') : undefined;
      if (had) units.value = new Map(had.map((unit) => [unit.id, unit]));
      else problem.value = saying(error);
    }
    loaded.value = true;
  };

  const send = async (unit: string, changes: readonly Change[]): Promise<YardUnit> => {
    saving.value += 1;
    try {
      return await ask<YardUnit>('POST', `/api/units/${unit}/changes`, { changes });
    } finally {
      saving.value -= 1;
    }
  };

  /**
   * Changes fields of a unit, and remembers how to take it back.
   * @param what in words, for the undo button
   * @throws Refused, NoNetwork; then nothing was changed
   */
  const change = async (id: string, changes: readonly Change[], what: string): Promise<void> => {
    const before = units.value.get(id);
    if (!before) return;
    const after = await send(id, changes);
    replace(after);
    const back = changes.map((c) => {
      const part = after.record[c.part] as Record<string, { version: number } | undefined>;
      return inverseOf(before.record, c, part[c.key]?.version ?? 0);
    });
    undoable.value = [...undoable.value, { unit: id, what, changes: back }];
  };

  /**
   * Takes the last change back. Out of reach of the server it can be tried again; what was refused
   * is not offered a second time.
   */
  const undo = async (): Promise<void> => {
    const last = undoable.value.at(-1);
    if (!last) return;
    const drop = (): void => void (undoable.value = undoable.value.filter((u) => u !== last));
    try {
      replace(await send(last.unit, last.changes));
    } catch (error) {
      if (!(error instanceof NoNetwork)) drop();
      throw error;
    }
    drop();
  };

  /** A new unit with what its labels say. */
  const create = async (id: string, changes: readonly Change[]): Promise<void> => {
    replace(await ask<YardUnit>('POST', '/api/units', { id, changes }));
  };

  /** Takes in a unit file; its name. */
  const takeFile = async (content: unknown): Promise<{ id: string; name: string }> => {
    const taken = await ask<{ id: string; name: string }>('POST', '/api/unit-files', content);
    await load();
    return taken;
  };

  const list = computed(() => [...units.value.values()]);
  const lastUndo = computed(() => undoable.value.at(-1));
  return { units, list, loaded, problem, saving, lastUndo, load, change, undo, create, takeFile };
});

const checked = new WeakMap<UnitRecord, ReadonlyMap<string, readonly Objection[]>>();

/** The objections to a record, worked out once per record and unit system. */
export const objectionsTo = (record: UnitRecord, system: 'us' | 'metric'): readonly Objection[] => {
  const had = checked.get(record)?.get(system);
  if (had) return had;
  const found = checkRecord(record, system);
  checked.set(record, new Map(checked.get(record)).set(system, found));
  return found;
};

/** A record with changes applied on this page only, for a unit that is still being typed. */
export const drafted = (record: UnitRecord, changes: readonly Change[], by: string): UnitRecord =>
  changes.reduce((r, c) => applyChange(r, c, by, new Date(0).toISOString()), record);
