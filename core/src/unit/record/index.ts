export {
  emptyRecord,
  featureStateSchema,
  featureValueSchema,
  howKnownSchema,
  keyTests,
  placeSchema,
  parts,
  recordSchema,
  settlementSchema,
  specValueSchema,
  valueSchemas,
  bounds,
  type Bound,
  type Entry,
  type FeatureValue,
  type Part,
  type Place,
  type Settlement,
  type SpecValue,
  type Statement,
  type UnitRecord,
} from './schema.ts';
export {
  applyChange,
  changeProblem,
  changeSchema,
  entryAfter,
  entryOf,
  inverseOf,
  knownOtherwise,
  newlySaid,
  saidBy,
  specProblem,
  writtenOut,
  type Change,
  type FieldValue,
  type ValueOf,
} from './change.ts';
export {
  adviceFor,
  isKnownMissing,
  isOfKind,
  amountOf,
  applies,
  countedOf,
  howMany,
  figureOf,
  formatSpec,
  hasFeature,
  howOf,
  isExact,
  nameOf,
  ourKeys,
  particularsOf,
  sidesOf,
  textOf,
  withoutOurs,
} from './read.ts';
export { editSchema, historyRowSchema, type Edit, type HistoryRow } from './edit.ts';
export { fieldLabel, fieldText, targetLabel, whoBriefly, whoSaid } from './words.ts';
export { typedSpec } from './typed.ts';
export { distanceProblem, doubtOfDistance, typedDistance } from './typed-place.ts';
export { agree, isAsSheet, isSameValue, statementsOf, type Said } from './evidence.ts';
export { sideSchema } from './values/side.ts';
export { spotLayers, spotSchema, textLimit, type Spot } from './values/spot.ts';
export {
  answers,
  verdicts,
  type Answer,
  type Finding,
  type Signature,
  type Verdict,
} from './values/finding.ts';
export type { Moisture, Wheel } from './values/wheel.ts';
export { photoTarget, type Photo } from './values/photo.ts';
export { inspectionResults, type Inspected, type InspectionResult } from './values/inspected.ts';
export type { Fitted, Stowed } from './values/aboard.ts';
export { scopes, type Question } from './values/question.ts';
export {
  questionKeys,
  tankKeys,
  waterRatesSchema,
  type KeptTrial,
  type QuestionKey,
  type TankKey,
  type Trial,
  type WaterRates,
  type Weighings,
} from './values/trial.ts';
export { isWordingKey, wordingSchema, type Wording } from './values/wording.ts';
export {
  figureSources,
  vehicleFigures,
  vehicleSchema,
  type Figure,
  type FigureSource,
  type Vehicle,
  type VehicleFigureKey,
} from './values/vehicle.ts';
