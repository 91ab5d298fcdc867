import { checkRecord, type Look, type Objection } from '../checks/index.ts';
import { emptyRecord, type Entry, type FieldValue, type UnitRecord } from '../record/index.ts';
import type { SheetValues } from './schema.ts';

/** Checks of what a yard does with a unit: no maker's sheet answers them. */
const ofTheYard = new Set(['ratings-by-label', 'rating-unread', 'not-inspected', 'recall-stale']);

const entry = (value: FieldValue): Entry<FieldValue> => ({
  value,
  how: 'sheet',
  by: 'sheet',
  at: '2000-01-01T00:00:00.000Z',
  version: 1,
});

const entriesOf = (values: Readonly<Partial<Record<string, FieldValue>>>) =>
  Object.fromEntries(
    Object.entries(values).flatMap(([key, value]) => (value ? [[key, entry(value)]] : [])),
  );

/** A unit of which nothing is known but what its sheet says. */
const recordOf = ({ specs, features, places }: SheetValues): UnitRecord =>
  ({
    ...emptyRecord,
    specs: entriesOf(specs),
    features: entriesOf(
      Object.fromEntries(Object.entries(features).map(([key, state]) => [key, { state }])),
    ),
    places: entriesOf(places),
  }) as UnitRecord;

/**
 * What the checks would object to on every unit that has nothing but what its sheet says: to be seen before it is kept.
 * @param before what the sheet said so far: what was objected to then is no news
 */
export const doubtsOfSheet = (
  values: SheetValues,
  before: SheetValues | undefined,
  look: Look,
): readonly Objection[] => {
  const had = before ? checkRecord(recordOf(before), look) : [];
  const known = new Set(had.map(({ id, inputs }) => `${id}|${inputs}`));
  return checkRecord(recordOf(values), look).filter(
    ({ id, inputs, severity, rule }) =>
      severity !== 'look' && !ofTheYard.has(rule) && !known.has(`${id}|${inputs}`),
  );
};
