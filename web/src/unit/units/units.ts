import { defineStore } from 'pinia';
import { computed, watch } from 'vue';
import { checkAgain, type Checked, type Objection } from '@fair-gable/core/unit/checks';
import { applyChange, type Change, type UnitRecord } from '@fair-gable/core/unit/record';
import type { UnitSummary } from '@fair-gable/core/yard/summary';
import { useClock } from '../../base/clock/index.ts';
import { ask, sendFile, type Sending } from '../../base/api/client.ts';
import { useLive } from '../../base/live/live.ts';
import { mostKept } from './keeping.ts';
import { useOpened } from './opened.ts';
import { summaryOn } from './summary.ts';
import { useSummaries } from './summaries.ts';

/** News that come in a burst are looked after together, ms. */
const settleFor = 150;

/** Hears of units that changed elsewhere. */
const hearOf = (refresh: (id: string) => void, load: () => void): void => {
  let changed = new Set<string>();
  const look = (): void => {
    const ids = changed;
    changed = new Set();
    for (const id of ids) refresh(id);
  };
  const live = useLive();
  live.on('unit', ({ id }: { readonly id: string }) => {
    if (changed.size === 0) setTimeout(look, settleFor);
    changed.add(id);
  });
  for (const kind of ['stock', 'catch-up'] as const) live.on(kind, load);
};

/**
 * The yard's units as this person has them: all of them in brief, and the whole record of each that was opened. What waits to be
 * sent is on top of both.
 */
export const useUnits = defineStore('units', () => {
  const clock = useClock();
  const { told, loaded, problem, coming, load: tell, leave: untell } = useSummaries();
  const opened = useOpened((id) => told.value.get(id)?.revision);
  const { confirmed, units, open, refresh } = opened;

  const isAsTold = (id: string): boolean => {
    const [unit, had] = [confirmed.value.get(id), told.value.get(id)];
    const isSame = unit === units.value.get(id) && unit?.revision === had?.revision;
    return isSame && had?.verdict.day === clock.today;
  };
  const summaries = computed<ReadonlyMap<string, UnitSummary>>(() => {
    const all = new Map(told.value);
    for (const unit of units.value.values()) {
      if (isAsTold(unit.id)) continue;
      all.set(unit.id, summaryOn(unit, clock.today, confirmed.value.get(unit.id)?.revision));
    }
    return all;
  });
  const list = computed(() => [...summaries.value.values()]);
  /** Whether all records of the yard are on this device, once they have come. */
  const isKeptWhole = computed(() => told.value.size <= mostKept);

  /** Reads the yard; what this device kept stands in while the server is out of reach. */
  const load = async (): Promise<void> => {
    await tell();
    void opened.refreshChanged();
  };
  /** Another yard: nothing of this one stays on the page. */
  const leave = (): void => {
    opened.dropAll();
    untell();
  };
  hearOf(
    (id) => void refresh(id),
    () => void load(),
  );
  watch(
    () => clock.today,
    () => loaded.value && void load(),
  );

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

  const yard = { summaries, list, isKeptWhole, loaded, coming, problem, load, leave };
  return { ...yard, units, confirmed, open, refresh, takeFile, takeZip };
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
