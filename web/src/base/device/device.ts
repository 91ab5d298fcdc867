import {
  openDB,
  type DBSchema,
  type IDBPDatabase,
  type IDBPTransaction,
  type StoreNames,
} from 'idb';
import type { WalkEvent, WalkPlan } from '@fair-gable/core/show/walk';
import type { KeptSheet } from '@fair-gable/core/unit/model-sheet';
import type { Change, UnitRecord, Vehicle } from '@fair-gable/core/unit/record';
import { withFittingStates, withNames } from '@fair-gable/core/unit/versions';
import { fieldOf, type Clash, type WaitingEdit } from '@fair-gable/core/yard/outbox';
import type { Session } from '@fair-gable/core/yard/people';
import type { UnitSummary } from '@fair-gable/core/yard/summary';

/** Whose something is: what is on a device belongs to one person at one yard. */
export interface Owner {
  readonly person: string;
  /** Left out by the first version, which knew one yard. */
  readonly yard?: string;
}

/** Something this person did that the server has not confirmed. */
export type Unsent = Owner &
  (
    | { readonly kind: 'plan'; readonly plan: WalkPlan }
    | { readonly kind: 'event'; readonly walk: string; readonly event: WalkEvent }
    | { readonly kind: 'unit'; readonly unit: NewUnit }
    | { readonly kind: 'edit'; readonly edit: WaitingEdit }
    | { readonly kind: 'photo'; readonly unit: string; readonly photo: string }
    | { readonly kind: 'memo'; readonly walk: string; readonly memo: string }
  );

/** A unit that was taken in on this device. */
export interface NewUnit {
  readonly id: string;
  readonly changes: readonly Change[];
  readonly what: string;
  readonly by: string;
  readonly at: string;
}

/** What the server would not take, with its sentence; kept until somebody decides. */
export interface Declined {
  readonly item: Unsent;
  readonly reason: string;
  readonly at: string;
}

/** A clash of this person's. */
export type OwnClash = Clash & Owner;

/** A unit as the server had it. */
export interface KeptUnit {
  readonly id: string;
  readonly record: UnitRecord;
  /** Left out by a version that did not count them. */
  readonly revision?: number;
}

/** A photo that was taken here and is not sent yet. */
export interface KeptPicture {
  readonly id: string;
  readonly unit: string;
  readonly blob: Blob;
}

/** A voice memo that was spoken here and is not sent yet. */
export interface KeptMemo {
  readonly id: string;
  readonly walk: string;
  readonly blob: Blob;
}

/** A walk as this device has it. */
export interface KeptWalk {
  readonly plan: WalkPlan;
  readonly events: readonly WalkEvent[];
  readonly unitName: string;
  /** Given to nobody: it stays on this device and leaves no log. */
  readonly isRehearsal?: boolean;
  /** Elapsed time goes on from here, also through a closed tab. */
  readonly anchor: { readonly elapsed: number; readonly at: number };
}

export interface Device extends DBSchema {
  kept: { key: string; value: unknown };
  /** The yard's units, one by one: a change of one is not the writing of all. */
  units: { key: string; value: KeptUnit; indexes: { revision: number } };
  /** The yard in brief. */
  summaries: { key: string; value: UnitSummary };
  walks: { key: string; value: KeptWalk };
  outbox: { key: number; value: Unsent };
  clashes: { key: string; value: OwnClash };
  declined: { key: number; value: Declined };
  pictures: { key: string; value: KeptPicture };
  memos: { key: string; value: KeptMemo };
}

type Upgrade = IDBPTransaction<Device, StoreNames<Device>[], 'versionchange'>;

/** What an older page left here, in the names of version 7 and the states of version 8. */
const asOfToday = (value: unknown, from: number): unknown =>
  withFittingStates(from < 7 ? withNames(value) : value);

/** What waits here is sent as it is called now; what came from the server comes anew. */
const bringUpToDate = async (change: Upgrade, from: number): Promise<void> => {
  for (const name of ['kept', 'walks', 'outbox', 'clashes', 'declined'] as const) {
    let cursor = await change.objectStore(name).openCursor();
    while (cursor) {
      const value = asOfToday(cursor.value, from) as never;
      if (name === 'clashes') {
        await cursor.delete();
        await change.objectStore(name).put(value, clashKey(value));
      } else await cursor.update(value);
      cursor = await cursor.continue();
    }
  }
  await change.objectStore('units').clear();
  await change.objectStore('summaries').clear();
};

const version = 8;
let opening: Promise<IDBPDatabase<Device>> | undefined;

/** Opens a device's database. What an older version of the page left unsent is still there. */
export const openDevice = (
  name: string,
  onClosed = (): void => {},
): Promise<IDBPDatabase<Device>> =>
  openDB<Device>(name, version, {
    upgrade: async (db, from, _to, change) => {
      if (from < 1) {
        db.createObjectStore('kept');
        db.createObjectStore('walks');
        db.createObjectStore('outbox', { autoIncrement: true });
      }
      if (from < 2) {
        db.createObjectStore('clashes');
        db.createObjectStore('declined', { autoIncrement: true });
      }
      if (from < 3) db.createObjectStore('units', { keyPath: 'id' });
      if (from < 4) db.createObjectStore('pictures', { keyPath: 'id' });
      if (from < 5) db.createObjectStore('memos', { keyPath: 'id' });
      if (from < 6) {
        db.createObjectStore('summaries', { keyPath: 'id' });
        change.objectStore('units').createIndex('revision', 'revision');
      }
      if (from > 0 && from < 8) await bringUpToDate(change, from);
    },
    // A page of a newer version wants to upgrade: let it, and open it anew afterwards.
    blocking: (_from, _to, event) => {
      (event.target as IDBDatabase).close();
      onClosed();
    },
  });

/** The database on this device. It belongs to the person who is signed in. */
export const device = (): Promise<IDBPDatabase<Device>> =>
  (opening ??= openDevice('fair-gable', () => {
    opening = undefined;
  }));

/** Whether something on this device is an owner's. */
export const isOf = (owner: Owner, { person, yard }: Owner): boolean =>
  person === owner.person && (yard ?? owner.yard) === owner.yard;

/** Under which a clash is kept: one for each field of each unit of each person. */
export const clashKey = ({ person, unit, change }: OwnClash): string =>
  `${person} ${unit} ${fieldOf(change)}`;

const readDeviceId = async (): Promise<string> => {
  const db = await device();
  const kept = (await db.get('kept', 'device')) as string | undefined;
  if (kept) return kept;
  const made = crypto.randomUUID();
  await db.put('kept', made, 'device');
  return made;
};

let ownId: string | undefined;

/** This device's own id, made once; read once by a page. */
export const deviceId = async (): Promise<string> => (ownId ??= await readDeviceId());

interface Kept {
  session: Session;
  sheets: readonly KeptSheet[];
  vehicles: readonly Vehicle[];
}

/** Keeps the last answer of the server, for when it is out of reach. */
export const keep = async <K extends keyof Kept>(key: K, value: Kept[K]): Promise<void> => {
  await (await device()).put('kept', value, key);
};

export const kept = async <K extends keyof Kept>(key: K): Promise<Kept[K] | undefined> =>
  (await (await device()).get('kept', key)) as Kept[K] | undefined;

/** A picture that waits here to be sent. */
export const keptPicture = async (id: string): Promise<Blob | undefined> =>
  (await (await device()).get('pictures', id))?.blob;

/** Lets a picture go: the server has it. */
export const dropPicture = async (id: string): Promise<void> => {
  await (await device()).delete('pictures', id);
};

/** The walks of a unit that this device has, rehearsals aside. */
export const keptWalks = async (unit: string): Promise<readonly KeptWalk[]> =>
  (await (await device()).getAll('walks')).filter(
    (walk) => walk.plan.unit === unit && walk.isRehearsal !== true,
  );

/** A voice memo that waits here to be sent. */
export const keptMemo = async (id: string): Promise<Blob | undefined> =>
  (await (await device()).get('memos', id))?.blob;

/** Lets a voice memo go: the server has it. */
export const dropMemo = async (id: string): Promise<void> => {
  await (await device()).delete('memos', id);
};
