import type { SpecKey } from '../catalogue/index.ts';
import { amountOf, countedOf, howOf, type UnitRecord } from '../record/index.ts';
import type { Given } from './outcome.ts';

/** A field of a record as an input; undefined where nobody knows it. */
export const givenOf = (record: UnitRecord, key: SpecKey): Given | undefined => {
  const amount = amountOf(record, key);
  const how = howOf(record, key);
  return amount === undefined || how === undefined ? undefined : { amount, how };
};

/** A counted field as an input: all of them together. */
export const sumOf = (record: UnitRecord, key: SpecKey): Given | undefined => {
  const counted = countedOf(record, key);
  const how = howOf(record, key);
  return counted && how ? { amount: counted.count * counted.each, how } : undefined;
};
