export { examples } from './examples.ts';
export { apiDocsPlugin } from './plugin.ts';
