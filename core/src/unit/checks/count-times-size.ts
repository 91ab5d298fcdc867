import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { countedOf, howMany, type UnitRecord } from '../record/index.ts';
import { isWithin, specsOfKind, type Checked } from './plausible.ts';
import { countedReadingsOf, readingWords } from './slips.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, withReason } from './ways.ts';

const fields = specsOfKind('counted');

/** What is wrong with a count or a size, in a sentence; undefined where nothing is. */
const oddness = (
  count: number,
  each: number | undefined,
  { kind, range }: Checked<'counted'>,
  system: System,
): string | undefined => {
  const show = (a: number): string => formatQuantity(a, kind.display, system);
  if (each !== undefined && !isWithin(each, range))
    return `${show(each)} each is outside the usual ${show(range.from)} to ${show(range.to)}.`;
  const { from, to } = kind.counts;
  if (count > to) return `${count} of them is more than the usual ${to}.`;
  return count < from ? `${count} of them is fewer than the usual ${from}.` : undefined;
};

const finding = (
  record: UnitRecord,
  field: Checked<'counted'>,
  system: System,
): RuleFinding | undefined => {
  const { key, label, kind, range } = field;
  const count = howMany(record, key);
  const value = countedOf(record, key);
  const odd = count === undefined ? undefined : oddness(count, value?.each, field, system);
  if (odd === undefined) return undefined;
  const { display, counts } = kind;
  const readings = value ? countedReadingsOf(value, { display, counts, range }, system) : [];
  return {
    field: key,
    severity: readings.length > 0 ? 'wrong' : 'doubtful',
    title: `${label}: check count and size`,
    sentence: `${odd} ${readings.length > 0 ? readingWords(readings) : 'Count them and read one again.'}`,
    ways: [
      ...readings.map(({ value: meant }) => enter(record, key, meant, system)),
      goTo(key),
      withReason(),
    ],
  };
};

/** Counted sizes: a count run together with a size, each mistaken for together. */
export const countTimesSize: Rule = {
  key: 'count-times-size',
  doubts: 'its field',
  about: 'Counts and sizes are plausible, each one by itself',
  needs: fields.map((field) => field.key),
  fieldByField: true,
  source: 'Ranges of each: common practice',
  test: (record, { system }) => fields.flatMap((field) => finding(record, field, system) ?? []),
};
