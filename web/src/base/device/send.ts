import type { UnitNow } from '@fair-gable/core/unit/record';
import type { Conflict } from '@fair-gable/core/yard/outbox';
import type { Refused } from '../api/client.ts';
import type { Unsent } from './device.ts';
import type { Queued } from './waiting.ts';
import { kindOf } from './unsent/index.ts';

const mostAtOnce = 200;

const goesAlong = (first: Unsent, next: Unsent): boolean =>
  next.kind === first.kind && kindOf(first)?.takesAlong?.(first, next) === true;

/**
 * What one request carries: one item, or the run of those that it takes along. What is large goes last; what a newer page left
 * waits for it.
 */
export const nextBatch = (all: readonly Queued[]): readonly Queued[] => {
  const known = all.filter(({ item }) => kindOf(item));
  const small = known.filter(({ item }) => !kindOf(item)?.isLarge);
  const queue = small.length > 0 ? small : known;
  const [first] = queue;
  if (!first) return [];
  const end = queue.findIndex(({ item }, i) => i > 0 && !goesAlong(first.item, item));
  return queue.slice(0, Math.min(end < 0 ? queue.length : end, mostAtOnce));
};

/**
 * Sends one batch.
 * @returns the unit as the server has it now, where a unit was sent
 * @throws Refused, NoNetwork
 */
export const sendBatch = async (batch: readonly Queued[]): Promise<UnitNow | undefined> => {
  const [first, ...others] = batch.map(({ item }) => item);
  if (!first) return undefined;
  return kindOf(first)?.send([first, ...others]);
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
