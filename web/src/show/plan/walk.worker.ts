import { expose } from 'comlink';
import { planCards } from '@fair-gable/core/show/plan';
import { summaryOf } from '@fair-gable/core/show/walk';

/** What takes its time of walks, beside the page: planning one, and reading many. */
const worker = { planCards, summaryOf };
export type WalkWorker = typeof worker;

expose(worker);
