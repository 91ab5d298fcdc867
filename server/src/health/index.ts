export { healthPlugin } from './plugin.ts';
