export { stationAtSpot } from './spot-station.ts';
export {
  outlineOf,
  layoutLength,
  type Box,
  type Outline,
  type OutlinePart,
  type Peg,
} from './outline.ts';
export { hitchFirstDoorSide, isOnRing, stationPlaces, type StationPlace } from './stations.ts';
export { knownAt, isOnUnit, stationState, type Known, type StationState } from './station-state.ts';
