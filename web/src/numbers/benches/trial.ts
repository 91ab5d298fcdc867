import { freshTrial } from '@fair-gable/core/numbers/trial';
import type { Trial } from '@fair-gable/core/unit/record';
import { useTried } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';

/** What is tried on one's benches, by unit. The record stays as it is. */
export const useTrial = (of: () => string) => {
  const session = useSession();
  // A trial of an older version of the page has another shape; it is begun anew.
  const tried = useTried<Trial>(
    () => `trial-2.${of()}`,
    () => freshTrial(session.houseView, undefined, session.session?.yard.water),
  );
  const trial = tried.value;
  const set = (more: Partial<Trial>): void => tried.set({ ...trial.value, ...more });
  return { trial, set, reset: tried.clear };
};
