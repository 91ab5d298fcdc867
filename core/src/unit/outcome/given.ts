import type { SpecKey } from '../catalog/index.ts';
import { amountOf, countedOf, howOf, isExact, type Brief } from '../record/index.ts';
import type { Given } from './outcome.ts';

/** A field of a record as an input; undefined where nobody knows it. */
export const givenOf = (record: Brief, key: SpecKey): Given | undefined => {
  const amount = amountOf(record, key);
  const entry = record.specs[key];
  if (amount === undefined || !entry) return undefined;
  // A figure that is only about so much is no better than a guess to reckon with.
  return { amount, how: isExact(entry.value) ? entry.how : 'guessed' };
};

/** A counted field as an input: all of them together. */
export const sumOf = (record: Brief, key: SpecKey): Given | undefined => {
  const counted = countedOf(record, key);
  const how = howOf(record, key);
  return counted && how ? { amount: counted.count * counted.each, how } : undefined;
};
