export {
  countOf,
  nextStop,
  roundOf,
  stopsLeft,
  wantedAt,
  type RoundCount,
  type Step,
  type StepPart,
  type StepState,
  type Stop,
} from './round.ts';
export { keypadFor, type Keypad, type PadKey } from './keypad.ts';
export {
  changesByLabelPhotos,
  labelKinds,
  labelsOf,
  labelTargets,
  type LabelKind,
} from './labels.ts';
