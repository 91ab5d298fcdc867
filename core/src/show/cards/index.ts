export {
  paces,
  pointSchema,
  secondsFor,
  totalSeconds,
  usualPace,
  wordsIn,
  type CardNumber,
  type Point,
  breath,
} from './point.ts';
export { pointsOf, type Presenting } from './points.ts';
export { modelTalk, noTalk, type ModelTalk } from './wording.ts';
export { needKeys, needRows, type NeedKey, type NeedRow } from './need-rows.ts';
