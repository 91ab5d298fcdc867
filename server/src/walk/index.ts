export { Walk, WalkEventRow } from './entities.ts';
export { walkPlugin } from './plugin.ts';
