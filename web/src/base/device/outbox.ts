import type { UnitNow } from '@fair-gable/core/unit/record';
import { createEventHook } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { WalkEvent, WalkPlan } from '@fair-gable/core/show/walk';
import { queued, type WaitingEdit } from '@fair-gable/core/yard/outbox';
import type { Refused } from '../api/client.ts';
import type { KeptPicture, KeptWalk, NewUnit, OwnClash, Owner, Unsent } from './device.ts';
import { haltBy, sendAll, type Ground, type Halt } from './sender.ts';
import {
  addItem,
  addPhoto,
  addSpoken,
  dropClash,
  readWaiting,
  rewriteEdits,
  takeUpDeclined,
  type KeptDeclined,
  type Queued,
  type Waiting,
} from './waiting.ts';

const sendEvery = 4000;
const longestWait = 3000;
const nobody: Owner = { person: '' };
const empty: Waiting = { queue: [], clashes: [], declined: [] };

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** The id under which an edit or a new unit is asked after. */
const idOf = ({ item }: Pick<Queued, 'item'>): string | undefined => {
  if (item.kind === 'edit') return item.edit.id;
  return item.kind === 'unit' ? item.unit.id : undefined;
};

/** When a queue is sent: at once, when the network is back, and every few seconds. */
const useSending = (ground: Ground) => {
  const halt = ref<Halt>();
  let timer: ReturnType<typeof setInterval> | undefined;
  let sending: Promise<void> | undefined;

  /** Sends what there is; one run at a time. */
  const flush = (): Promise<void> => {
    sending ??= sendAll(ground)
      .then(
        () => void (halt.value = undefined),
        (error: unknown) => void (halt.value = haltBy(error)),
      )
      .finally(() => {
        sending = undefined;
      });
    return sending;
  };
  const soon = (): void => void flush();

  const start = async (): Promise<void> => {
    await sending;
    window.addEventListener('online', soon);
    timer ??= setInterval(soon, sendEvery);
    return flush();
  };

  const stop = (): void => {
    halt.value = undefined;
    window.removeEventListener('online', soon);
    clearInterval(timer);
    timer = undefined;
  };
  return { halt, flush, soon, start, stop };
};

/** Ways into the queue: on the device before anything else happens. */
const useAdding = (own: () => Owner, read: () => Promise<unknown>, soon: () => void) => {
  const put = async (item: Unsent, walk?: KeptWalk): Promise<void> => {
    await addItem(item, walk);
    await read();
    soon();
  };

  /** Keeps a new walk on the device and queues its plan. */
  const addPlan = (walk: KeptWalk, plan: WalkPlan): Promise<void> =>
    put({ kind: 'plan', ...own(), plan }, walk);

  /** It is on the device: what is read of the queue and sent from here on is nobody’s to wait for. */
  const sendAfter = (): void => void read().then(soon, soon);

  /** Keeps a walk with its newest event, and queues the event. */
  const addEvent = async (walk: KeptWalk, event: WalkEvent): Promise<void> => {
    await addItem({ kind: 'event', ...own(), walk: walk.plan.id, event }, walk);
    sendAfter();
  };

  /** Keeps a walk with an event and what was spoken to it, and queues both. */
  const addMemo = async (walk: KeptWalk, event: WalkEvent, blob: Blob): Promise<void> => {
    if (event.what.kind !== 'mark' || event.what.memo === undefined) return;
    const memo = { id: event.what.memo, walk: walk.plan.id, blob };
    await addSpoken(own(), { kind: 'event', ...own(), walk: walk.plan.id, event }, walk, memo);
    sendAfter();
  };

  /** Queues a unit that was taken in here. */
  const addUnit = (unit: NewUnit): Promise<void> => put({ kind: 'unit', ...own(), unit });

  /**
   * Queues an edit; what waits for the same fields is replaced.
   * @param settled the clash that it decides
   */
  const addEdit = async (edit: WaitingEdit, settled?: OwnClash): Promise<void> => {
    await rewriteEdits(own(), (edits) => ({ edits: queued(edits, edit), settled }));
    await read();
    soon();
  };

  /** Keeps a photo that was taken here, and queues it with what it shows. */
  const addPicture = async (picture: KeptPicture, edit: WaitingEdit): Promise<void> => {
    await addPhoto(own(), picture, (edits) => queued(edits, edit));
    await read();
    soon();
  };
  return { addPlan, addEvent, addMemo, addUnit, addEdit, addPicture };
};

/**
 * What this person did and the server has not confirmed. It is on the device before the screen
 * says so, and is sent in order; nobody else ever sends it.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = shallowRef<Waiting>(empty);
  const confirmed = createEventHook<UnitNow>();
  const conflicted = createEventHook<string>();
  const refusals = new Map<string, Refused>();
  let owner: Owner | undefined;

  /** What is done here before anybody is known is nobody's, and is never sent. */
  const own = (): Owner => owner ?? nobody;

  const read = async (): Promise<readonly Queued[]> => {
    const now = owner ? await readWaiting(owner) : empty;
    // Read every few seconds, and most often the same: what is worked out from it is not worked out again.
    if (JSON.stringify(now) !== JSON.stringify(waiting.value)) waiting.value = now;
    return now.queue;
  };

  const sending = useSending({
    owner: own,
    read,
    onConfirmed: confirmed.trigger,
    onConflict: conflicted.trigger,
    onDeclined: (batch, error) => {
      for (const id of batch.flatMap((q) => idOf(q) ?? [])) refusals.set(id, error);
    },
  });

  /** From now on the queue of this person at this yard is sent. */
  const openFor = (person: string, yard: string): Promise<void> => {
    owner = { person, yard };
    return sending.start();
  };

  const close = (): void => {
    owner = undefined;
    waiting.value = empty;
    sending.stop();
  };

  /**
   * Tries to send, and takes note of how one's edit or unit fared. Where the server takes its time
   * nobody waits for it.
   * @throws Refused when the server would not have it; then it is no longer kept here either
   */
  const fared = async (id: string): Promise<void> => {
    await Promise.race([sending.flush(), wait(longestWait)]);
    const refused = refusals.get(id);
    if (!refused) return;
    refusals.delete(id);
    await takeUp(
      waiting.value.declined.filter((declined) => idOf(declined) === id),
      false,
    );
    throw refused;
  };

  /** Puts what was declined into the queue again, or leaves it out for good. */
  const takeUp = async (declined: readonly KeptDeclined[], again: boolean): Promise<void> => {
    await takeUpDeclined(declined, again);
    await read();
    if (again) sending.soon();
  };

  const settle = async (clash: OwnClash): Promise<void> => {
    await dropClash(clash);
    await read();
  };

  const items = computed(() => waiting.value.queue.map(({ item }) => item));
  const unsent = computed(() => items.value.length);
  const edits = computed(() => items.value.flatMap((i) => (i.kind === 'edit' ? [i.edit] : [])));
  const newUnits = computed(() => items.value.flatMap((i) => (i.kind === 'unit' ? [i.unit] : [])));
  const { halt, flush } = sending;
  const heard = { onConfirmed: confirmed.on, onConflict: conflicted.on };
  const adding = useAdding(own, read, sending.soon);
  const deciding = { fared, takeUp, settle };
  return {
    waiting,
    unsent,
    edits,
    newUnits,
    halt,
    flush,
    openFor,
    close,
    ...heard,
    ...adding,
    ...deciding,
  };
});
