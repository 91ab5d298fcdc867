import { specs, type Spec, type ValueKind } from '../catalog/index.ts';
import { formatQuantity } from '../../base/quantity/index.ts';
import { sidesOf } from '../record/index.ts';
import { isWithin, rangeOf } from './plausible.ts';
import { asFinding } from './as-finding.ts';
import type { Rule } from './types.ts';

interface Of<K extends ValueKind['kind']> extends Spec {
  readonly value: Extract<ValueKind, { kind: K }>;
}
const ofKind = <K extends ValueKind['kind']>(kind: K): readonly Of<K>[] =>
  specs.filter((spec): spec is Of<K> => spec.value.kind === kind);

const numbers = ofKind('number');
const sizes = ofKind('size').map((spec) => ({ ...spec, range: rangeOf(spec.value.plausible) }));

/** Counts, years and sums against their plausible range. */
export const plausibleNumbers: Rule = {
  key: 'number-range',
  doubts: 'its field',
  about: 'Counts, years and prices are plausible',
  needs: numbers.map(({ key }) => key),
  fieldByField: true,
  source: 'Ranges: common practice',
  test: (record) =>
    numbers.flatMap(({ key, label, value: { plausible } }) => {
      const value = record.specs[key]?.value;
      if (value?.kind !== 'number') return [];
      if (value.number >= plausible.from && value.number <= plausible.to) return [];
      return [
        asFinding({
          field: key,
          severity: 'doubtful',
          title: `${label} is unusual`,
          sentence: `${value.number} is outside the usual ${plausible.from} to ${plausible.to}. Read it again.`,
        }),
      ];
    }),
};

/** Each side of a size against its plausible range. */
export const plausibleSizes: Rule = {
  key: 'size-range',
  doubts: 'its field',
  about: 'Every side of a size is plausible',
  needs: sizes.map(({ key }) => key),
  fieldByField: true,
  source: 'Ranges: common practice',
  test: (record, { system }) =>
    sizes.flatMap(({ key, label, value, range }) => {
      const odd = sidesOf(record, key)?.findIndex((side) => !isWithin(side, range)) ?? -1;
      const side = sidesOf(record, key)?.[odd];
      if (side === undefined) return [];
      const show = (amount: number): string => formatQuantity(amount, value.display, system);
      return [
        asFinding({
          field: key,
          severity: 'doubtful',
          title: `${label} is unusual`,
          sentence: `${show(side)} ${value.sides[odd] ?? ''} is outside the usual ${show(range.from)} to ${show(range.to)}. Were the sides run together?`,
        }),
      ];
    }),
};
