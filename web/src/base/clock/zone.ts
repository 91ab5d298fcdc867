import { ref } from 'vue';

/** Where the device itself is; until a yard says where it stands. */
export const deviceZone = (): string => new Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Where the yard stands on the clock, whose times all are. */
export const zone = ref(deviceZone());

/** Sets the place on the clock; one that this browser does not know leaves it at its own. */
export const standAt = (timeZone: string): void => {
  try {
    new Intl.DateTimeFormat(undefined, { timeZone });
    zone.value = timeZone;
  } catch {
    zone.value = deviceZone();
  }
};
