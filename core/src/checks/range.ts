import { specEntry, type SpecKey } from '../catalogue/index.ts';
import { amountOf, type UnitRecord } from '../record/index.ts';
import { formatQuantity, type Display, type System } from '../quantity/index.ts';
import { isWithin, rangeOf, specsOfKind, withoutSlip, type Range } from './plausible.ts';
import type { Finding, Rule } from './types.ts';
import { enter, goTo, withReason } from './ways.ts';

const fields = specsOfKind('quantity');

/** Feet typed where inches were meant: 316 for 26 ft 4 in. */
const meant = (amount: number, display: Display, range: Range): number | undefined => {
  const inches = amount / 12;
  if (display === 'feet' && isWithin(inches, range)) return inches;
  return withoutSlip(amount, range);
};

const finding = (record: UnitRecord, key: SpecKey, system: System): Finding | undefined => {
  const { value, label } = specEntry(key);
  const amount = amountOf(record, key);
  if (value.kind !== 'quantity' || amount === undefined) return undefined;
  const range = rangeOf(value.plausible);
  if (isWithin(amount, range)) return undefined;
  const show = (a: number): string => formatQuantity(a, value.display, system);
  const probably = meant(amount, value.display, range);
  const guess = probably === undefined ? 'Read it again.' : `Was ${show(probably)} meant?`;
  return {
    field: key,
    severity: probably === undefined ? 'doubtful' : 'wrong',
    title: `${label} is out of the ordinary`,
    sentence: `${show(amount)} is outside the usual ${show(range.from)} to ${show(range.to)}. ${guess}`,
    ways: [
      ...(probably === undefined
        ? []
        : [enter(record, key, { kind: 'quantity', amount: probably }, system)]),
      goTo(key),
      withReason(),
    ],
  };
};

/** Every quantity against its plausible range, with factor-of-ten slips named. */
export const plausibleRange: Rule = {
  key: 'range',
  about: 'Quantities lie in their usual range; lost or added noughts are named',
  needs: fields,
  fieldByField: true,
  source: 'Ranges: common practice',
  test: (record, system) =>
    fields.flatMap((key) => {
      const found = finding(record, key, system);
      return found ? [found] : [];
    }),
};
