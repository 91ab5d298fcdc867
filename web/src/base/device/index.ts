export {
  device,
  deviceId,
  forgetPerson,
  keep,
  keepUnit,
  keepUnits,
  kept,
  keptMemo,
  keptPicture,
  keptUnits,
  keptWalks,
  type KeptMemo,
  type KeptWalk,
  type NewUnit,
  type OwnClash,
  type Unsent,
} from './device.ts';
export { useOutbox } from './outbox.ts';
export type { KeptDeclined, Queued } from './shelf.ts';
export { describe } from './describe.ts';
