export { announce, type News } from './announce.ts';
export { livePlugin } from './plugin.ts';
