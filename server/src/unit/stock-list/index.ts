export { stockListPlugin } from './plugin.ts';
