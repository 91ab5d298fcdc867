import { openDB } from 'idb';
import { device } from './device.ts';
import { kindOf } from './unsent/index.ts';

/** Where the service worker keeps photos that were looked at. */
const photosSeen = 'photos';

/** What the service worker notes of when it last used a photo: it names them. */
const notes = { database: 'workbox-expiration', store: 'cache-entries' };

const forgetPhotos = async (): Promise<void> => {
  if (!('caches' in globalThis)) return;
  await caches.delete(photosSeen);
  const all = (await indexedDB.databases?.()) ?? [];
  if (!all.some(({ name }) => name === notes.database)) return;
  const db = await openDB(notes.database);
  if (db.objectStoreNames.contains(notes.store)) await db.clear(notes.store);
  db.close();
};

/**
 * Takes a person's data off this device. What is not sent yet stays, sealed: only they send it,
 * when they sign in here again; so does what they typed and did not keep. How they looked at the yard goes.
 */
export const forgetPerson = async (): Promise<void> => {
  const db = await device();
  globalThis.sessionStorage?.clear();
  const unsent = await db.getAll('outbox');
  const needed = new Set(unsent.flatMap((item) => kindOf(item)?.walk?.(item) ?? []));
  const walks = await db.getAllKeys('walks');
  await Promise.all([
    forgetPhotos(),
    db.delete('kept', 'session'),
    db.delete('kept', 'sheets'),
    db.delete('kept', 'vehicles'),
    // Where a version that kept them all together left them.
    db.delete('kept', 'units'),
    db.clear('units'),
    db.clear('summaries'),
    ...walks.filter((id) => !needed.has(id)).map((id) => db.delete('walks', id)),
  ]);
};
