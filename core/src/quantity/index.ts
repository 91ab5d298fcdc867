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
export { parseQuantity, parseCounted, readNumber, type Parsed, type Counted } from './parse.ts';
export {
  quantityParts,
  formatQuantity,
  formatCounted,
  formatWhole,
  type NumberPart,
} from './format.ts';
