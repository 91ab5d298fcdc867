export {
  midYearSchema,
  modelSheetSchema,
  noValues,
  offerSchema,
  type KeptSheet,
  type MidYear,
  type ModelSheet,
  type Offer,
  type SheetObjection,
  type SheetPackage,
  type SheetValues,
} from './schema.ts';
export {
  composed,
  forbiddenPairs,
  inheritedBy,
  packagesOn,
  seriesSheetOf,
  sheetFor,
  type Build,
} from './compose.ts';
export { doubtsOfSheet } from './doubts.ts';
export { isForSheets, sheetStatesOf } from './states.ts';
export { changesBySheet, changesToFollow, followsSheet } from './follow.ts';
export {
  differenceText,
  packageEffect,
  sheetDifferences,
  unitDifferences,
  type PackageEffect,
  type SheetDifference,
  type UnitDifference,
} from './compare.ts';
export {
  modelSheetVersion,
  freeKey,
  modelSheetFileSchema,
  modelSheetJsonSchema,
  readModelSheetFile,
  toModelSheetFile,
  type ModelSheetReading,
} from './file.ts';
export { modelSheetApi, type SheetChange, type Touched } from './api.ts';
