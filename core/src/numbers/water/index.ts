export {
  levelsAfter,
  water,
  waterInputSchema,
  waterOutcomeSchema,
  waterValue,
  type WaterInput,
  type WaterValue,
} from './water.ts';
export {
  ratesOf,
  waterStyle,
  waterStyles,
  yardWaterSchema,
  type WaterStyle,
  type YardWater,
} from './styles.ts';
export { waterInputOf } from './from-record.ts';
export {
  betweenThirds,
  drainMinutes,
  fillMinutes,
  recoveryMinutes,
  recoveryRate,
  type DrainSize,
} from './times.ts';
export {
  heaterRates,
  panelsOf,
  waterTimes,
  type HeaterRate,
  type Panel,
  type WaterTime,
} from './hot-and-full.ts';
