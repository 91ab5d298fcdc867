export { conclude, type Answers, type Conclusion, type Weighed } from './conclude.ts';
export {
  findingInputs,
  findingsOf,
  gravityNow,
  isUsuallyFirst,
  isDisclosedFirst,
  needsTechnician,
  openFindings,
  disclosedFirst,
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
  inspectedAt,
  inspectionInputs,
  inspectionOf,
  inspectionState,
  operableOf,
  operableWords,
  signInspection,
  type InspectionState,
  type ItemOn,
  type Operable,
} from './inspection.ts';
