export { healthPlugin } from './plugin.ts';
export { drainPlugin } from './drain.ts';
