export { columnsOf, type Column } from './columns.ts';
export { decimalOf, withPoint, type Decimal } from './decimal.ts';
export {
  changesByLine,
  readLine,
  recordByLine,
  repeatedLines,
  type CellProblem,
  type Line,
  type Reading,
  type LineValue,
} from './rows.ts';
export { listLimit, stockListApi } from './api.ts';
