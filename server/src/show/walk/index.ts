export { Walk, WalkEventRow } from './entities.ts';
export { walkPlugin } from './plugin.ts';
export { keepEvents, keepWalk, readWalk } from './walks.ts';
