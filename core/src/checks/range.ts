import { amountOf, type UnitRecord } from '../record/index.ts';
import { formatQuantity, type Display, type System } from '../quantity/index.ts';
import { isWithin, specsOfKind, withoutSlip, type Checked, type Range } from './plausible.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, withReason } from './ways.ts';

const fields = specsOfKind('quantity');

/** Feet typed where inches were meant: 316 for 26 ft 4 in. */
const meant = (amount: number, display: Display, range: Range): number | undefined => {
  const inches = amount / 12;
  if (display === 'feet' && isWithin(inches, range)) return inches;
  return withoutSlip(amount, range);
};

const finding = (
  record: UnitRecord,
  { key, label, kind, range }: Checked<'quantity'>,
  system: System,
): RuleFinding | undefined => {
  const amount = amountOf(record, key);
  if (amount === undefined || isWithin(amount, range)) return undefined;
  const show = (a: number): string => formatQuantity(a, kind.display, system);
  const probably = meant(amount, kind.display, range);
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
  needs: fields.map((field) => field.key),
  fieldByField: true,
  source: 'Ranges: common practice',
  test: (record, { system }) => fields.flatMap((field) => finding(record, field, system) ?? []),
};
