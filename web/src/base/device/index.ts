export {
  device,
  deviceId,
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
export { forgetPerson } from './forget.ts';
export { describe } from './unsent/index.ts';
