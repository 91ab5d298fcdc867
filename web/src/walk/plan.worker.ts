import { expose } from 'comlink';
import { planCards } from '@fair-gable/core';

/** Plans off the main thread: three hundred cards take a moment on a phone. */
const planner = { planCards };
export type Planner = typeof planner;
expose(planner);
