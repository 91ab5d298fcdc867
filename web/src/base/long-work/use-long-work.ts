import { onScopeDispose, ref } from 'vue';
import type { Sending } from '../api/client.ts';
import { useLive } from '../live/live.ts';
import { hearWork, tellWork, type Progress } from './news.ts';

/** A long file over a yard's line; past this nobody waits for it, ms. */
const patience = 600_000;

/**
 * Something long that the server does: how far it is, and a way to stop it. A later one takes the place of an earlier
 * that is still at work.
 */
export const useLongWork = () => {
  const isAtWork = ref(false);
  /** Undefined while it is sent, and where the server is not heard. */
  const progress = ref<Progress>();
  let current: AbortController | undefined;

  useLive().on('work', tellWork);
  const stop = (): void => current?.abort();
  onScopeDispose(stop);

  /** @throws Stopped where somebody pressed Cancel; whatever the work throws */
  const run = async <T>(work: (as: Sending) => Promise<T>): Promise<T> => {
    stop();
    const mine = new AbortController();
    current = mine;
    const id = crypto.randomUUID();
    const unhear = hearWork(id, (far) => (progress.value = far));
    isAtWork.value = true;
    progress.value = undefined;
    try {
      return await work({ signal: mine.signal, within: patience, work: id });
    } finally {
      unhear();
      if (current === mine) {
        current = undefined;
        isAtWork.value = false;
      }
    }
  };

  return { isAtWork, progress, run, stop };
};
