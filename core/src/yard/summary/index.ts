export { mostSummaries, summaryApi } from './api.ts';
export { summaryOf, verdictOn, type Left, type UnitSummary, type Verdict } from './summary.ts';
