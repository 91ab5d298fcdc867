import { fieldLabel, fieldText, statedBy } from '@fair-gable/core/unit/record';
import { ask } from '../../api/client.ts';
import { unsentKind } from './kind.ts';

/** Fields of a unit that were changed. */
export const edit = unsentKind({
  kind: 'edit',
  isLarge: false,
  send: ([item]) => {
    const { id, unit, changes } = item.edit;
    return ask('POST /api/units/:id/edits', { params: { id: unit }, body: { id, changes } });
  },
  describe: ({ edit: { unit, changes } }, nameOf, system) => {
    const words = changes.map((change) => {
      const { part, key } = change;
      const { value, how } = statedBy(change);
      return `${fieldLabel(part, key)}: ${fieldText(part, key, value, how, system)}`;
    });
    return { what: words.join('; '), where: nameOf(unit) };
  },
});
