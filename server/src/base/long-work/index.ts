export { fairSharePlugin } from './fair-share.ts';
export { LongWork, type AtWork } from './long-work.ts';
export { longWorkPlugin, workHeader } from './plugin.ts';
