export { catalogPlugin } from './plugin.ts';
