export type * from './types.ts';
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
  type SpecKey,
  type FeatureKey,
  type Spec,
  type Feature,
  type Station,
  type School,
  type AudienceRow,
} from './catalogue.ts';
export { featureStates, isFitted, knownBy, type FeatureState, type HowKnown } from './states.ts';
export type { Audience } from './audiences.ts';
export type { SchoolKey } from './schools.ts';
export { tyrePositions } from './entries/tyres.ts';
export type { Choice } from './choice.ts';
export * from './condition/index.ts';
export { blanksIn, filledIn, leadOf, toldWith, wordingsOf, type Blank } from './wordings.ts';
export { labelKinds, labelTargets, lawfulLabels, type LabelKind } from './label-kinds.ts';
export { isPublic, isPublicTarget, publicEntries, publicLabel } from './public.ts';
export { findEntries } from './find.ts';
export { inText, listed } from './in-text.ts';
export { namesOf, otherNames } from './other-names.ts';
