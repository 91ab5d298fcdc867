export { inThread, type Reporting } from './in-thread.ts';
export { threadFile, Threads, type Apart, type Progress } from './threads.ts';
export { threadsPlugin } from './plugin.ts';
