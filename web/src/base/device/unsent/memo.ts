import { unsentKind } from './kind.ts';
import { sendMemo } from './send-memo.ts';

/** What was spoken on a walk; the mark that names it is an event of its own. */
export const memo = unsentKind({
  kind: 'memo',
  isLarge: true,
  send: ([{ walk, memo: id }]) => sendMemo(walk, id),
  describe: () => ({ what: 'a voice memo', where: '' }),
  beside: ({ memo: key }) => ({ store: 'memos', key }),
});
