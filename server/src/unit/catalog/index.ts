export { cataloguePlugin } from './plugin.ts';
