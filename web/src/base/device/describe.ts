import { inText } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import { stationEntry } from '@fair-gable/core/unit/catalog';
import { fieldLabel, fieldText, saidBy } from '@fair-gable/core/unit/record';
import type { Unsent } from './device.ts';

/** A walk event in words. */
const eventWords = (item: Extract<Unsent, { kind: 'event' }>): string => {
  const { what } = item.event;
  if (what.kind === 'mark') return `marked “${what.mark}”`;
  if (what.kind === 'jump') return `went to ${inText(stationEntry(what.station).label)}`;
  return what.kind.replace('-', ' ');
};

/**
 * What somebody did, in words, for the list of what is not sent.
 * @param nameOf the name of a unit by its id
 */
export const describe = (
  item: Unsent,
  nameOf: (unit: string) => string,
  system: System,
): { readonly what: string; readonly where: string } => {
  switch (item.kind) {
    case 'plan':
      return { what: 'a walk planned', where: nameOf(item.plan.unit) };
    case 'event':
      return { what: `on a walk: ${eventWords(item)}`, where: '' };
    case 'memo':
      return { what: 'a voice memo', where: '' };
    case 'photo':
      return { what: 'a photo', where: nameOf(item.unit) };
    case 'unit':
      return { what: 'a unit taken in', where: nameOf(item.unit.id) };
    case 'edit': {
      const changes = item.edit.changes.map((change) => {
        const { part, key } = change;
        const { value, how } = saidBy(change);
        return `${fieldLabel(part, key)}: ${fieldText(part, key, value, how, system)}`;
      });
      return { what: changes.join('; '), where: nameOf(item.edit.unit) };
    }
  }
};
