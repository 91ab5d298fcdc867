import { wrap, type Remote } from 'comlink';
import type { WalkWorker } from './walk.worker.ts';

/** One worker for all of a page; held on to, for one that nobody holds is let go of. */
let remote: Remote<WalkWorker> | undefined;

export const walkWorker = (): Remote<WalkWorker> =>
  (remote ??= wrap<WalkWorker>(
    new Worker(new URL('./walk.worker.ts', import.meta.url), { type: 'module' }),
  ));
