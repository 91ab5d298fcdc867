import { ask } from '../../api/client.ts';
import { unsentKind } from './kind.ts';

/** A walk that was planned. */
export const plan = unsentKind({
  kind: 'plan',
  isLarge: false,
  send: ([{ plan: planned }]) =>
    ask('PUT /api/walks/:id', { params: { id: planned.id }, body: planned }),
  describe: ({ plan: { unit } }, nameOf) => ({ what: 'a walk planned', where: nameOf(unit) }),
  walk: ({ plan: { id } }) => id,
});
