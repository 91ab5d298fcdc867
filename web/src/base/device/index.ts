export {
  device,
  deviceId,
  keep,
  kept,
  keptMemo,
  keptPicture,
  keptWalks,
  type KeptMemo,
  type KeptUnit,
  type KeptWalk,
  type NewUnit,
  type OwnClash,
  type Unsent,
} from './device.ts';
export {
  dropUnits,
  keepFetched,
  keepSummaries,
  keepUnits,
  keptRevisions,
  keptSummaries,
  keptUnit,
  keptUnitIds,
} from './units.ts';
export { useOutbox } from './outbox.ts';
export type { KeptDeclined, Queued } from './waiting.ts';
export { forgetPerson } from './forget.ts';
export { describe } from './unsent/index.ts';
