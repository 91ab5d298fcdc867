import { inText } from '@fair-gable/core/base/words';
import type { What } from '@fair-gable/core/show/walk';
import { stationEntry } from '@fair-gable/core/unit/catalog';
import { ask } from '../../api/client.ts';
import { unsentKind } from './kind.ts';

const words = (what: What): string => {
  if (what.kind === 'mark') return `marked “${what.mark}”`;
  if (what.kind === 'jump') return `went to ${inText(stationEntry(what.station).label)}`;
  return what.kind.replace('-', ' ');
};

/** Something done on a walk; those of one walk go together. */
export const event = unsentKind({
  kind: 'event',
  isLarge: false,
  takesAlong: (first, next) => first.walk === next.walk,
  send: (items) =>
    ask('POST /api/walks/:id/events', {
      params: { id: items[0].walk },
      body: { events: items.map((item) => item.event) },
    }),
  describe: ({ event: { what } }) => ({ what: `on a walk: ${words(what)}`, where: '' }),
  walk: ({ walk }) => walk,
});
