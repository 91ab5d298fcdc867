import { wheelsOf } from '../condition/index.ts';
import { pressureOfRange } from '../identity/index.ts';
import { givenOf, sumOf, type Given } from '../numbers/index.ts';
import { countedOf, howOf, textOf, type UnitRecord } from '../record/index.ts';
import type { TyresInput } from './tyres.ts';

const known = (entries: Readonly<Record<string, unknown>>): object =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined));

/** The pressure at which the tyres carry most, by their load range. */
const highestOf = (record: UnitRecord): Given | undefined => {
  const range = textOf(record, 'loadRange');
  const how = howOf(record, 'loadRange');
  const amount = range ? pressureOfRange(range.toUpperCase()) : undefined;
  return amount !== undefined && how ? { amount, how } : undefined;
};

/** The lowest pressure that was measured on the road wheels, else what the label asks for. */
const pressureOf = (record: UnitRecord, today: string): Given | undefined => {
  const found = wheelsOf(record, today)
    .filter(({ key }) => key !== 'Spare')
    .flatMap(({ wheel }) => wheel.pressure ?? []);
  if (found.length > 0) return { amount: Math.min(...found), how: 'measured' };
  return givenOf(record, 'coldPressure');
};

/**
 * A unit's tyres, as the question wants them.
 * @param today for their age, `2026-04-10`
 * @param pressure psi, tried on the bench
 */
export const tyresInputOf = (record: UnitRecord, today: string, pressure?: number): TyresInput => {
  const ages = wheelsOf(record, today).flatMap(({ age }) =>
    age === undefined || age < 0 ? [] : age,
  );
  return {
    ...known({
      each: givenOf(record, 'tyreLoad'),
      highest: highestOf(record),
      pressure:
        pressure === undefined ? pressureOf(record, today) : { amount: pressure, how: 'tried' },
      gawr: sumOf(record, 'axleRating'),
      oldest: ages.length > 0 ? Math.max(...ages) : undefined,
    }),
    count: (countedOf(record, 'axleRating')?.count ?? 1) * 2,
  } as TyresInput;
};
