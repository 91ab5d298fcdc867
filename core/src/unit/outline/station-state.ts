import { features, specs, type Feature, type Spec, type StationKey } from '../catalog/index.ts';
import type { Objection } from '../checks/index.ts';
import { applies, type Brief } from '../record/index.ts';

/** How far a station's record has come; shown by shape and fill, never by color alone. */
export type StationState = 'open' | 'partly' | 'done' | 'wrong';

/** How many of a station's fields are known, and how many of those only from the model sheet. */
export interface Known {
  readonly known: number;
  readonly taken: number;
  readonly of: number;
}

export const knownAt = (record: Brief, station: StationKey): Known => {
  const here = (entry: Spec | Feature): boolean =>
    entry.station === station && applies(record, entry);
  const specsHere = specs.filter(here);
  const featuresHere = features.filter(here);
  const entries = [
    ...specsHere.map((s) => record.specs[s.key]),
    ...featuresHere.map((f) => record.features[f.key]),
  ];
  return {
    known: entries.filter(Boolean).length,
    taken: entries.filter((entry) => entry?.how === 'sheet').length,
    of: entries.length,
  };
};

/**
 * Whether a unit has a station at all: a garage, bunks, an outside kitchen it has only when something of it is
 * fitted, or while nobody has looked.
 */
export const isOnUnit = (record: Brief, station: StationKey): boolean => {
  const here = features.filter((f) => f.station === station && applies(record, f));
  return here.some((f) => record.features[f.key]?.value.state !== 'none');
};

/** @param objections those of the whole record */
export const stationState = (
  record: Brief,
  station: StationKey,
  objections: readonly Objection[],
): StationState => {
  const here = new Set<string>(
    [...specs, ...features].filter((e) => e.station === station).map((e) => e.key),
  );
  const disagrees = (o: Objection): boolean =>
    !o.settled && o.severity !== 'look' && here.has(o.field);
  if (objections.some(disagrees)) return 'wrong';
  const { known, of } = knownAt(record, station);
  if (known === 0) return 'open';
  return known < of ? 'partly' : 'done';
};
