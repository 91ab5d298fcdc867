import {
  locatedEntries,
  stations,
  type Side,
  type Station,
  type StationKey,
} from '../catalog/index.ts';
import type { Brief } from '../record/index.ts';

/** Where a station stands on this unit. */
export interface StationPlace {
  readonly station: Station;
  readonly side: Side;
  /** Inches back from the coupler. */
  readonly back: number;
}

/** Stations with a peg of their own on the ring; the others are reached from inside, the roof or papers. */
export const isOnRing = (station: Station): boolean => station.layer === 'outside';

const mean = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;

const commonest = (sides: readonly Side[], otherwise: Side): Side => {
  const count = (side: Side): number => sides.filter((s) => s === side).length;
  return sides.toSorted((a, b) => count(b) - count(a))[0] ?? otherwise;
};

/**
 * Where a station is: where its things are on this unit, else where it usually is.
 * Tanks and axles lie under the floor and do not move a station to the middle.
 * @param length overall length, inches
 */
const placeOf = (station: Station, record: Brief, length: number): StationPlace => {
  const usual = { side: station.usual.side as Side, back: station.usual.share * length };
  const found = locatedEntries
    .filter((entry) => entry.station === station.key && entry.located?.side !== 'center')
    .flatMap((entry) => record.places[entry.key]?.value ?? [])
    .filter((place) => place.side !== 'center');
  if (found.length === 0 || usual.side === 'front' || usual.side === 'rear') {
    return { station, ...usual };
  }
  const side = commonest(
    found.map((p) => p.side),
    usual.side,
  );
  return { station, side, back: mean(found.filter((p) => p.side === side).map((p) => p.back)) };
};

/** Every station in use, where it stands on this unit. */
export const stationPlaces = (record: Brief, length: number): readonly StationPlace[] =>
  stations.map((station) => placeOf(station, record, length));

/**
 * The order in which one walks the ring: hitch, down the door side, round the rear, up the
 * off-door side; then what is not on the ring, in peg order.
 */
export const hitchFirstDoorSide = (places: readonly StationPlace[]): readonly StationKey[] => {
  const leg: Readonly<Record<Side, number>> = {
    front: 0,
    door: 1,
    rear: 2,
    'off-door': 3,
    center: 4,
  };
  const along = (p: StationPlace): number => (p.side === 'off-door' ? -p.back : p.back);
  const ring = places
    .filter((p) => isOnRing(p.station))
    .toSorted((a, b) => leg[a.side] - leg[b.side] || along(a) - along(b));
  const rest = places.filter((p) => !isOnRing(p.station));
  return [...ring, ...rest].map((p) => p.station.key);
};
