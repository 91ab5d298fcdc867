export { columnsOf, type Column } from './columns.ts';
export {
  changesByLine,
  readLine,
  repeatedLines,
  type CellProblem,
  type Line,
  type Reading,
  type Saying,
} from './rows.ts';
