import {
  applyChange,
  statedBy,
  type Change,
  type Edit,
  type Entry,
  type FieldValue,
  type Part,
  type UnitRecord,
} from '../../unit/record/index.ts';

/** An edit that waits on a device until the server has it. */
export interface WaitingEdit extends Edit {
  readonly unit: string;
  /** In words, for a list of what is not sent. */
  readonly what: string;
  readonly by: string;
  readonly at: string;
  /** A request with it went out; whether it arrived is not known until one is answered. */
  readonly tried: boolean;
}

/** A field that somebody else changed meanwhile, as the server reports it. */
export interface Conflict {
  readonly part: Part;
  readonly key: string;
  readonly theirs: Entry<FieldValue> | null;
}

/** One's own value for a field that somebody else changed first; it waits for a decision. */
export interface Clash {
  readonly unit: string;
  readonly change: Change;
  readonly at: string;
}

/** A field of a record: `specs.gvwr`. */
export const fieldOf = ({ part, key }: { readonly part: Part; readonly key: string }): string =>
  `${part}.${key}`;

const without = (edit: WaitingEdit, fields: ReadonlySet<string>): readonly WaitingEdit[] => {
  const changes = edit.changes.filter((change) => !fields.has(fieldOf(change)));
  if (changes.length === edit.changes.length) return [edit];
  return changes.length === 0 ? [] : [{ ...edit, changes }];
};

/**
 * The queue with one edit more. What waits for the same fields and was never sent is replaced, and
 * the new value rests on the version which that one rested on: the server sees one change.
 * @param waiting edits of one device, oldest first; left as they were
 */
export const queued = (
  waiting: readonly WaitingEdit[],
  next: WaitingEdit,
): readonly WaitingEdit[] => {
  const replaced = new Map<string, number>();
  const own = new Set(next.changes.map(fieldOf));
  const others = waiting.flatMap((edit) => {
    if (edit.tried || edit.unit !== next.unit) return [edit];
    for (const change of edit.changes) {
      const field = fieldOf(change);
      if (own.has(field) && !replaced.has(field)) replaced.set(field, change.basedOn);
    }
    return without(edit, own);
  });
  const changes = next.changes.map((change) => ({
    ...change,
    basedOn: replaced.get(fieldOf(change)) ?? change.basedOn,
  }));
  return [...others, { ...next, changes }];
};

/**
 * The queue after the server refused an edit because others were faster: the fields in conflict
 * leave it, also from later edits that were built on it; the rest merges by itself.
 * @param newId of what is left of the edit, for it is another edit now
 * @returns the queue, and one clash for each field, with one's own latest value
 */
export const afterConflict = (
  waiting: readonly WaitingEdit[],
  edit: WaitingEdit,
  conflicts: readonly Conflict[],
  newId: string,
): { readonly waiting: readonly WaitingEdit[]; readonly clashes: readonly Clash[] } => {
  const fields = new Set(conflicts.map(fieldOf));
  const ofUnit = waiting.filter((w) => w.unit === edit.unit);
  const clashes = conflicts.flatMap((conflict) => {
    const mine = ofUnit.flatMap((w) => w.changes.filter((c) => fieldOf(c) === fieldOf(conflict)));
    const change = mine.at(-1);
    return change ? [{ unit: edit.unit, change, at: edit.at }] : [];
  });
  const rest = waiting.flatMap((w) => {
    if (w.unit !== edit.unit) return [w];
    const [left] = without(w, fields);
    if (!left) return [];
    return [w.id === edit.id ? { ...left, id: newId, tried: false } : left];
  });
  return { waiting: rest, clashes };
};

/** A record as this device sees it: what the server confirmed, with what still waits on top. */
export const withWaiting = (
  confirmed: UnitRecord,
  unit: string,
  waiting: readonly WaitingEdit[],
): UnitRecord =>
  waiting
    .filter((edit) => edit.unit === unit)
    .reduce(
      (record, edit) =>
        edit.changes.reduce(
          (r, change) => applyChange(r, change, edit.by, edit.at, change.basedOn + 1),
          record,
        ),
      confirmed,
    );

/** The change that settles a clash for what one said oneself, in the place of whatever is there now. */
export const keepMine = (clash: Clash, theirs: Entry<FieldValue> | undefined): Change => {
  const { part, key, others } = clash.change;
  const mine = { part, key, ...statedBy(clash.change), basedOn: theirs?.version ?? 0 };
  return (others ? { ...mine, others: [] } : mine) as Change;
};
