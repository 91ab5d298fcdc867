export {
  water,
  waterInputSchema,
  waterOutcomeSchema,
  type WaterInput,
  type WaterValue,
} from './water.ts';
export { waterStyle, waterStyles, type WaterStyle } from './styles.ts';
export { waterInputOf } from './from-record.ts';
export {
  betweenThirds,
  drainMinutes,
  fillMinutes,
  recoveryMinutes,
  type DrainSize,
} from './times.ts';
export { panelOf, waterTimes, type WaterTime } from './hot-and-full.ts';
