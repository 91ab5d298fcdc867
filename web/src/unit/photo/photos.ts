import { byWhom, type Photo, type UnitRecord } from '@fair-gable/core/unit/record';

/** A photo of a unit, by its id. */
export interface PhotoOf {
  readonly id: string;
  readonly photo: Photo;
  readonly by: string;
  readonly at: string;
}

/** The photos of a unit, oldest first; of one thing where a target is given. */
export const photosOf = (record: UnitRecord, target?: string): readonly PhotoOf[] =>
  Object.entries(record.photos)
    .flatMap(([id, entry]) =>
      entry && (target === undefined || entry.value.of.includes(target))
        ? [{ id, photo: entry.value, by: byWhom(entry), at: entry.at }]
        : [],
    )
    .toSorted((a, b) => a.at.localeCompare(b.at));
