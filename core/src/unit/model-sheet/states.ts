import {
  featureEntry,
  stateLabel,
  statesOf,
  type FeatureKey,
  type FeatureState,
  type StateChoice,
} from '../catalog/index.ts';
import type { FieldValue } from '../record/index.ts';

/** What became of a thing on the lot. */
const becameOfIt: readonly FeatureState[] = ['unreadable', 'missing'];
/** What a yard added is of one unit too; sheets of before can say it, and nobody chooses it anew. */
const ofOneUnit: readonly FeatureState[] = ['ours', ...becameOfIt];

/** The states that can be chosen of a feature on a model sheet: what the maker does. */
export const sheetStatesOf = (key: FeatureKey): readonly StateChoice[] =>
  statesOf(featureEntry(key).kind).filter((state) => !ofOneUnit.includes(state.key));

/** Whether what was found on a unit can be suggested for its sheet. */
export const isForSheets = (value: FieldValue): boolean =>
  !('state' in value) || !ofOneUnit.includes(value.state);

/** What is wrong with a state on a model sheet, in a sentence that names the feature; undefined when nothing is. */
export const sheetStateProblem = (key: FeatureKey, state: FeatureState): string | undefined => {
  if (!becameOfIt.includes(state)) return undefined;
  const { label, kind } = featureEntry(key);
  return `${label}: “${stateLabel(state, kind)}” is said of one unit, not of its model. Say what the maker does, or leave it off the sheet.`;
};
