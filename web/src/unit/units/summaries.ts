import { ref, shallowRef } from 'vue';
import type { UnitSummary } from '@fair-gable/core/yard/summary';
import { useClock } from '../../base/clock/index.ts';
import { NoNetwork, reasonOf } from '../../base/api/client.ts';
import { keepSummaries } from '../../base/device/index.ts';
import { keepYard, keptYard } from './keeping.ts';
import { readSummaries, type Coming } from './reading.ts';

const byId = <T extends { readonly id: string }>(all: readonly T[]): ReadonlyMap<string, T> =>
  new Map(all.map((one) => [one.id, one]));

/** Work that is asked for while it is done is done once more after it, however often it was asked for. */
const oneAfterAnother = (work: () => Promise<void>): (() => Promise<void>) => {
  let running: Promise<void> | undefined;
  let next: Promise<void> | undefined;
  const start = (): Promise<void> => {
    running = work().finally(() => {
      running = undefined;
    });
    return running;
  };
  return () => {
    if (!running) return start();
    next ??= running.then(() => {
      next = undefined;
      return start();
    });
    return next;
  };
};

/** The yard in brief, as the server told it last; what this device kept stands in while the server is out of reach. */
export const useSummaries = () => {
  const clock = useClock();
  const told = shallowRef<ReadonlyMap<string, UnitSummary>>(new Map());
  const loaded = ref(false);
  const problem = ref<string>();
  const coming = ref<Coming>();

  /** Counts what was told: whatever an earlier telling began is over. */
  let telling = 0;
  const keepAll = async (): Promise<void> => {
    const mine = (telling += 1);
    await keepSummaries([...told.value.values()]);
    await keepYard(told.value, () => mine !== telling);
  };

  const standIn = async (error: unknown): Promise<void> => {
    const had = error instanceof NoNetwork ? await keptYard(clock.today) : [];
    if (had.length > 0) told.value = byId(had);
    else if (!loaded.value) problem.value = reasonOf(error);
  };

  const load = oneAfterAnother(async () => {
    problem.value = undefined;
    try {
      told.value = byId(await readSummaries((read) => (coming.value = read)));
      // The page does not wait for the device; where it has no room the network is needed.
      void keepAll().catch(() => undefined);
    } catch (error) {
      await standIn(error);
    }
    coming.value = undefined;
    loaded.value = true;
  });

  /** Another yard: nothing of this one stays. */
  const leave = (): void => {
    telling += 1;
    told.value = new Map();
    loaded.value = false;
  };
  return { told, loaded, problem, coming, load, leave };
};
