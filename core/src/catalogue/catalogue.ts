import { features as featureRows } from './features.ts';
import { specs as specRows } from './specs.ts';
import { stations as stationRows } from './stations.ts';
import type { FeatureEntry, SpecEntry, StationEntry, StationKey } from './types.ts';

export type SpecKey = (typeof specRows)[number]['key'];
export type FeatureKey = (typeof featureRows)[number]['key'];

export interface Spec extends SpecEntry {
  readonly key: SpecKey;
}
export interface Feature extends FeatureEntry {
  readonly key: FeatureKey;
}
export interface Station extends StationEntry {
  readonly key: StationKey;
}

/** Every spec field, in catalogue order. */
export const specs: readonly Spec[] = specRows;
/** Every feature, in catalogue order. */
export const features: readonly Feature[] = featureRows;
/** Every station, in peg order. */
export const stations: readonly Station[] = stationRows;

const specByKey = new Map<string, Spec>(specs.map((s) => [s.key, s]));
const featureByKey = new Map<string, Feature>(features.map((f) => [f.key, f]));
const stationByKey = new Map<string, Station>(stations.map((s) => [s.key, s]));

const isUsed = (station: Station): boolean =>
  [...specs, ...features].some((entry) => entry.station === station.key);

/** Stations that have something to record; the interface offers no others. */
export const stationsInUse: readonly Station[] = stations.filter(isUsed);

/** The entry of a spec field. */
export const specEntry = (key: SpecKey): Spec => specByKey.get(key) as Spec;
/** The entry of a feature. */
export const featureEntry = (key: FeatureKey): Feature => featureByKey.get(key) as Feature;
/** The entry of a station. */
export const stationEntry = (key: StationKey): Station => stationByKey.get(key) as Station;

export const isSpecKey = (key: string): key is SpecKey => specByKey.has(key);
export const isFeatureKey = (key: string): key is FeatureKey => featureByKey.has(key);
export const isStationKey = (key: string): key is StationKey => stationByKey.has(key);

/** Everything that has a place on the outline. */
export const locatedEntries: readonly (Spec | Feature)[] = [...specs, ...features].filter(
  (entry) => entry.located,
);

export const isLocatedKey = (key: string): key is SpecKey | FeatureKey =>
  locatedEntries.some((entry) => entry.key === key);
