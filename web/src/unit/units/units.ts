import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { checkAgain, type Checked, type Objection } from '@fair-gable/core/unit/checks';
import {
  applyChange,
  emptyRecord,
  type Change,
  type UnitRecord,
  type YardUnit,
} from '@fair-gable/core/unit/record';
import { withWaiting } from '@fair-gable/core/yard/outbox';
import { useClock } from '../../base/clock/index.ts';
import { ask, NoNetwork, saying, sendFile, type Sending } from '../../base/api/client.ts';
import { useLive } from '../../base/live/live.ts';
import {
  keepUnit,
  keepUnits,
  keptUnits,
  useOutbox,
  type NewUnit,
} from '../../base/device/index.ts';

const pageSize = 200;
/** News that come in a burst are looked after together, ms. */
const settleFor = 150;

const asUnit = ({ id, changes, by, at }: NewUnit): YardUnit => ({
  id,
  record: changes.reduce((record, change) => applyChange(record, change, by, at), emptyRecord),
});

/** How much of a long list has come. */
export interface Coming {
  readonly read: number;
  readonly of: number;
}

/** The whole list, page by page. */
const readYard = async (onPage: (coming: Coming) => void): Promise<readonly YardUnit[]> => {
  const all: YardUnit[] = [];
  for (;;) {
    const page = { limit: pageSize, from: all.length };
    const { units, total } = await ask('GET /api/units', { query: page });
    all.push(...units);
    onPage({ read: all.length, of: total });
    if (units.length < pageSize) return all;
  }
};

/** The yard's units as this person has them: what the server confirmed, and what still waits on top. */
export const useUnits = defineStore('units', () => {
  const outbox = useOutbox();
  const confirmed = shallowRef<ReadonlyMap<string, YardUnit>>(new Map());
  const loaded = ref(false);
  const problem = ref<string>();
  const coming = ref<Coming>();

  const units = computed<ReadonlyMap<string, YardUnit>>(() => {
    const all = new Map(confirmed.value);
    for (const unit of outbox.newUnits) if (!all.has(unit.id)) all.set(unit.id, asUnit(unit));
    for (const id of new Set(outbox.edits.map((edit) => edit.unit))) {
      const unit = all.get(id);
      if (unit) all.set(id, { id, record: withWaiting(unit.record, id, outbox.edits) });
    }
    return all;
  });

  const replace = async (unit: YardUnit): Promise<void> => {
    confirmed.value = new Map(confirmed.value).set(unit.id, unit);
    await keepUnit(unit).catch(() => undefined);
  };
  outbox.onConfirmed(replace);

  /** Reads the yard; what this device kept stands in while the server is out of reach. */
  const load = async (): Promise<void> => {
    problem.value = undefined;
    try {
      const all = await readYard((read) => (coming.value = read));
      confirmed.value = new Map(all.map((unit) => [unit.id, unit]));
      await keepUnits(all).catch(() => undefined);
    } catch (error) {
      const had = error instanceof NoNetwork ? await keptUnits() : [];
      if (had.length > 0) confirmed.value = new Map(had.map((unit) => [unit.id, unit]));
      else if (!loaded.value) problem.value = saying(error);
    }
    coming.value = undefined;
    loaded.value = true;
  };

  /** Reads one unit again, after somebody changed it. */
  const refresh = async (id: string): Promise<void> => {
    try {
      await replace(await ask('GET /api/units/:id', { params: { id } }));
    } catch {
      // Out of reach: the next news, or the next look at the yard, brings it.
    }
  };

  outbox.onConflict(refresh);

  /** Units that changed elsewhere and are not read again yet. */
  let changed = new Set<string>();
  const look = (): void => {
    const ids = changed;
    changed = new Set();
    for (const id of ids) void refresh(id);
  };
  const live = useLive();
  live.on('unit', ({ id }: { readonly id: string }) => {
    if (changed.size === 0) setTimeout(look, settleFor);
    changed.add(id);
  });
  for (const kind of ['stock', 'catch-up'] as const) live.on(kind, () => void load());

  /** Takes in a unit file; its name. */
  const takeFile = async (content: unknown): Promise<TakenFile> => {
    const taken = await ask('POST /api/unit-files', { body: content });
    await load();
    return taken;
  };

  /** Takes in a unit with its photos, from a zip; its name. */
  const takeZip = async (zip: Blob, as: Sending): Promise<TakenFile> => {
    const taken = await sendFile('POST /api/unit-files/zip', zip, 'application/zip', as);
    await load();
    return taken;
  };

  const list = computed(() => [...units.value.values()]);
  return { units, confirmed, list, loaded, coming, problem, load, refresh, takeFile, takeZip };
});

/** A unit that was brought in; `unsigned` where signatures, or an inspection, were left out. */
export interface TakenFile {
  readonly id: string;
  readonly name: string;
  readonly unsigned: boolean;
}

const checked = new WeakMap<UnitRecord, ReadonlyMap<string, readonly Objection[]>>();

/** The last look: most often at the same unit before its latest change, so few rules run again. */
let last: Checked | undefined;

/** The objections to a record, worked out once per record, unit system and day. */
export const objectionsTo = (record: UnitRecord, system: 'us' | 'metric'): readonly Objection[] => {
  const { today } = useClock();
  const look = `${system} ${today}`;
  const had = checked.get(record)?.get(look);
  if (had) return had;
  last = checkAgain(last, record, { system, today });
  checked.set(record, new Map(checked.get(record)).set(look, last.objections));
  return last.objections;
};

/** A record with changes applied on this page only, for a unit that is still being typed. */
export const drafted = (record: UnitRecord, changes: readonly Change[], by: string): UnitRecord =>
  changes.reduce((r, c) => applyChange(r, c, by, new Date(0).toISOString()), record);
