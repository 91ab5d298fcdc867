export {
  water,
  waterInputSchema,
  waterOutcomeSchema,
  type WaterInput,
  type WaterValue,
} from './water.ts';
export { waterStyle, waterStyles, type WaterStyle } from './styles.ts';
export { waterInputOf } from './from-record.ts';
