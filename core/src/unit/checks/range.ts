import { amountOf, type UnitRecord } from '../record/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { isWithin, specsOfKind, type Checked } from './plausible.ts';
import { readingsOf, readingWords } from './slips.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, withReason } from './ways.ts';

const fields = specsOfKind('quantity');

const finding = (
  record: UnitRecord,
  { key, label, kind, range }: Checked<'quantity'>,
  system: System,
): RuleFinding | undefined => {
  const amount = amountOf(record, key);
  if (amount === undefined || isWithin(amount, range)) return undefined;
  const show = (a: number): string => formatQuantity(a, kind.display, system);
  const readings = readingsOf(amount, { display: kind.display, range }, system);
  return {
    field: key,
    severity: readings.length > 0 ? 'wrong' : 'doubtful',
    title: `${label} is unusual`,
    sentence: `${show(amount)} is outside the usual ${show(range.from)} to ${show(range.to)}. ${readingWords(readings)}`,
    ways: [
      ...readings.map(({ value }) => enter(record, key, value, system)),
      goTo(key),
      withReason(),
    ],
  };
};

/** Every quantity against its plausible range, with factor-of-ten slips named. */
export const plausibleRange: Rule = {
  key: 'range',
  doubts: 'its field',
  about: 'Quantities are plausible; a misplaced zero is named',
  needs: fields.map((field) => field.key),
  fieldByField: true,
  source: 'Ranges: common practice',
  test: (record, { system }) => fields.flatMap((field) => finding(record, field, system) ?? []),
};
