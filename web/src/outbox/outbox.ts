import { defineStore } from 'pinia';
import { computed, ref, toRaw } from 'vue';
import type { WalkEvent, WalkPlan } from '@fair-gable/core';
import { ask, NoNetwork, Refused, saying } from '../api/client.ts';
import { device, type KeptWalk, type Unsent } from './device.ts';

interface Queued {
  readonly key: number;
  readonly item: Unsent;
}

const sendEvery = 4000;
const mostAtOnce = 200;

const readQueue = async (person: string): Promise<readonly Queued[]> => {
  const db = await device();
  const [keys, items] = await Promise.all([db.getAllKeys('outbox'), db.getAll('outbox')]);
  return keys.flatMap((key, i) => {
    const item = items[i];
    return item && item.person === person ? [{ key, item }] : [];
  });
};

/** The plan alone, or the first run of events of one walk: what one request carries. */
const nextBatch = (queue: readonly Queued[]): readonly Queued[] => {
  const first = queue[0]?.item;
  if (first?.kind !== 'event') return queue.slice(0, 1);
  const end = queue.findIndex(({ item }) => item.kind !== 'event' || item.walk !== first.walk);
  return queue.slice(0, Math.min(end < 0 ? queue.length : end, mostAtOnce));
};

const send = async (batch: readonly Queued[]): Promise<void> => {
  const first = batch[0]?.item;
  if (first?.kind === 'plan') await ask('PUT', `/api/walks/${first.plan.id}`, first.plan);
  if (first?.kind === 'event') {
    const events = batch.flatMap(({ item }) => (item.kind === 'event' ? [item.event] : []));
    await ask('POST', `/api/walks/${first.walk}/events`, { events });
  }
};

/**
 * What this person did and the server has not confirmed. It is on the device before the screen
 * says so, and is sent in order; nobody else ever sends it.
 */
export const useOutbox = defineStore('outbox', () => {
  const unsent = ref(0);
  /** Why sending stopped, where trying again does not help. */
  const refusal = ref<string>();
  let person: string | undefined;
  let timer: ReturnType<typeof setInterval> | undefined;
  let sending: Promise<void> | undefined;

  const sendAll = async (): Promise<void> => {
    if (!person) return;
    let queue = await readQueue(person);
    unsent.value = queue.length;
    while (queue.length > 0) {
      const batch = nextBatch(queue);
      await send(batch);
      const db = await device();
      await Promise.all(batch.map(({ key }) => db.delete('outbox', key)));
      queue = await readQueue(person);
      unsent.value = queue.length;
      refusal.value = undefined;
    }
  };

  const note = (error: unknown): void => {
    if (error instanceof NoNetwork) return;
    refusal.value =
      error instanceof Refused && error.status === 401
        ? 'Sign in again to send what is on this device.'
        : saying(error);
  };

  /** Sends what there is; one run at a time. */
  const flush = (): Promise<void> => {
    sending ??= sendAll()
      .catch(note)
      .finally(() => {
        sending = undefined;
      });
    return sending;
  };

  const soon = (): void => void flush();

  /** From now on the queue of this person is sent. */
  const openFor = async (personId: string): Promise<void> => {
    person = personId;
    window.addEventListener('online', soon);
    timer ??= setInterval(soon, sendEvery);
    await flush();
  };

  const close = (): void => {
    person = undefined;
    unsent.value = 0;
    window.removeEventListener('online', soon);
    clearInterval(timer);
    timer = undefined;
  };

  const put = async (walk: KeptWalk, item: Unsent): Promise<void> => {
    const db = await device();
    const change = db.transaction(['walks', 'outbox'], 'readwrite', { durability: 'strict' });
    const plain = structuredClone(toRaw(walk));
    await Promise.all([
      change.objectStore('walks').put(plain, walk.plan.id),
      change.objectStore('outbox').add(structuredClone(toRaw(item))),
      change.done,
    ]);
    // Counted anew: what was just put may be sent already.
    unsent.value = (await readQueue(item.person)).length;
    soon();
  };

  /** Keeps a new walk on the device and queues its plan. */
  const addPlan = (walk: KeptWalk, plan: WalkPlan): Promise<void> =>
    put(walk, { kind: 'plan', person: person ?? '', plan });

  /** Keeps a walk with its newest event, and queues the event. */
  const addEvent = (walk: KeptWalk, event: WalkEvent): Promise<void> =>
    put(walk, { kind: 'event', person: person ?? '', walk: walk.plan.id, event });

  const isEmpty = computed(() => unsent.value === 0);
  return { unsent, isEmpty, refusal, flush, openFor, close, addPlan, addEvent };
});
