import type { IDBPObjectStore } from 'idb';
import type { WaitingEdit } from '@fair-gable/core/yard/outbox';
import {
  clashKey,
  device,
  isOf,
  type Declined,
  type Device,
  type KeptMemo,
  type KeptPicture,
  type KeptWalk,
  type OwnClash,
  type Owner,
  type Unsent,
} from './device.ts';
import { kindOf } from './unsent/index.ts';

/** An item of the queue, and where it stands in it. */
export interface Queued {
  readonly key: number;
  readonly item: Unsent;
}

export type KeptDeclined = Declined & { readonly key: number };

/** All that waits on this device for one owner. */
export interface Waiting {
  readonly queue: readonly Queued[];
  readonly clashes: readonly OwnClash[];
  readonly declined: readonly KeptDeclined[];
}

/** Free of Vue's proxies, all the way down: all of it is data that JSON can say. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const safely = { durability: 'strict' } as const;

/** What waits for an owner, oldest first. */
export const readWaiting = async (owner: Owner): Promise<Waiting> => {
  const change = (await device()).transaction(['outbox', 'declined', 'clashes']);
  const [outbox, declined] = [change.objectStore('outbox'), change.objectStore('declined')];
  const [keys, items, declinedKeys, left, clashes] = await Promise.all([
    outbox.getAllKeys(),
    outbox.getAll(),
    declined.getAllKeys(),
    declined.getAll(),
    change.objectStore('clashes').getAll(),
  ]);
  return {
    queue: items.flatMap((item, i) =>
      isOf(owner, item) ? [{ key: keys[i] as number, item }] : [],
    ),
    declined: left.flatMap((one, i) =>
      isOf(owner, one.item) ? [{ ...one, key: declinedKeys[i] as number }] : [],
    ),
    clashes: clashes.filter((clash) => isOf(owner, clash)),
  };
};

/** Puts an item into the queue, and the walk it belongs to beside it. */
export const addItem = async (item: Unsent, walk?: KeptWalk): Promise<void> => {
  const db = await device();
  const change = db.transaction(['walks', 'outbox'], 'readwrite', safely);
  if (walk) void change.objectStore('walks').put(plain(walk), walk.plan.id);
  void change.objectStore('outbox').add(plain(item));
  await change.done;
};

/** Puts a walk's event into the queue, and what was spoken beside it: all of it or nothing. */
export const addSpoken = async (
  owner: Owner,
  item: Unsent,
  walk: KeptWalk,
  memo: KeptMemo,
): Promise<void> => {
  const db = await device();
  const change = db.transaction(['walks', 'outbox', 'memos'], 'readwrite', safely);
  void change.objectStore('walks').put(plain(walk), walk.plan.id);
  void change.objectStore('memos').put(memo);
  void change.objectStore('outbox').add(plain(item));
  void change.objectStore('outbox').add({ kind: 'memo', ...owner, walk: memo.walk, memo: memo.id });
  await change.done;
};

/**
 * Puts a photo with what it shows into the queue, and its picture beside it: all of it or nothing.
 */
export const addPhoto = async (
  owner: Owner,
  picture: KeptPicture,
  rewrite: (edits: readonly WaitingEdit[]) => readonly WaitingEdit[],
): Promise<void> => {
  const change = (await device()).transaction(['outbox', 'pictures'], 'readwrite', safely);
  void change.objectStore('pictures').put(picture);
  await writeEdits(change.objectStore('outbox') as never, owner, (edits) => ({
    edits: rewrite(edits),
  }));
  const { unit, id: photo } = picture;
  void change.objectStore('outbox').add({ kind: 'photo', ...owner, unit, photo });
  await change.done;
};

export const dropItems = async (batch: readonly Queued[]): Promise<void> => {
  const change = (await device()).transaction('outbox', 'readwrite');
  for (const { key } of batch) void change.store.delete(key);
  await change.done;
};

/** How the waiting edits of an owner are to be from now on. */
export interface Rewritten {
  readonly edits: readonly WaitingEdit[];
  readonly clashes?: readonly OwnClash[];
  /** A clash that is decided by it. */
  readonly settled?: OwnClash | undefined;
  /** An edit that goes on under another id, in its place. */
  readonly split?: { readonly from: string; readonly to: string };
}

type OutboxStore = IDBPObjectStore<
  Device,
  ('outbox' | 'clashes' | 'pictures')[],
  'outbox',
  'readwrite'
>;

const writeEdits = async (
  outbox: OutboxStore,
  owner: Owner,
  rewrite: (edits: readonly WaitingEdit[]) => Rewritten,
): Promise<Rewritten> => {
  const [keys, items] = await Promise.all([outbox.getAllKeys(), outbox.getAll()]);
  const own = items.flatMap((item, i) =>
    item.kind === 'edit' && isOf(owner, item) ? [{ key: keys[i], edit: item.edit }] : [],
  );
  const rewritten = rewrite(own.map(({ edit }) => edit));
  const { edits, split } = rewritten;
  const left = new Map(edits.map((edit) => [edit.id, edit]));
  const asItem = (edit: WaitingEdit): Unsent => plain({ kind: 'edit', ...owner, edit });
  for (const { key, edit } of own) {
    const id = edit.id === split?.from ? split.to : edit.id;
    const next = left.get(id);
    void (next ? outbox.put(asItem(next), key) : outbox.delete(key as number));
    left.delete(id);
  }
  for (const edit of left.values()) void outbox.add(asItem(edit));
  return rewritten;
};

/**
 * Reads and rewrites an owner's waiting edits at once, so that two tabs never do it together.
 * Edits keep their place in the queue; new ones come last.
 */
export const rewriteEdits = async (
  owner: Owner,
  rewrite: (edits: readonly WaitingEdit[]) => Rewritten,
): Promise<void> => {
  const change = (await device()).transaction(['outbox', 'clashes'], 'readwrite', safely);
  const outbox = change.objectStore('outbox');
  const { settled, clashes = [] } = await writeEdits(outbox as never, owner, rewrite);
  const kept = change.objectStore('clashes');
  if (settled) void kept.delete(clashKey(settled));
  for (const clash of clashes) void kept.put(plain(clash), clashKey(clash));
  await change.done;
};

/** Takes what the server will not have out of the queue, and keeps it with the reason. */
export const declineItems = async (batch: readonly Queued[], reason: string): Promise<void> => {
  const change = (await device()).transaction(['outbox', 'declined'], 'readwrite', safely);
  const at = new Date().toISOString();
  for (const { key, item } of batch) {
    void change.objectStore('outbox').delete(key);
    void change.objectStore('declined').add({ item: plain(item), reason, at });
  }
  await change.done;
};

/** Puts something that was declined into the queue again, or leaves it out for good. */
export const takeUpDeclined = async (
  declined: readonly KeptDeclined[],
  again: boolean,
): Promise<void> => {
  const change = (await device()).transaction(
    ['outbox', 'declined', 'pictures', 'memos'],
    'readwrite',
    safely,
  );
  for (const { key, item } of declined) {
    void change.objectStore('declined').delete(key);
    if (again) void change.objectStore('outbox').add(plain(item));
    const beside = again ? undefined : kindOf(item)?.beside?.(item);
    if (beside) void change.objectStore(beside.store).delete(beside.key);
  }
  await change.done;
};

export const dropClash = async (clash: OwnClash): Promise<void> => {
  await (await device()).delete('clashes', clashKey(clash));
};
