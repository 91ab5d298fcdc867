export { conclude, type Answers, type Conclusion, type Weighed } from './conclude.ts';
export {
  findingInputs,
  findingsOf,
  gravityNow,
  isSaidFirst,
  isToldFirst,
  needsTechnician,
  openFindings,
  saidFirst,
  type FoundThing,
} from './findings.ts';
export {
  ageWords,
  answersTo,
  knownOfMismatch,
  oddWheels,
  wheelsOf,
  type WheelOn,
} from './wheels.ts';
export {
  inspectedOn,
  inspectionInputs,
  inspectionOf,
  inspectionState,
  operableOf,
  signInspection,
  type InspectionState,
  type ItemOn,
  type Operable,
} from './inspection.ts';
