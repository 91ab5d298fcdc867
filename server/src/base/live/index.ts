export { livePlugin } from './plugin.ts';
