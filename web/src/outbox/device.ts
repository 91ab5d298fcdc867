import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Session, UnitRecord, WalkEvent, WalkPlan } from '@fair-gable/core';

/** Something this person did that the server has not confirmed. */
export type Unsent =
  | { readonly kind: 'plan'; readonly person: string; readonly plan: WalkPlan }
  | {
      readonly kind: 'event';
      readonly person: string;
      readonly walk: string;
      readonly event: WalkEvent;
    };

/** A walk as this device has it. */
export interface KeptWalk {
  readonly plan: WalkPlan;
  readonly events: readonly WalkEvent[];
  readonly unitName: string;
  /** Elapsed time goes on from here, also through a closed tab. */
  readonly anchor: { readonly elapsed: number; readonly at: number };
}

interface Device extends DBSchema {
  kept: { key: string; value: unknown };
  walks: { key: string; value: KeptWalk };
  outbox: { key: number; value: Unsent };
}

let opening: Promise<IDBPDatabase<Device>> | undefined;

/** The database on this device. It belongs to the person who is signed in. */
export const device = (): Promise<IDBPDatabase<Device>> =>
  (opening ??= openDB<Device>('fair-gable', 1, {
    upgrade: (db) => {
      db.createObjectStore('kept');
      db.createObjectStore('walks');
      db.createObjectStore('outbox', { autoIncrement: true });
    },
  }));

/** This device's own id, made once. */
export const deviceId = async (): Promise<string> => {
  const db = await device();
  const kept = (await db.get('kept', 'device')) as string | undefined;
  if (kept) return kept;
  const made = crypto.randomUUID();
  await db.put('kept', made, 'device');
  return made;
};

interface Kept {
  session: Session;
  units: readonly { readonly id: string; readonly record: UnitRecord }[];
}

/** Keeps the last answer of the server, for when it is out of reach. */
export const keep = async <K extends keyof Kept>(key: K, value: Kept[K]): Promise<void> => {
  await (await device()).put('kept', value, key);
};

export const kept = async <K extends keyof Kept>(key: K): Promise<Kept[K] | undefined> =>
  (await (await device()).get('kept', key)) as Kept[K] | undefined;

/**
 * Takes a person's data off this device. What is not sent yet stays, sealed: only they send it,
 * when they sign in here again.
 */
export const forgetPerson = async (): Promise<void> => {
  const db = await device();
  const unsent = await db.getAll('outbox');
  const needed = new Set(unsent.map((u) => (u.kind === 'plan' ? u.plan.id : u.walk)));
  const walks = await db.getAllKeys('walks');
  await Promise.all([
    db.delete('kept', 'session'),
    db.delete('kept', 'units'),
    ...walks.filter((id) => !needed.has(id)).map((id) => db.delete('walks', id)),
  ]);
};
