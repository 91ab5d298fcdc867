export { summaryPlugin } from './plugin.ts';
export { forgetSummaries } from './renewing.ts';
