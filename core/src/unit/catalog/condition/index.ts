export { gravities, type Gravity } from './gravities.ts';
export {
  findingKind,
  findingKinds,
  isFindingKind,
  technicianDecides,
  type Concern,
  type FindingKind,
  type FindingKindKey,
  type LookKey,
} from './finding-kinds.ts';
export { lookEntry, looks, type Ask, type Explanation, type GuidedLook } from './looks.ts';
export {
  inspectionItem,
  inspectionItems,
  isInspectionKey,
  type InspectionItem,
  type InspectionKey,
} from './inspection-items.ts';
export {
  isWheelKey,
  wears,
  wellStates,
  wheelPlace,
  wheelPlaces,
  wheelStates,
  type WheelKey,
} from './wheels.ts';
