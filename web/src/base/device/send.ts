import type { UnitRecord } from '@fair-gable/core/unit/record';
import type { Conflict } from '@fair-gable/core/yard/outbox';
import { ask, type Refused } from '../api/client.ts';
import { sendMemo } from './send-memo.ts';
import { sendPhoto } from './send-photo.ts';
import type { Queued } from './shelf.ts';

/** A unit as the server has it after an edit. */
export interface SentUnit {
  readonly id: string;
  readonly record: UnitRecord;
}

const mostAtOnce = 200;

/**
 * One item, or the first run of events of one walk: what one request carries. Photos and voice memos go last: what
 * was typed does not wait for them.
 */
export const nextBatch = (all: readonly Queued[]): readonly Queued[] => {
  const words = all.filter(({ item }) => item.kind !== 'photo' && item.kind !== 'memo');
  const queue = words.length > 0 ? words : all;
  const first = queue[0]?.item;
  if (first?.kind !== 'event') return queue.slice(0, 1);
  const end = queue.findIndex(({ item }) => item.kind !== 'event' || item.walk !== first.walk);
  return queue.slice(0, Math.min(end < 0 ? queue.length : end, mostAtOnce));
};

/**
 * Sends one batch.
 * @returns the unit as the server has it now, where a unit was sent
 * @throws Refused, NoNetwork
 */
export const sendBatch = async (batch: readonly Queued[]): Promise<SentUnit | undefined> => {
  const first = batch[0]?.item;
  switch (first?.kind) {
    case 'plan':
      return ask('PUT /api/walks/:id', { params: { id: first.plan.id }, body: first.plan });
    case 'event': {
      const events = batch.flatMap(({ item }) => (item.kind === 'event' ? [item.event] : []));
      return ask('POST /api/walks/:id/events', { params: { id: first.walk }, body: { events } });
    }
    case 'unit': {
      const { id, changes } = first.unit;
      return ask('POST /api/units', { body: { id, changes } });
    }
    case 'edit': {
      const { id, unit, changes } = first.edit;
      return ask('POST /api/units/:id/edits', { params: { id: unit }, body: { id, changes } });
    }
    case 'photo':
      return sendPhoto(first.unit, first.photo);
    case 'memo':
      return sendMemo(first.walk, first.memo);
    default:
      return undefined;
  }
};

/** Why sending stops until something else has happened; undefined when the item itself is refused. */
export const haltFor = ({
  status,
  code,
}: Refused): 'sign-in' | 'version' | 'server' | undefined => {
  if (status === 401) return 'sign-in';
  if (code === 'other-version') return 'version';
  return status >= 500 || status === 429 ? 'server' : undefined;
};

/** The fields in which others were faster, where that is why an edit was refused. */
export const conflictsOf = (error: Refused): readonly Conflict[] =>
  error.code === 'stale' ? ((error.more['conflicts'] ?? []) as readonly Conflict[]) : [];
