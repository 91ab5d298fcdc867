import type { UnitNow } from '@fair-gable/core/unit/record';
import { afterConflict, type WaitingEdit } from '@fair-gable/core/yard/outbox';
import { Refused, reasonOf } from '../api/client.ts';
import type { Owner } from './device.ts';
import { conflictsOf, haltFor, nextBatch, sendBatch } from './send.ts';
import { declineItems, dropItems, rewriteEdits, type Queued } from './waiting.ts';

/** Why sending stopped, where trying again does not help by itself. */
export interface Halt {
  readonly why: 'sign-in' | 'version' | 'server';
  readonly text: string;
}

/** What a sender works with: whose queue it is, how it stands now, and who wants to know. */
export interface Ground {
  readonly owner: () => Owner;
  /** Reads the queue from the device. */
  readonly read: () => Promise<readonly Queued[]>;
  readonly onConfirmed: (unit: UnitNow) => Promise<unknown>;
  /** Others were faster with a field of this unit. */
  readonly onConflict: (unit: string) => Promise<unknown>;
  readonly onDeclined: (batch: readonly Queued[], error: Refused) => void;
}

const words: Readonly<Record<Halt['why'], (error: Refused) => string>> = {
  'sign-in': () => 'Sign in again to send what’s on this device.',
  version: (error) => error.message,
  server: reasonOf,
};

/** Why an error stops the sending; undefined for a network that is away, which is nobody's fault. */
export const haltBy = (error: unknown): Halt | undefined => {
  const why = error instanceof Refused ? haltFor(error) : undefined;
  return why && { why, text: words[why](error as Refused) };
};

/** Marks an edit as sent: it may have arrived, so it is never changed again on this device. */
const markTried = (owner: Owner, id: string): Promise<void> =>
  rewriteEdits(owner, (edits) => ({
    edits: edits.map((edit) => (edit.id === id ? { ...edit, tried: true } : edit)),
  }));

const settleConflict = (owner: Owner, refused: WaitingEdit, error: Refused): Promise<void> =>
  rewriteEdits(owner, (edits) => {
    const newId = crypto.randomUUID();
    const after = afterConflict(edits, refused, conflictsOf(error), newId);
    return {
      edits: after.waiting,
      clashes: after.clashes.map((clash) => ({ ...clash, ...owner })),
      split: { from: refused.id, to: newId },
    };
  });

const onRefused = async (
  ground: Ground,
  batch: readonly Queued[],
  error: Refused,
): Promise<void> => {
  const first = batch[0]?.item;
  if (first?.kind === 'edit' && conflictsOf(error).length > 0) {
    await settleConflict(ground.owner(), first.edit, error);
    await ground.onConflict(first.edit.unit);
    return;
  }
  ground.onDeclined(batch, error);
  return declineItems(batch, error.message);
};

const sendOne = async (ground: Ground, batch: readonly Queued[]): Promise<void> => {
  const first = batch[0]?.item;
  if (first?.kind === 'edit') await markTried(ground.owner(), first.edit.id);
  try {
    const unit = await sendBatch(batch);
    // The answer is on the screen before what waited is taken off it.
    if (unit) await ground.onConfirmed(unit);
    await dropItems(batch);
  } catch (error) {
    if (!(error instanceof Refused) || haltFor(error)) throw error;
    await onRefused(ground, batch, error);
  }
};

/**
 * Sends all there is, in order. What the server will not have is set aside with its reason, and does
 * not hold up the rest.
 * @throws Refused, NoNetwork when the sending has to stop
 */
export const sendAll = async (ground: Ground): Promise<void> => {
  const owner = ground.owner();
  let queue = await ground.read();
  // Whoever signs in meanwhile has a queue of their own.
  while (queue.length > 0 && ground.owner() === owner) {
    const batch = nextBatch(queue);
    if (batch.length === 0) return;
    await sendOne(ground, batch);
    queue = await ground.read();
  }
};
