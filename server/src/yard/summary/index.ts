export { summaryPlugin } from './plugin.ts';
export { forgetVerdicts } from './verdicts.ts';
