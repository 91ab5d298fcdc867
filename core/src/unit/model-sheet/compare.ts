import {
  features,
  isFitted,
  specs,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type SpecKey,
} from '../catalog/index.ts';
import {
  agree,
  applies,
  entryOf,
  fieldLabel,
  fieldText,
  isAsSheet,
  statementsOf,
  type FieldValue,
  type Statement,
  type UnitRecord,
} from '../record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { SheetPackage, SheetValues } from './schema.ts';

/** A field of which two sheets say different things. */
export interface SheetDifference {
  readonly part: 'specs' | 'features';
  readonly key: SpecKey | FeatureKey;
  /** undefined where that sheet does not say. */
  readonly from: FieldValue | undefined;
  readonly to: FieldValue | undefined;
}

const stateOf = (state: FeatureState | undefined): FieldValue | undefined => state && { state };

const differs = (a: FieldValue | undefined, b: FieldValue | undefined): boolean =>
  a === undefined || b === undefined ? a !== b : !agree(a, b);

/** In what one sheet differs from another, in the order of the stations: the year before, a sister model. */
export const sheetDifferences = (
  from: SheetValues,
  to: SheetValues,
): readonly SheetDifference[] => [
  ...specs
    .map(({ key }) => ({
      part: 'specs' as const,
      key,
      from: from.specs[key],
      to: to.specs[key],
    }))
    .filter((d) => differs(d.from, d.to)),
  ...features
    .map(({ key }) => ({
      part: 'features' as const,
      key,
      from: stateOf(from.features[key]),
      to: stateOf(to.features[key]),
    }))
    .filter((d) => differs(d.from, d.to)),
];

/** A difference in words: `Fridge size: 10 ft³ → 8 ft³`. */
export const differenceText = (
  { part, key, from, to }: SheetDifference,
  system: System,
): string => {
  const words = (value: FieldValue | undefined): string =>
    value === undefined ? 'not said' : fieldText(part, key, value, 'sheet', system);
  return `${fieldLabel(part, key)}: ${words(from)} → ${words(to)}`;
};

const numberOf = (value: FieldValue | undefined): number | undefined => {
  if (value && 'kind' in value && value.kind === 'quantity') return value.amount;
  return value && 'kind' in value && value.kind === 'counted'
    ? value.each && value.count * value.each
    : undefined;
};

/** What a package does to a unit of its model. */
export interface PackageEffect {
  readonly adds: readonly FeatureKey[];
  readonly replaces: readonly FeatureKey[];
  /** Sizes that it makes smaller, and others that it changes. */
  readonly shrinks: readonly SheetDifference[];
  readonly changes: readonly SheetDifference[];
}

/** @param values of the sheet without the package */
export const packageEffect = (pack: SheetPackage, values: SheetValues): PackageEffect => {
  const changed = specs.flatMap(({ key }): readonly SheetDifference[] => {
    const to = pack.adds.specs[key];
    const from = values.specs[key];
    return to && differs(from, to) ? [{ part: 'specs', key, from, to }] : [];
  });
  const isSmaller = (d: SheetDifference): boolean => {
    const [from, to] = [numberOf(d.from), numberOf(d.to)];
    return from !== undefined && to !== undefined && to < from;
  };
  const isKey = (key: FeatureKey): boolean => pack.adds.features[key] !== undefined;
  return {
    adds: features.map((f) => f.key).filter((key) => isKey(key) && !isFitted(values.features[key])),
    replaces: pack.replaces,
    shrinks: changed.filter(isSmaller),
    changes: changed.filter((d) => !isSmaller(d)),
  };
};

/** A field in which a unit is not what its sheet says. */
export interface UnitDifference {
  readonly part: 'specs' | 'features';
  readonly key: SpecKey | FeatureKey;
  readonly sheet: FieldValue;
  /** What somebody read, measured or saw here. */
  readonly unit: Statement<FieldValue>;
  /** Fitted by the sheet and not here; here and not by the sheet; or another value. */
  readonly kind: 'missing' | 'extra' | 'other';
}

const kindOf = (sheet: FieldValue, unit: FieldValue): UnitDifference['kind'] => {
  if (!('state' in sheet) || !('state' in unit)) return 'other';
  if (isFitted(sheet.state) === isFitted(unit.state)) return 'other';
  return isFitted(sheet.state) ? 'missing' : 'extra';
};

/** What somebody found on the unit itself: what we were told and guesses are nothing to send back. */
const onItself: readonly HowKnown[] = ['read', 'measured', 'seen'];

const difference = (
  record: UnitRecord,
  part: 'specs' | 'features',
  key: SpecKey | FeatureKey,
  sheet: FieldValue | undefined,
): UnitDifference | undefined => {
  const unit = statementsOf(entryOf(record, part, key)).find(({ how }) => onItself.includes(how));
  if (!sheet || !unit || isAsSheet(key, sheet, unit.value)) return undefined;
  return { part, key, sheet, unit, kind: kindOf(sheet, unit.value) };
};

/**
 * As ordered against as arrived: where what is known of the unit itself is not what its sheet says, in
 * the order of the stations. What was fitted here is no difference to send back.
 */
export const unitDifferences = (
  record: UnitRecord,
  values: SheetValues,
): readonly UnitDifference[] => [
  ...specs
    .filter((s) => applies(record, s))
    .flatMap(({ key }) => difference(record, 'specs', key, values.specs[key]) ?? []),
  ...features.flatMap(
    ({ key }) => difference(record, 'features', key, stateOf(values.features[key])) ?? [],
  ),
];
