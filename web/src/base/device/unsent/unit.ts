import { ask } from '../../api/client.ts';
import { unsentKind } from './kind.ts';

/** A unit that was taken in. */
export const unit = unsentKind({
  kind: 'unit',
  isLarge: false,
  send: ([{ unit: { id, changes } }]) => ask('POST /api/units', { body: { id, changes } }), // prettier-ignore
  describe: ({ unit: { id } }, nameOf) => ({ what: 'a unit taken in', where: nameOf(id) }),
});
