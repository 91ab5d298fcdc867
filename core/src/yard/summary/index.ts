export { mostSummaries, summaryApi } from './api.ts';
export {
  briefIn,
  checkedOn,
  summaryOf,
  verdictOf,
  type Left,
  type UnitSummary,
  type Verdict,
} from './summary.ts';
