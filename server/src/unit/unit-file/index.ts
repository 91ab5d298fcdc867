export { unitFilePlugin } from './plugin.ts';
