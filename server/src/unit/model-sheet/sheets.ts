import { randomUUID } from 'node:crypto';
import {
  changesBySheet,
  inheritedBy,
  type KeptSheet,
  type ModelSheet,
  type Offer,
  type SheetChange,
  type Touched,
} from '@fair-gable/core/unit/model-sheet';
import { nameOf, textOf, type Change, type UnitRecord } from '@fair-gable/core/unit/record';
import { noteOnYard } from '../../base/access/index.ts';
import { isFirst, type Author, type InYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { editWithin, recordsOf } from '../record/index.ts';
import { ModelSheetChange, ModelSheetOffer, ModelSheetRow } from './entities.ts';

const noSuchSheet = (): Refusal =>
  new Refusal('not-found', 'There is no such model sheet in this yard. Look for it in the list.');

const withoutKeys = (sheet: ModelSheet, hidden: readonly string[]): ModelSheet => {
  const open = (values: ModelSheet['values']): ModelSheet['values'] => ({
    ...values,
    specs: Object.fromEntries(
      Object.entries(values.specs).filter(([key]) => !hidden.includes(key)),
    ),
  });
  return {
    ...sheet,
    values: open(sheet.values),
    packages: sheet.packages.map((pack) => ({ ...pack, adds: open(pack.adds) })),
    midYear: sheet.midYear.map((change) => ({ ...change, values: open(change.values) })),
  };
};

const toKept = (
  { sheet, version, by, at }: ModelSheetRow,
  offers: readonly Offer[],
  hidden: readonly string[],
): KeptSheet => ({
  sheet: withoutKeys(sheet, hidden),
  version,
  by,
  at: at.toISOString(),
  offers: offers.filter((offer) => !hidden.includes(offer.key)),
});

/**
 * The yard's sheets, by series, floor plan and year.
 * @param hidden keys that this reader may not see
 */
export const sheetsOf = async (
  yard: InYard,
  hidden: readonly string[] = [],
): Promise<readonly KeptSheet[]> => {
  const rows = await yard.find(
    ModelSheetRow,
    {},
    { order: { series: 'ASC', floorPlan: 'ASC', year: 'ASC' } },
  );
  const offers = await yard.find(ModelSheetOffer, {}, { order: { at: 'ASC', id: 'ASC' } });
  const of = (id: string) => offers.filter((o) => o.sheetId === id).map((o) => o.offer);
  return rows.map((row) => toKept(row, of(row.id), hidden));
};

const withSheet = (sheets: readonly ModelSheet[], sheet: ModelSheet): readonly ModelSheet[] => [
  ...sheets.filter(({ id }) => id !== sheet.id),
  sheet,
];

const changesFor =
  (before: readonly ModelSheet[], after: readonly ModelSheet[]) =>
  (record: UnitRecord): readonly Change[] => {
    const now = inheritedBy(record, after);
    return now ? changesBySheet(record, inheritedBy(record, before)?.values, now.values) : [];
  };

/**
 * What a sheet would change on the units of its model, were it kept as it is. Nothing is changed.
 * @param breathe lets others be served between units
 */
export const touchedBy = async (
  yard: InYard,
  sheet: ModelSheet,
  breathe: () => Promise<void>,
): Promise<readonly Touched[]> => {
  const before = (await yard.find(ModelSheetRow, {})).map((row) => row.sheet);
  const changes = changesFor(before, withSheet(before, sheet));
  const touched: Touched[] = [];
  for await (const { id, record } of recordsOf(yard)) {
    await breathe();
    const own = changes(record);
    if (own.length === 0) continue;
    const stockNumber = textOf(record, 'stockNumber') ?? null;
    touched.push({ id, name: nameOf(record), stockNumber, changes: own });
  }
  return touched;
};

/** How a sheet is to be kept. */
export interface Keeping {
  readonly sheet: ModelSheet;
  /** The version it was written over; 0 for a new one. */
  readonly basedOn: number;
  /** The units that are to follow it. */
  readonly units: readonly string[];
}

const rowOf = (sheet: ModelSheet, version: number, { name }: Author, at: Date) => ({
  id: sheet.id,
  series: sheet.series,
  floorPlan: sheet.floorPlan,
  year: sheet.year,
  sheet,
  version,
  by: name,
  at,
});

const noteChange = (
  yard: WithinYard,
  row: ReturnType<typeof rowOf>,
  before: ModelSheet | undefined,
  units: number,
): Promise<void> =>
  yard.insert(ModelSheetChange, [
    {
      id: randomUUID(),
      sheetId: row.id,
      version: row.version,
      from: before ?? null,
      to: row.sheet,
      units,
      personId: yard.author.personId,
      by: yard.author.name,
      at: row.at,
    },
  ]);

/**
 * Keeps a sheet, and lets the named units follow it: all of it or nothing.
 * @throws Refusal stale, sheet-taken, not-found for a unit
 */
export const keepSheet = async (
  yard: WithinYard,
  { sheet, basedOn, units }: Keeping,
): Promise<void> => {
  // One at a time in a yard, so that two never decide over each other's units.
  await yard.alone('change a sheet');
  const rows = await yard.find(ModelSheetRow, {});
  const had = rows.find(({ id }) => id === sheet.id);
  if ((had?.version ?? 0) !== basedOn) {
    throw new Refusal(
      'stale',
      'Somebody else changed this sheet since you opened it. Open it again, and make your change on top.',
    );
  }
  const row = rowOf(sheet, basedOn + 1, yard.author, new Date());
  await yard.upsert(ModelSheetRow, [row], ['id']);
  await noteChange(yard, row, had?.sheet, units.length);
  const before = rows.map((r) => r.sheet);
  const decide = changesFor(before, withSheet(before, sheet));
  for (const id of units.toSorted()) await editWithin(yard, id, decide);
  await yard.announce('sheets', sheet.id);
};

/**
 * Takes a sheet away. What units took over from it stays on them.
 * @throws Refusal not-found
 */
export const dropSheet = async (yard: WithinYard, id: string): Promise<void> => {
  await yard.alone('change a sheet');
  const had = await yard.lockOne(ModelSheetRow, { id });
  if (!had) throw noSuchSheet();
  await yard.remove(ModelSheetRow, { id });
  const { series, floorPlan, year } = had.sheet;
  const subject = [year, series, floorPlan].filter(Boolean).join(' ');
  await noteOnYard(yard, { what: 'sheet-dropped', subject });
  await yard.announce('sheets', id);
};

/** So many of its last changes are told. */
const changesTold = 50;

/** Who changed a sheet, latest first. @throws Refusal not-found */
export const sheetHistory = async (
  yard: InYard,
  id: string,
  hidden: readonly string[],
): Promise<readonly SheetChange[]> => {
  if (!(await yard.findOne(ModelSheetRow, { id }))) throw noSuchSheet();
  const last = { order: { version: 'DESC' }, take: changesTold } as const;
  const changes = await yard.find(ModelSheetChange, { sheetId: id }, last);
  return changes.map(({ id: of, version, from, to, units, by, at }) => ({
    id: of,
    version,
    from: from && withoutKeys(from, hidden),
    to: withoutKeys(to, hidden),
    units,
    by,
    at: at.toISOString(),
  }));
};

/** One sheet. @throws Refusal not-found */
export const sheetOf = async (
  yard: InYard,
  id: string,
  hidden: readonly string[],
): Promise<ModelSheet> => {
  const row = await yard.findOne(ModelSheetRow, { id });
  if (!row) throw noSuchSheet();
  return withoutKeys(row.sheet, hidden);
};

/**
 * Puts something found on a unit before whoever keeps the sheet. Sent twice it is made once.
 * @throws Refusal not-found, other-body
 */
export const addOffer = async (yard: WithinYard, sheetId: string, offer: Offer): Promise<void> => {
  if (!(await yard.lockOne(ModelSheetRow, { id: sheetId }))) throw noSuchSheet();
  const { at: made, by, ...body } = offer;
  if (!(await isFirst(yard, 'offer', { id: offer.id, body: { sheetId, ...body } }))) return;
  const at = new Date(made);
  await yard.insertMissing(ModelSheetOffer, [{ id: offer.id, sheetId, offer, at }]);
  await yard.announce('sheets', sheetId);
};

/** Takes an offer away: it was taken over, or left. */
export const dropOffer = async (yard: WithinYard, sheetId: string, id: string): Promise<void> => {
  const had = await yard.lockOne(ModelSheetOffer, { sheetId, id });
  if (!had) return;
  await yard.remove(ModelSheetOffer, { sheetId, id });
  await noteOnYard(yard, { what: 'offer-dropped', subject: had.offer.by });
  await yard.announce('sheets', sheetId);
};
