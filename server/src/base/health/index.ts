export { anonymousPlugin } from './anonymous.ts';
export { healthPlugin } from './plugin.ts';
export { drainPlugin } from './drain.ts';
