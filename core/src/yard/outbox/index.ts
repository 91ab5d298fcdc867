export {
  afterConflict,
  fieldOf,
  keepMine,
  queued,
  withWaiting,
  type Clash,
  type Conflict,
  type WaitingEdit,
} from './queue.ts';
export { apiVersion } from './version.ts';
