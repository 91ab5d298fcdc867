import type { ValueKind } from '../catalogue/index.ts';
import { countedOf, type UnitRecord } from '../record/index.ts';
import {
  displayRow,
  formatCounted,
  formatQuantity,
  fromInternal,
  toInternal,
  type Counted,
  type System,
} from '../quantity/index.ts';
import { isWithin, specsOfKind, withoutSlip, type Checked, type Range } from './plausible.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, withReason } from './ways.ts';

const fields = specsOfKind('counted');
type CountedKind = Extract<ValueKind, { kind: 'counted' }>;

const counts = (kind: CountedKind): readonly number[] =>
  Array.from({ length: kind.counts.to - kind.counts.from + 1 }, (_, i) => kind.counts.from + i);

/** “Two thirties” taken down as 230: the first digit is the count, the rest the size. */
const runTogether = (each: number, kind: CountedKind, range: Range): Counted | undefined => {
  const { unit } = displayRow(kind.display).us;
  const digits = String(Math.round(fromInternal(each, unit)));
  const split = { count: Number(digits[0]), each: toInternal(Number(digits.slice(1)), unit) };
  const fits = counts(kind).includes(split.count) && split.count > 1 && isWithin(split.each, range);
  return fits ? split : undefined;
};

/** Both together taken for each: 2 × 7,000 for two axles of 3,500, or 60 for two cylinders of 30. */
const eachForTogether = (value: Counted, kind: CountedKind, range: Range): Counted | undefined => {
  const tried = value.count > 1 ? [value.count] : counts(kind).filter((n) => n > 1);
  return tried
    .map((count) => ({ count, each: value.each / count }))
    .find((c) => isWithin(c.each, range));
};

const shifted = (value: Counted, range: Range): Counted | undefined => {
  const each = withoutSlip(value.each, range);
  return each === undefined ? undefined : { count: value.count, each };
};

const finding = (
  record: UnitRecord,
  { key, label, kind, range }: Checked<'counted'>,
  system: System,
): RuleFinding | undefined => {
  const value = countedOf(record, key);
  if (!value) return undefined;
  const countFits = value.count >= kind.counts.from && value.count <= kind.counts.to;
  if (countFits && isWithin(value.each, range)) return undefined;
  const probably =
    runTogether(value.each, kind, range) ??
    eachForTogether(value, kind, range) ??
    shifted(value, range);
  const show = (a: number): string => formatQuantity(a, kind.display, system);
  const said = countFits
    ? `${show(value.each)} each is outside the usual ${show(range.from)} to ${show(range.to)}.`
    : `${value.count} of them is more than the usual ${kind.counts.to}.`;
  const guess = probably
    ? `Was ${formatCounted(probably, kind.display, system)} meant, the count apart from the size?`
    : 'Count them and read one again.';
  return {
    field: key,
    severity: probably ? 'wrong' : 'doubtful',
    title: `${label}: count and size`,
    sentence: `${said} ${guess}`,
    ways: [
      ...(probably ? [enter(record, key, { kind: 'counted', ...probably }, system)] : []),
      goTo(key),
      withReason(),
    ],
  };
};

/** Counted sizes: a count run together with a size, each mistaken for together. */
export const countTimesSize: Rule = {
  key: 'count-times-size',
  about: 'A count is not run together with a size, and each is not mistaken for together',
  needs: fields.map((field) => field.key),
  fieldByField: true,
  source: 'Ranges of each: common practice',
  test: (record, { system }) => fields.flatMap((field) => finding(record, field, system) ?? []),
};
