export type { Box } from './box.ts';
export { stationAtSpot } from './spot-station.ts';
export {
  drawingOf,
  outlineOf,
  layoutLength,
  type Drawing,
  type Outline,
  type OutlinePart,
  type Peg,
} from './outline.ts';
export { floorSize, type Furniture } from './furniture.ts';
export { hitchFirstDoorSide, isOnRing, stationPlaces, type StationPlace } from './stations.ts';
export { knownAt, isOnUnit, stationState, type Known, type StationState } from './station-state.ts';
