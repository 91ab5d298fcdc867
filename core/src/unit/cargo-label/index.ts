export {
  batteryPounds,
  explainDifference,
  explanationWords,
  labelLine,
  labelRounding,
  possibleExplanations,
  type DryCounts,
  type LabelExplanation,
} from './explain.ts';
export {
  cargoLabel,
  cargoLabelInputSchema,
  cargoLabelOutcomeSchema,
  cargoLabelProblem,
  cargoLabelValue,
  type CargoLabelInput,
  type CargoLabelValue,
} from './cargo-label.ts';
export { cargoLabelInputOf, countsOf } from './from-record.ts';
