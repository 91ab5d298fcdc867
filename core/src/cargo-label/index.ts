export {
  batteryPounds,
  explainDifference,
  labelLine,
  labelRounding,
  possibleExplanations,
} from './explain.ts';
export {
  cargoLabel,
  cargoLabelInputSchema,
  cargoLabelOutcomeSchema,
  cargoLabelValue,
  type CargoLabelInput,
  type CargoLabelValue,
} from './cargo-label.ts';
export { cargoLabelInputOf } from './from-record.ts';
