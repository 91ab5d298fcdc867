export {
  units,
  unitRow,
  toInternal,
  fromInternal,
  type Dimension,
  type UnitKey,
  type UnitRow,
} from './units.ts';
export {
  displays,
  displayRow,
  systems,
  otherSystem,
  type Display,
  type System,
} from './display.ts';
export {
  longestFigure,
  parseQuantity,
  parseRough,
  parseCount,
  parseCounted,
  parseSize,
  readNumber,
  withFigures,
  type Parsed,
  type Rough,
  type Counted,
} from './parse.ts';
export {
  quantityParts,
  formatQuantity,
  formatCounted,
  formatSize,
  formatWhole,
  type NumberPart,
} from './format.ts';
export { quantityBefore, spokenCount, spokenQuantity, spokenSize } from './spoken.ts';
export { labelPoundsPerGallon, poundsPerGallon } from './water.ts';
