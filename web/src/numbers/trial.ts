import { useSessionStorage } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import { freshTrial, type Trial } from '@fair-gable/core';
import { useSession } from '../people/session.ts';

/** What is tried on one's benches, by unit; kept while the tab is open. The record stays as it is. */
export const useTrial = (of: () => string) => {
  const session = useSession();
  // A trial of an older version of the page has another shape; it is begun anew.
  const all = useSessionStorage<Record<string, Trial>>('numbers-trials-2', {});
  const trial: ComputedRef<Trial> = computed(
    () => all.value[of()] ?? freshTrial(session.houseView, undefined, session.session?.yard.water),
  );
  const set = (more: Partial<Trial>): void => {
    all.value = { ...all.value, [of()]: { ...trial.value, ...more } };
  };
  const reset = (): void => {
    all.value = Object.fromEntries(Object.entries(all.value).filter(([id]) => id !== of()));
  };
  return { trial, set, reset };
};
