import { specs, type Plausible, type SpecKey, type ValueKind } from '../catalog/index.ts';
import { toInternal } from '../../base/quantity/index.ts';

export interface Range {
  readonly from: number;
  readonly to: number;
}

/** A plausible range in internal units. */
export const rangeOf = (plausible: Plausible): Range => ({
  from: toInternal(plausible.from, plausible.unit),
  to: toInternal(plausible.to, plausible.unit),
});

/** Converted figures are off by their last digit: one part in a million is none. */
const slack = (bound: number): number => 1e-6 * Math.abs(bound);

export const isWithin = (amount: number, range: Range): boolean =>
  amount >= range.from - slack(range.from) && amount <= range.to + slack(range.to);

type Kind<K extends ValueKind['kind']> = Extract<ValueKind, { kind: K }>;

/** A spec field as its checks need it, worked out once and not at every look. */
export interface Checked<K extends 'quantity' | 'counted'> {
  readonly key: SpecKey;
  readonly label: string;
  readonly kind: Kind<K>;
  readonly range: Range;
}

/** The spec fields that hold a kind of value, with their ranges. */
export const specsOfKind = <K extends 'quantity' | 'counted'>(kind: K): readonly Checked<K>[] =>
  specs.flatMap(({ key, label, value }) => {
    if (value.kind !== 'quantity' && value.kind !== 'counted') return [];
    const range = rangeOf(value.plausible);
    return value.kind === kind ? [{ key, label, kind: value as Kind<K>, range }] : [];
  });
