export { device, deviceId, forgetPerson, keep, kept, type KeptWalk } from './device.ts';
export { useOutbox } from './outbox.ts';
