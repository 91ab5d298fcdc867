import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  emptyRecord,
  entryOf,
  fieldLabel,
  inverseOf,
  writtenOut,
  type Change,
  type Photo,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { fieldOf, keepMine, type WaitingEdit } from '@fair-gable/core/yard/outbox';
import { Plain } from '../../base/api/client.ts';
import { useNews } from '../../base/controls/news.ts';
import { useOutbox, type OwnClash } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../units/units.ts';

interface Undoable {
  readonly unit: string;
  readonly what: string;
  readonly changes: readonly Change[];
}

/** The device had no room to write something down; said where the change was made. */
export class NotKept extends Plain {
  constructor() {
    super('This device couldn’t save that. Free some space, then try again; nothing was changed.');
  }
}

/** The unit is not in the yard any more. */
class NotHere extends Plain {
  constructor() {
    super('This unit isn’t on the yard anymore; nothing was changed.');
  }
}

/** How an edit gets onto the device. */
interface Keeping {
  readonly settled?: OwnClash;
  readonly onKept?: () => void;
  /** In place of the outbox's own way, where something is kept beside it. */
  readonly keep?: (edit: WaitingEdit) => Promise<void>;
}

const mostUndo = 50;

const orNotKept = (work: Promise<void>): Promise<void> =>
  work.catch(() => {
    throw new NotKept();
  });

/** What can be taken back, latest last. */
const useUndos = () => {
  const all = shallowRef<readonly Undoable[]>([]);
  const add = (entry: Undoable): void => {
    all.value = [...all.value, entry].slice(-mostUndo);
  };
  const replace = (entry: Undoable, by?: Undoable): void => {
    all.value = all.value.flatMap((u) => (u === entry ? (by ?? []) : [u]));
  };
  return { last: computed(() => all.value.at(-1)), add, replace };
};

/** What takes changes back, on the versions that the fields have now; not where others were faster. */
const inverseNow = (
  clashes: readonly OwnClash[],
  now: UnitRecord,
  before: UnitRecord,
  changes: readonly Change[],
): Change[] => {
  const lost = new Set(clashes.map((clash) => fieldOf(clash.change)));
  return changes
    .filter((c) => !lost.has(fieldOf(c)))
    .map((c) => inverseOf(before, c, entryOf(now, c.part, c.key)?.version ?? 0));
};

type Put = (
  unit: string,
  changes: readonly Change[],
  what: string,
  keeping?: Keeping,
) => Promise<void>;

/** Puts changes on the device and sees how the server takes them; counts those under way. */
const usePut = () => {
  const outbox = useOutbox();
  const session = useSession();
  const saving = ref(0);
  const put: Put = async (unit, changes, what, { settled, onKept, keep } = {}) => {
    const by = session.session?.person.name ?? '';
    const at = new Date().toISOString();
    const id = crypto.randomUUID();
    saving.value += 1;
    try {
      const edit = { id, unit, changes, what, by, at, tried: false };
      await orNotKept(keep ? keep(edit) : outbox.addEdit(edit, settled));
      onKept?.();
      await outbox.fared(id);
    } finally {
      saving.value -= 1;
    }
  };
  return { saving, put };
};

/** What is done to records beside changing their fields. */
const useOthers = (put: Put) => {
  const outbox = useOutbox();
  const session = useSession();
  const units = useUnits();

  /** A new unit with what its labels say. @throws Refused, NotKept */
  const create = async (id: string, changes: readonly Change[], what: string): Promise<void> => {
    const by = session.session?.person.name ?? '';
    const at = new Date().toISOString();
    await orNotKept(outbox.addUnit({ id, changes, what, by, at }));
    await outbox.fared(id);
  };

  /** Settles a clash: for one's own value, or for what is there. */
  const settle = async (clash: OwnClash, mine: boolean): Promise<void> => {
    if (!mine) return outbox.settle(clash);
    await units.open(clash.unit);
    const { part, key } = clash.change;
    const theirs = entryOf(units.confirmed.get(clash.unit)?.record ?? emptyRecord, part, key);
    return put(clash.unit, [keepMine(clash, theirs)], inText(fieldLabel(part, key)), {
      settled: clash,
    });
  };

  return { create, settle };
};

/** The changes this person makes to records: on the device first, then on the server. */
export const useEdits = defineStore('edits', () => {
  const outbox = useOutbox();
  const units = useUnits();
  const undos = useUndos();
  const news = useNews();

  const { saving, put } = usePut();

  const inverse = (id: string, before: UnitRecord, changes: readonly Change[]): Change[] =>
    inverseNow(
      outbox.waiting.clashes.filter((clash) => clash.unit === id),
      units.units.get(id)?.record ?? emptyRecord,
      before,
      changes,
    );

  /**
   * Changes fields of a unit, and remembers how to take it back. Out of reach of the server the
   * change waits on this device.
   * @param what in words, for the undo button
   * @throws Refused; then nothing was changed. NotKept when this device has no room.
   */
  const change = async (
    id: string,
    changes: readonly Change[],
    what: string,
    keep?: Keeping['keep'],
  ): Promise<void> => {
    await units.open(id);
    const before = units.units.get(id)?.record;
    if (!before) throw new NotHere();
    const whole = changes.map((c) => writtenOut(before, c));
    let entry: Undoable | undefined;
    const onKept = (): void => {
      entry = { unit: id, what, changes: inverse(id, before, whole) };
      undos.add(entry);
    };
    try {
      await put(id, whole, what, { onKept, ...(keep ? { keep } : {}) });
    } catch (error) {
      if (entry) undos.replace(entry);
      throw error;
    }
    news.show(`saved: ${what}`);
    const left = inverse(id, before, whole);
    if (entry) undos.replace(entry, left.length > 0 ? { ...entry, changes: left } : undefined);
  };

  /**
   * Takes the last change back, by another change: what others did to the field meanwhile is not
   * lost, but stands in the margin beside it.
   */
  const undo = async (): Promise<void> => {
    const last = undos.last.value;
    if (!last) return;
    undos.replace(last);
    try {
      await put(last.unit, last.changes, `undo of ${last.what}`);
      news.show(`undone: ${last.what}`);
    } catch (error) {
      if (error instanceof NotKept) undos.add(last);
      throw error;
    }
  };

  /**
   * Keeps a photo on the device and queues it, with what it shows.
   * @throws Refused, NotKept
   */
  const addPhoto = (
    unit: string,
    { id, blob }: { readonly id: string; readonly blob: Blob },
    photo: Photo,
  ): Promise<void> =>
    change(
      unit,
      [{ part: 'photos', key: id, value: photo, how: 'seen', basedOn: 0 }],
      'a photo',
      (edit) => outbox.addPicture({ id, unit, blob }, edit),
    );

  const { create, settle } = useOthers(put);
  return { saving, lastUndo: undos.last, change, addPhoto, undo, create, settle };
});
