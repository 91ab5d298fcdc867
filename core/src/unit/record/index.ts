export {
  howKnownSchema,
  emptyRecord,
  recordSchema,
  type Entry,
  type Statement,
  type UnitRecord,
} from './schema.ts';
export { basicKeys, basicsOf, briefParts, type Basics, type Brief, type Known } from './brief.ts';
export { packed, unpacked, type PackedBrief } from './packed.ts';
export {
  parts,
  partRow,
  partRows,
  type FieldValue,
  type KeyOf,
  type Part,
  type ValueOf,
} from './parts/index.ts';
export type { RecordPart, Telling } from './parts/part.ts';
export { featureStateSchema, featureValueSchema, type FeatureValue } from './parts/features.ts';
export { placeSchema, type Place } from './parts/places.ts';
export { settlementSchema, type Settlement } from './parts/settlements.ts';
export { broughtInBy, rightToChange, unsignedChange } from './rights.ts';
export {
  applyChange,
  changeProblem,
  changeSchema,
  entryAfter,
  entryOf,
  inverseOf,
  knownOtherwise,
  newlyStated,
  statedBy,
  specProblem,
  stateProblem,
  writtenOut,
  type Change,
} from './change.ts';
export {
  bounds,
  figureOf,
  isExact,
  specValueSchema,
  type Bound,
  type SpecValue,
} from './values/spec.ts';
export { spokenSpec } from './values/spec-spoken.ts';
export { formatSpec } from './values/spec-text.ts';
export {
  adviceFor,
  isKnownMissing,
  isOfKind,
  amountOf,
  applies,
  countedOf,
  howMany,
  hasFeature,
  howOf,
  nameOf,
  ourKeys,
  particularsOf,
  sidesOf,
  textOf,
  withoutOurs,
} from './read.ts';
export { editSchema, historyRowSchema, type Edit, type HistoryRow } from './edit.ts';
export { fieldLabel, fieldText, targetLabel, whoBriefly, byWhom } from './words.ts';
export { typedSpec } from './typed.ts';
export { distanceProblem, doubtOfDistance, typedDistance } from './typed-place.ts';
export { agree, isAsSheet, isSameValue, statementsOf } from './evidence.ts';
export { sides, sideSchema } from './values/side.ts';
export { spotLayers, spotSchema, textLimit, type Spot } from './values/spot.ts';
export { answers, type Answer, type Finding } from './parts/findings.ts';
export { verdicts, type Signature, type Verdict } from './parts/signatures.ts';
export type { Moisture } from './parts/moisture.ts';
export type { Wheel } from './parts/wheels.ts';
export { photoTarget, type Photo } from './parts/photos.ts';
export { inspectionResults, type Inspected, type InspectionResult } from './parts/inspection.ts';
export type { Fitted } from './parts/fitted.ts';
export type { Stowed } from './parts/stowed.ts';
export { scopes, type Question } from './parts/questions.ts';
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
export { isWordingKey, wordingSchema, type Wording } from './parts/wordings.ts';
export {
  figureSources,
  vehicleFigures,
  vehicleSchema,
  type Figure,
  type FigureSource,
  type Vehicle,
  type VehicleFigureKey,
} from './values/vehicle.ts';
export { recordApi, unitSorts, type UnitNow, type YardUnit } from './api.ts';
