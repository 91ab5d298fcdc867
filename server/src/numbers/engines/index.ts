export { numbersPlugin } from './plugin.ts';
