export { summaryPlugin } from './plugin.ts';
