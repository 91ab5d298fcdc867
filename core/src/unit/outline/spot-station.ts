import { stationEntry, type StationKey } from '../catalog/index.ts';
import type { Spot, UnitRecord } from '../record/index.ts';
import { outlineOf } from './outline.ts';

const apart = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  Math.hypot(a.x - b.x, a.y - b.y);

/** The station nearest to a spot of the outline, in its layer; a person may say another. */
export const stationAtSpot = (record: UnitRecord, spot: Spot): StationKey => {
  const { pegs, within } = outlineOf(record);
  const ofLayer = spot.layer === 'outside' ? pegs : within[spot.layer];
  const nearest = ofLayer
    .filter(({ station }) => spot.layer !== 'outside' || stationEntry(station).layer === 'outside')
    .toSorted((a, b) => apart(a, spot) - apart(b, spot))[0];
  return nearest?.station ?? (spot.layer === 'roof' ? 'roof' : 'construction');
};
