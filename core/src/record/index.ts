export {
  emptyRecord,
  featureStateSchema,
  featureValueSchema,
  howKnownSchema,
  keyTests,
  placeSchema,
  recordSchema,
  settlementSchema,
  sideSchema,
  specValueSchema,
  textLimit,
  type Entry,
  type FeatureValue,
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
  parts,
  specProblem,
  writtenOut,
  type Change,
  type FieldValue,
  type Part,
} from './change.ts';
export {
  amountOf,
  applies,
  countedOf,
  formatSpec,
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
export { fieldLabel, fieldText } from './words.ts';
export { typedSpec } from './typed.ts';
export { agree, isAsSheet, isSameValue, statementsOf, type Said } from './evidence.ts';
