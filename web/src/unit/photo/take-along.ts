import type { YardUnit } from '@fair-gable/core/unit/record';

/** Fetches a unit's photos once, small, so that they are on the device when there is no network; what fails is left. */
export const takeAlong = async ({ id, record }: YardUnit): Promise<void> => {
  for (const photo of Object.keys(record.photos)) {
    await fetch(`/api/units/${id}/photos/${photo}?size=thumb`).catch(() => undefined);
  }
};
