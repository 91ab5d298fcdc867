import { randomUUID } from 'node:crypto';
import { MoreThan } from 'typeorm';
import { tidyVin } from '@fair-gable/core/unit/identity';
import {
  amountOf,
  entryAfter,
  entryOf,
  newlyStated,
  parts,
  textOf,
  type Change,
  type Edit,
  type Entry,
  type FieldValue,
  type UnitRecord,
  type UnitNow,
  type YardUnit,
} from '@fair-gable/core/unit/record';
import { searchText } from '@fair-gable/core/yard/list';
import { fieldOf } from '@fair-gable/core/yard/outbox';
import { isFirst, type Author, type InYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { RecordChange, RecordField, Unit } from './entities.ts';
import { noSuchUnit, readUnit } from './read.ts';

const toEntry = (row: RecordField): Entry<FieldValue> => ({
  value: row.value as FieldValue,
  how: row.how,
  by: row.by,
  at: row.at.toISOString(),
  ...(row.filed ? { filed: true as const } : {}),
  version: row.version,
  ...(row.others ? { others: row.others } : {}),
});

/** A record from its fields; what was taken back is not known. */
const toRecord = (rows: readonly RecordField[]): UnitRecord => {
  const known = rows.filter((row) => row.value !== null);
  const ofPart = (part: string) =>
    Object.fromEntries(
      known.filter((row) => row.part === part).map((row) => [row.key, toEntry(row)]),
    );
  return Object.fromEntries(parts.map((part) => [part, ofPart(part)])) as unknown as UnitRecord;
};

/** A version of 0 was based on nothing known: right as well where the value was taken back. */
const isStale = (change: Change, row: RecordField | undefined): boolean => {
  if (!row) return change.basedOn !== 0;
  if (row.value === null && change.basedOn === 0) return false;
  return row.version !== change.basedOn;
};

type Fields = ReadonlyMap<string, RecordField>;

/** Whether nobody but the author changed a field since: one's own change is never in one's way. */
const isOwn = async (
  yard: InYard,
  unitId: string,
  { part, key, basedOn }: Change,
): Promise<boolean> => {
  const { personId } = yard.author;
  if (personId === null) return false;
  const since = await yard.find(RecordChange, { unitId, part, key, version: MoreThan(basedOn) });
  return since.length > 0 && since.every((change) => change.personId === personId);
};

const refuseStale = async (
  yard: InYard,
  unitId: string,
  changes: readonly Change[],
  fields: Fields,
): Promise<void> => {
  const stale = changes.filter((change) => isStale(change, fields.get(fieldOf(change))));
  const conflicts = [];
  for (const change of stale) {
    if (await isOwn(yard, unitId, change)) continue;
    const row = fields.get(fieldOf(change));
    const theirs = row && row.value !== null ? toEntry(row) : null;
    conflicts.push({ part: change.part, key: change.key, yours: change.value, theirs });
  }
  if (conflicts.length === 0) return;
  throw new Refusal(
    'stale',
    'Somebody else changed this field since you opened it. Both values are here; choose one.',
    { conflicts },
  );
};

interface Making {
  readonly unitId: string;
  readonly author: Author;
  readonly at: Date;
  readonly editId: string | null;
}

/** What a field was, as the core sees it; what was taken back is not known. */
const entryBefore = (row: RecordField | undefined): Entry<FieldValue> | undefined =>
  row && row.value !== null ? toEntry(row) : undefined;

const auditOf = (
  after: RecordField,
  before: RecordField | undefined,
  { unitId, author, at, editId }: Making,
): Omit<RecordChange, 'yardId'> => {
  const had = entryBefore(before);
  const said = after.value === null ? after : newlyStated(had, toEntry(after));
  return {
    id: randomUUID(),
    unitId,
    part: after.part,
    key: after.key,
    from: had?.value ?? null,
    fromHow: had?.how ?? null,
    to: said.value,
    how: said.how,
    beside: said.how !== after.how,
    version: after.version,
    editId,
    personId: author.personId,
    by: author.name,
    at,
  };
};

const changed = (
  yardId: string,
  change: Change,
  before: RecordField | undefined,
  { unitId, author, at }: Making,
): RecordField => {
  const { part, key, how } = change;
  const version = (before?.version ?? 0) + 1;
  const signed = { by: author.name, at: at.toISOString(), version };
  const after = entryAfter(entryBefore(before), change, signed);
  const field = { yardId, unitId, part, key, version };
  if (!after)
    return { ...field, value: null, how, by: author.name, at, filed: false, others: null };
  const { value, how: shownHow, by, at: shownAt, filed = false, others = null } = after;
  return { ...field, value, how: shownHow, by, at: new Date(shownAt), filed, others };
};

const numberOf = (record: UnitRecord, key: 'modelYear'): number | null => {
  const value = record.specs[key]?.value;
  return value?.kind === 'number' ? value.number : null;
};

type Copies = Pick<
  Unit,
  'stockNumber' | 'vin' | 'name' | 'modelYear' | 'condition' | 'length' | 'gvwr' | 'words'
>;

/** The columns that copy the record: for uniqueness, and for the yard's list. */
const copiesOf = (record: UnitRecord): Copies => {
  const vin = textOf(record, 'vin');
  const stockNumber = textOf(record, 'stockNumber') ?? null;
  const name = [textOf(record, 'series'), textOf(record, 'floorPlan')].filter(Boolean).join(' ');
  return {
    stockNumber,
    vin: vin ? tidyVin(vin) : null,
    name: name || (stockNumber ?? ''),
    modelYear: numberOf(record, 'modelYear'),
    condition: textOf(record, 'condition') ?? null,
    length: amountOf(record, 'overallLength') ?? null,
    gvwr: amountOf(record, 'gvwr') ?? null,
    words: searchText(record),
  };
};

/** A record at first, whose summary nobody has asked for yet. */
const unasked = { revision: 1, summary: null, summaryShown: null, summaryFor: null };

const applyAll = async (
  yard: WithinYard,
  unit: Unit,
  changes: readonly Change[],
  editId: string | null,
): Promise<UnitNow> => {
  const { author } = yard;
  const rows = await yard.find(RecordField, { unitId: unit.id });
  const fields = new Map(rows.map((row) => [fieldOf(row), row]));
  await refuseStale(yard, unit.id, changes, fields);
  const making: Making = { unitId: unit.id, author, at: await yard.now(), editId };
  const audit = changes.map((change) => {
    const before = fields.get(fieldOf(change));
    const after = changed(yard.yardId, change, before, making);
    fields.set(fieldOf(change), after);
    return auditOf(after, before, making);
  });
  const touched = [...new Set(changes.map(fieldOf))].flatMap((key) => fields.get(key) ?? []);
  await yard.upsert(RecordField, touched, ['unitId', 'part', 'key']);
  await yard.insert(RecordChange, audit);
  const record = toRecord([...fields.values()]);
  const revision = unit.revision + 1;
  await yard.update(Unit, { id: unit.id }, { ...copiesOf(record), revision });
  await yard.announce('unit', unit.id);
  return { id: unit.id, record, revision };
};

/**
 * Changes fields of a unit: all of them or none. Sent twice it is made once.
 * @throws Refusal not-found, stale with both values, other-body, stock-number-taken, vin-taken
 */
export const editUnit = async (yard: WithinYard, unitId: string, edit: Edit): Promise<UnitNow> => {
  const unit = await yard.lockOne(Unit, { id: unitId });
  if (!unit) throw noSuchUnit();
  const sent = { id: edit.id, body: { unitId, changes: edit.changes } };
  return (await isFirst(yard, 'edit', sent))
    ? applyAll(yard, unit, edit.changes, edit.id)
    : readUnit(yard, unitId);
};

/**
 * Changes fields of a unit within a transaction that changes more.
 * @param decide the changes, from the record as it is now that nobody else can change it
 * @throws Refusal not-found
 */
export const editWithin = async (
  yard: WithinYard,
  unitId: string,
  decide: (record: UnitRecord) => readonly Change[],
): Promise<void> => {
  const unit = await yard.lockOne(Unit, { id: unitId });
  if (!unit) throw noSuchUnit();
  const changes = decide(toRecord(await yard.find(RecordField, { unitId })));
  if (changes.length > 0) await applyAll(yard, unit, changes, null);
};

/** The unit's row, made where there is none, and locked; and whether it has a record already. */
const addUnit = async (yard: WithinYard, id: string): Promise<{ unit: Unit; isThere: boolean }> => {
  const blank = {
    id,
    stockNumber: null,
    vin: null,
    inStock: true,
    name: '',
    modelYear: null,
    condition: null,
    length: null,
    gvwr: null,
    words: '',
    ...unasked,
    revision: 0,
    createdAt: new Date(),
  };
  await yard.insertMissing(Unit, [blank]);
  const unit = await yard.lockOne(Unit, { id });
  if (!unit) throw noSuchUnit();
  return { unit, isThere: (await yard.findOne(RecordField, { unitId: id })) !== null };
};

/**
 * A new unit with its first fields. Sent twice it is made once.
 * @returns the unit, and whether it was made just now
 * @throws Refusal already-here, other-body, stale, stock-number-taken, vin-taken
 */
export const createUnit = async (
  yard: WithinYard,
  id: string,
  changes: readonly Change[],
): Promise<{ readonly unit: UnitNow; readonly isNew: boolean }> => {
  if (!(await isFirst(yard, 'unit', { id, body: changes }))) {
    return { unit: await readUnit(yard, id), isNew: false };
  }
  const { unit, isThere } = await addUnit(yard, id);
  if (isThere) throw alreadyHere();
  return { unit: await applyAll(yard, unit, changes, null), isNew: true };
};

const alreadyHere = (): Refusal =>
  new Refusal(
    'already-here',
    'This unit is already in the yard, and nothing was changed. Open it there.',
  );

const rowsOf = (yardId: string, unitId: string, record: UnitRecord): RecordField[] =>
  parts.flatMap((part) =>
    Object.keys(record[part]).map((key) => {
      const entry = entryOf(record, part, key) as Entry<FieldValue>;
      const { filed = false, others = null } = entry;
      return { yardId, unitId, part, key, ...entry, at: new Date(entry.at), filed, others };
    }),
  );

/**
 * Adds units that are not here yet, all of them or none.
 * @param at when the last of all that are being added is taken in
 * @param after how many are added after these
 * @throws Refusal stock-number-taken, vin-taken
 */
export const addUnits = async (
  yard: WithinYard,
  units: readonly YardUnit[],
  at: Date,
  after: number,
): Promise<void> => {
  const { author } = yard;
  // A tick apart each, so that they keep the order in which they came.
  const rows = units.map(({ id, record }, i) => ({
    id,
    inStock: true,
    createdAt: new Date(at.getTime() - after - units.length + 1 + i),
    ...copiesOf(record),
    ...unasked,
  }));
  const fields = units.flatMap(({ id, record }) => rowsOf(yard.yardId, id, record));
  await yard.insert(Unit, rows);
  await yard.insert(RecordField, fields);
  await yard.insert(
    RecordChange,
    fields.map((row) => auditOf(row, undefined, { unitId: row.unitId, author, at, editId: null })),
  );
};

/**
 * Takes in a whole unit from elsewhere, evidence and versions included.
 * @param alsoWithin what else belongs to it, in the same transaction
 * @throws Refusal already-here, stock-number-taken, vin-taken
 */
export const importUnit = async (
  yard: WithinYard,
  id: string,
  record: UnitRecord,
  alsoWithin: (yard: WithinYard) => Promise<void> = async () => {},
): Promise<YardUnit> => {
  const { isThere } = await addUnit(yard, id);
  if (isThere) throw alreadyHere();
  const rows = rowsOf(yard.yardId, id, record);
  const making: Making = { unitId: id, author: yard.author, at: await yard.now(), editId: null };
  await yard.insert(RecordField, rows);
  await yard.insert(
    RecordChange,
    rows.map((row) => auditOf(row, undefined, making)),
  );
  await yard.update(Unit, { id }, { ...copiesOf(record), revision: 1 });
  await alsoWithin(yard);
  await yard.announce('unit', id);
  return { id, record };
};
