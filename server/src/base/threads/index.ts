export { inThread, type Saying } from './in-thread.ts';
export { threadFile, Threads, type Apart, type Progress } from './threads.ts';
export { threadsPlugin } from './plugin.ts';
