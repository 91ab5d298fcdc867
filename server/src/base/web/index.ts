export { webPlugin } from './plugin.ts';
