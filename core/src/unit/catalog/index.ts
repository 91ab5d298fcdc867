export type { Layer, Side, StationEntry, UsualPlace } from './station-entry.ts';
export type {
  StationKey,
  Shape,
  Medium,
  Located,
  Wordings,
  WordsIf,
  Advice,
  Plausible,
  ValueKind,
  EntryWords,
  SpecEntry,
  FeatureEntry,
  AtStation,
  StationEntries,
} from './types.ts';
export {
  specs,
  features,
  stations,
  audiences,
  schools,
  specEntry,
  featureEntry,
  entryFor,
  stationEntry,
  schoolEntry,
  audienceRow,
  isSpecKey,
  isFeatureKey,
  isStationKey,
  isSchoolKey,
  isLocatedKey,
  locatedEntries,
  type Spec,
  type Feature,
  type Station,
  type School,
  type AudienceRow,
} from './catalog.ts';
export type { SpecKey, FeatureKey } from './entries/index.ts';
export {
  featureKinds,
  featureStates,
  isFitted,
  isPrepared,
  knownBy,
  stateLabel,
  statesOf,
  type FeatureKind,
  type FeatureState,
  type HowKnown,
  type StateChoice,
} from './states.ts';
export type { Audience } from './audiences.ts';
export type { SchoolKey } from './schools.ts';
export { tirePositions } from './entries/tires.ts';
export type { Choice } from './choice.ts';
export { gravities, type Gravity } from './condition/gravities.ts';
export {
  findingKind,
  findingKinds,
  isFindingKind,
  technicianDecides,
  type Concern,
  type FindingKind,
  type FindingKindKey,
  type LookKey,
} from './condition/finding-kinds.ts';
export {
  lookEntry,
  looks,
  type Ask,
  type Explanation,
  type GuidedLook,
} from './condition/looks.ts';
export {
  inspectionItem,
  inspectionItems,
  isInspectionKey,
  type InspectionItem,
  type InspectionKey,
} from './condition/inspection-items.ts';
export {
  isWheelKey,
  wears,
  wellStates,
  wheelPlace,
  wheelPlaces,
  wheelStates,
  type WheelKey,
} from './condition/wheels.ts';
export {
  blanksIn,
  filledIn,
  leadOf,
  specsOnCard,
  wordingsOf,
  type Blank,
  type BlankForm,
} from './wordings.ts';
export { labelKinds, labelTargets, lawfulLabels, type LabelKind } from './label-kinds.ts';
export { isPublic, isPublicTarget, publicEntries, publicLabel } from './public.ts';
export { findEntries } from './find.ts';
export { wordsFor } from './words.ts';
export { namesOf, otherNames } from './other-names.ts';
