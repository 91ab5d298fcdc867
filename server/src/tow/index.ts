export { vehiclesPlugin } from './plugin.ts';
