export type * from './types.ts';
export {
  specs,
  features,
  stations,
  stationsInUse,
  specEntry,
  featureEntry,
  stationEntry,
  isSpecKey,
  isFeatureKey,
  isStationKey,
  isLocatedKey,
  locatedEntries,
  type SpecKey,
  type FeatureKey,
  type Spec,
  type Feature,
  type Station,
} from './catalogue.ts';
export { featureStates, isFitted, knownBy, type FeatureState, type HowKnown } from './states.ts';
