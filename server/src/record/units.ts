import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import {
  emptyRecord,
  entryOf,
  parts,
  textOf,
  tidyVin,
  type Change,
  type Entry,
  type FieldValue,
  type UnitRecord,
} from '@fair-gable/core';
import { inYard, type InYard } from '../database/index.ts';
import { Refusal } from '../problems/index.ts';
import { RecordChange, RecordField, Unit } from './entities.ts';

/** A data source, or a transaction to join. */
export type Transactional = Pick<EntityManager, 'transaction'>;

/** Who changes a record. */
export interface Author {
  readonly personId: string | null;
  readonly name: string;
}

export interface UnitView {
  readonly id: string;
  readonly record: UnitRecord;
}

const toEntry = (row: RecordField): Entry<FieldValue> => ({
  value: row.value as FieldValue,
  how: row.how,
  by: row.by,
  at: row.at.toISOString(),
  version: row.version,
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

const missing = (): Refusal =>
  new Refusal('not-found', 'There is no such unit in this yard. Look for it in the yard’s list.');

/** The yard's units in stock, oldest first. */
export const listUnits = async (yard: InYard): Promise<readonly UnitView[]> => {
  const units = await yard.find(
    Unit,
    { inStock: true },
    { order: { createdAt: 'ASC', id: 'ASC' } },
  );
  const fields = await yard.find(RecordField, {});
  const byUnit = new Map<string, RecordField[]>(units.map(({ id }) => [id, []]));
  for (const field of fields) byUnit.get(field.unitId)?.push(field);
  return [...byUnit].map(([id, rows]) => ({ id, record: toRecord(rows) }));
};

/**
 * One unit.
 * @throws Refusal not-found
 */
export const readUnit = async (yard: InYard, id: string): Promise<UnitView> => {
  if (!(await yard.findOne(Unit, { id }))) throw missing();
  return { id, record: toRecord(await yard.find(RecordField, { unitId: id })) };
};

/** A version of 0 was based on nothing known: right as well where the value was taken back. */
const isStale = (change: Change, row: RecordField | undefined): boolean => {
  if (!row) return change.basedOn !== 0;
  if (row.value === null && change.basedOn === 0) return false;
  return row.version !== change.basedOn;
};

const fieldKey = (part: string, key: string): string => `${part}.${key}`;

const refuseStale = (changes: readonly Change[], rows: ReadonlyMap<string, RecordField>): void => {
  const conflicts = changes.flatMap((change) => {
    const row = rows.get(fieldKey(change.part, change.key));
    if (!isStale(change, row)) return [];
    const theirs = row && row.value !== null ? toEntry(row) : null;
    return [{ part: change.part, key: change.key, yours: change.value, theirs }];
  });
  if (conflicts.length === 0) return;
  throw new Refusal(
    'stale',
    'Somebody else changed this field since you opened it. Both values are here; choose one.',
    { conflicts },
  );
};

const auditOf = (
  { yardId, unitId, part, key, how, value }: RecordField,
  from: FieldValue | null,
  author: Author,
  at: Date,
): RecordChange => ({
  yardId,
  id: randomUUID(),
  unitId,
  part,
  key,
  how,
  from,
  to: value,
  personId: author.personId,
  by: author.name,
  at,
});

const writeChange = async (
  yard: InYard,
  unitId: string,
  change: Change,
  before: RecordField | undefined,
  author: Author,
  at: Date,
): Promise<RecordField> => {
  const row = {
    yardId: yard.yardId,
    unitId,
    part: change.part,
    key: change.key,
    value: change.value,
    how: change.how,
    by: author.name,
    at,
    version: (before?.version ?? 0) + 1,
  };
  await yard.save(RecordField, [row]);
  await yard.insert(RecordChange, [auditOf(row, before?.value ?? null, author, at)]);
  return row;
};

/** Copies stock number and VIN to the unit, where the database holds them unique. */
const copyIdentity = async (yard: InYard, unit: Unit, record: UnitRecord): Promise<void> => {
  const vin = textOf(record, 'vin');
  await yard.save(Unit, [
    { ...unit, stockNumber: textOf(record, 'stockNumber') ?? null, vin: vin ? tidyVin(vin) : null },
  ]);
};

const applyAll = async (
  yard: InYard,
  unit: Unit,
  changes: readonly Change[],
  author: Author,
): Promise<UnitView> => {
  const rows = await yard.find(RecordField, { unitId: unit.id });
  const byKey = new Map(rows.map((row) => [fieldKey(row.part, row.key), row]));
  refuseStale(changes, byKey);
  const at = new Date();
  for (const change of changes) {
    const key = fieldKey(change.part, change.key);
    byKey.set(key, await writeChange(yard, unit.id, change, byKey.get(key), author, at));
  }
  const record = toRecord([...byKey.values()]);
  await copyIdentity(yard, unit, record);
  return { id: unit.id, record };
};

/**
 * Changes fields of a unit: all of them or none.
 * @throws Refusal not-found, stale with both values, stock-number-taken, vin-taken
 */
export const changeUnit = (
  source: Transactional,
  yardId: string,
  unitId: string,
  changes: readonly Change[],
  author: Author,
): Promise<UnitView> =>
  source.transaction(async (manager) => {
    const yard = inYard(manager, yardId);
    const unit = await yard.lockOne(Unit, { id: unitId });
    if (!unit) throw missing();
    return applyAll(yard, unit, changes, author);
  });

const addUnit = async (yard: InYard, id: string): Promise<Unit> => {
  const unit = {
    yardId: yard.yardId,
    id,
    stockNumber: null,
    vin: null,
    inStock: true,
    createdAt: new Date(),
  };
  await yard.insert(Unit, [unit]);
  return unit;
};

/**
 * A new unit with its first fields. Sent twice it is made once.
 * @throws Refusal stock-number-taken, vin-taken
 */
export const createUnit = (
  source: Transactional,
  yardId: string,
  id: string,
  changes: readonly Change[],
  author: Author,
): Promise<UnitView> =>
  source.transaction(async (manager) => {
    const yard = inYard(manager, yardId);
    if (await yard.findOne(Unit, { id })) return readUnit(yard, id);
    return applyAll(yard, await addUnit(yard, id), changes, author);
  });

const rowsOf = (yardId: string, unitId: string, record: UnitRecord): RecordField[] =>
  parts.flatMap((part) =>
    Object.keys(record[part]).map((key) => {
      const entry = entryOf(record, part, key) as Entry<FieldValue>;
      return { yardId, unitId, part, key, ...entry, at: new Date(entry.at) };
    }),
  );

/**
 * Takes in a whole unit as it was elsewhere, evidence and versions included.
 * @throws Refusal already-here, stock-number-taken, vin-taken
 */
export const importUnit = (
  source: Transactional,
  yardId: string,
  id: string,
  record: UnitRecord,
  author: Author,
): Promise<UnitView> =>
  source.transaction(async (manager) => {
    const yard = inYard(manager, yardId);
    if (await yard.findOne(Unit, { id })) {
      throw new Refusal(
        'already-here',
        'This unit is already in the yard, and nothing was changed. Open it there.',
      );
    }
    const unit = await addUnit(yard, id);
    const rows = rowsOf(yardId, id, record);
    const at = new Date();
    await yard.insert(RecordField, rows);
    await yard.save(
      RecordChange,
      rows.map((row) => auditOf(row, null, author, at)),
    );
    await copyIdentity(yard, unit, { ...emptyRecord, ...record });
    return { id, record };
  });
