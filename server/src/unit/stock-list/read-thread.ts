import type { Line } from '@fair-gable/core/unit/stock-list';
import { inThread } from '../../base/threads/index.ts';
import { readListText, type GivenList, type ListHead } from './reading.ts';

/** Reads a list in a thread. */
export default inThread<GivenList, ListHead, readonly Line[]>((given, { piece, progress }) =>
  readListText(given, {
    lines: piece,
    progress: (done, of) => progress({ phase: 'reading', done, of }),
  }),
);
