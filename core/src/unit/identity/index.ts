export { readVin, tidyVin, vinCheckDigit, type VinReading } from './vin.ts';
export { modelYearsOf } from './model-year.ts';
export {
  builtOn,
  dotWeek,
  readDotDate,
  tireMonths,
  type DotDate,
  type DotReading,
} from './dot-date.ts';
export { readTireCode, sizeOf, type TireCode } from './tire-code.ts';
export { loadOfIndex, speedOfSymbol } from './load-index.ts';
export { loadRanges, pressureOfRange, tableLoad } from './load-range.ts';
export {
  floorPlanGlossary,
  planInWords,
  readFloorPlan,
  type GlossaryRow,
  type PlanPart,
  type PlanReading,
} from './floor-plan.ts';
export { readScanned, type Scanned } from './scanned.ts';
export { codeInWords } from './in-words.ts';
