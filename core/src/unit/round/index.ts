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
export { listedAt, type AtStop, type StopList } from './at-stop.ts';
export { keypadFor, type Keypad, type PadKey } from './keypad.ts';
export {
  changesByLabelPhotos,
  labelsOf,
  labelsWithoutPhoto,
  otherReadings,
  type OtherReading,
} from './labels.ts';
