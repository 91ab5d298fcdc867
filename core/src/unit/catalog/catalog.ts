import { audiences as audienceRows, type Audience } from './audiences.ts';
import { byStation, type FeatureKey, type SpecKey } from './entries/index.ts';
import { schools as schoolRows, type SchoolEntry, type SchoolKey } from './schools.ts';
import { stations as stationRows } from './stations.ts';
import type { EntryWords, FeatureEntry, SpecEntry, StationEntries, StationKey } from './types.ts';
import type { StationEntry } from './station-entry.ts';

export type { FeatureKey, SpecKey } from './entries/index.ts';

/** A spec field, without what is said of it: that is loaded apart (`wordsFor`). */
export interface Spec extends Omit<SpecEntry, keyof EntryWords> {
  readonly key: SpecKey;
}
/** A feature, without what is said of it. */
export interface Feature extends Omit<FeatureEntry, keyof EntryWords> {
  readonly key: FeatureKey;
}
export interface Station extends StationEntry {
  readonly key: StationKey;
}
export interface School extends SchoolEntry {
  readonly key: SchoolKey;
}
export interface AudienceRow {
  readonly key: Audience;
  readonly label: string;
  readonly cares: string;
}

/** Every station, in peg order. */
export const stations: readonly Station[] = stationRows;

const entriesOf = <P extends keyof StationEntries>(part: P) =>
  stations.flatMap(({ key }) =>
    (byStation[key] as StationEntries)[part].map((entry) => ({ ...entry, station: key })),
  );

/** Every spec field, in the order of the stations. */
export const specs = entriesOf('specs') as unknown as readonly Spec[];
/** Every feature, in the order of the stations. */
export const features = entriesOf('features') as unknown as readonly Feature[];
/** Who a buyer may be. */
export const audiences: readonly AudienceRow[] = audienceRows;
/** Where practitioners disagree. */
export const schools: readonly School[] = schoolRows;

const keyed = <K extends string, E extends { readonly key: K }>(rows: readonly E[]) =>
  new Map<string, E>(rows.map((row) => [row.key, row]));

const specByKey = keyed(specs);
const featureByKey = keyed(features);
const stationByKey = keyed(stations);
const schoolByKey = keyed(schools);
const audienceByKey = keyed(audiences);

/** The entry of a spec field. */
export const specEntry = (key: SpecKey): Spec => specByKey.get(key) as Spec;
/** The entry of a feature. */
export const featureEntry = (key: FeatureKey): Feature => featureByKey.get(key) as Feature;
/** The entry of a spec field or a feature. */
export const entryFor = (key: SpecKey | FeatureKey): Spec | Feature =>
  (specByKey.get(key) ?? featureByKey.get(key)) as Spec | Feature;
/** The entry of a station. */
export const stationEntry = (key: StationKey): Station => stationByKey.get(key) as Station;
/** The entry of a disagreement. */
export const schoolEntry = (key: SchoolKey): School => schoolByKey.get(key) as School;
/** The row of an audience. */
export const audienceRow = (key: Audience): AudienceRow => audienceByKey.get(key) as AudienceRow;

export const isSpecKey = (key: string): key is SpecKey => specByKey.has(key);
export const isFeatureKey = (key: string): key is FeatureKey => featureByKey.has(key);
export const isStationKey = (key: string): key is StationKey => stationByKey.has(key);
export const isSchoolKey = (key: string): key is SchoolKey => schoolByKey.has(key);

/** Everything that has a place on the outline. */
export const locatedEntries: readonly (Spec | Feature)[] = [...specs, ...features].filter(
  (entry) => entry.located,
);

const locatedKeys = new Set<string>(locatedEntries.map((entry) => entry.key));

export const isLocatedKey = (key: string): key is SpecKey | FeatureKey => locatedKeys.has(key);
