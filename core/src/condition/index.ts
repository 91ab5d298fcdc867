export { conclude, type Answers, type Conclusion, type Weighed } from './conclude.ts';
export {
  findingInputs,
  findingsOf,
  isSaidFirst,
  needsTechnician,
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
  inspectionInputs,
  inspectionOf,
  inspectionState,
  operableOf,
  signInspection,
  type InspectionState,
  type ItemOn,
  type Operable,
} from './inspection.ts';
export { disclosureOf, type Disclosed, type Disclosure } from './disclosure.ts';
