import { expose } from 'comlink';
import { planCards, summaryOf } from '@fair-gable/core';

/** What takes its time of walks, beside the page: planning one, and reading many. */
const worker = { planCards, summaryOf };
export type WalkWorker = typeof worker;

expose(worker);
