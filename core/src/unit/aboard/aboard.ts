import {
  featureEntry,
  features,
  isFeatureKey,
  statesOf,
  type Feature,
  type FeatureKey,
  type FeatureState,
} from '../catalog/index.ts';
import { labelLine } from '../cargo-label/index.ts';
import {
  amountOf,
  hasFeature,
  textOf,
  type Change,
  type Entry,
  type Fitted,
  type UnitRecord,
} from '../record/index.ts';

/** A loose item: whether it is here, and where it is stowed. */
export interface LooseItem {
  readonly feature: Feature;
  /** Left out where nobody looked. */
  readonly state: FeatureState | undefined;
  readonly isHere: boolean;
  readonly where: string | undefined;
}

/** What goes with a unit without being fixed to it, in the order of the catalog. */
export const looseItems = (record: UnitRecord): readonly LooseItem[] =>
  features
    .filter(({ station }) => station === 'loose-items')
    .map((feature) => ({
      feature,
      state: record.features[feature.key]?.value.state,
      isHere: hasFeature(record, feature.key),
      where: record.stowed[feature.key]?.value.where,
    }));

/** A line of the ledger of what the yard fitted. */
export interface FittedLine {
  readonly id: string;
  readonly entry: Entry<Fitted>;
  readonly fitted: Fitted;
}

/** What the yard fitted, oldest first. */
export const fittedHere = (record: UnitRecord): readonly FittedLine[] =>
  Object.entries(record.fitted)
    .flatMap(([id, entry]) => (entry ? [{ id, entry, fitted: entry.value }] : []))
    .toSorted((a, b) => (a.fitted.on < b.fitted.on ? -1 : a.fitted.on > b.fitted.on ? 1 : 0));

/** Pounds that the yard fitted, by its ledger. */
export const fittedPounds = (record: UnitRecord): number =>
  fittedHere(record).reduce((sum, { fitted }) => sum + fitted.weight, 0);

/**
 * How far what was fitted is from the line past which the weight label is corrected; negative is past it. Pounds.
 * @returns undefined of a used unit, and where no GVWR is known
 */
export const leftToLabel = (record: UnitRecord): number | undefined => {
  const gross = amountOf(record, 'gvwr');
  if (gross === undefined || textOf(record, 'condition') === 'used') return undefined;
  return labelLine(gross) - fittedPounds(record);
};

/** What a feature that was added here is said to be: of a label, a proof or a position only that it is there. */
const addedState = (key: FeatureKey): FeatureState =>
  statesOf(featureEntry(key).kind).some((choice) => choice.key === 'ours') ? 'ours' : 'standard';

/** So that a feature that was added here says so. */
const featureChange = (record: UnitRecord, key: string | undefined): readonly Change[] => {
  if (key === undefined || !isFeatureKey(key)) return [];
  const entry = record.features[key];
  const state = addedState(key);
  if (entry?.value.state === state) return [];
  return [
    {
      part: 'features',
      key,
      value: { state },
      how: 'seen',
      basedOn: entry?.version ?? 0,
      others: [],
    },
  ];
};

/**
 * The changes by which a line of the ledger is written or struck: the sum on the papers goes with it, by which a
 * check says when the weight label must be corrected.
 * @param fitted null strikes the line
 */
export const changesToFit = (
  record: UnitRecord,
  id: string,
  fitted: Fitted | null,
): readonly Change[] => {
  const others = fittedHere(record).filter((line) => line.id !== id);
  const sum = others.reduce((pounds, line) => pounds + line.fitted.weight, fitted?.weight ?? 0);
  return [
    {
      part: 'fitted',
      key: id,
      value: fitted,
      how: 'measured',
      basedOn: record.fitted[id]?.version ?? 0,
    },
    {
      part: 'specs',
      key: 'fittedWeight',
      value: sum > 0 ? { kind: 'quantity', amount: sum } : null,
      how: 'measured',
      basedOn: record.specs.fittedWeight?.version ?? 0,
      others: [],
    },
    ...featureChange(record, fitted?.feature),
  ];
};
