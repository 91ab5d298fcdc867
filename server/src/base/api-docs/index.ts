export { apiDocsPlugin } from './plugin.ts';
