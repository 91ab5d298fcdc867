import {
  labelKinds,
  labelTargets,
  lawfulLabels,
  type LabelKind,
  type SpecKey,
} from '../catalog/index.ts';
import { agree, countedOf, type Change, type SpecValue, type UnitRecord } from '../record/index.ts';

/** The labels of a unit with what they settle and is not read off them yet. */
export const labelsOf = (
  record: UnitRecord,
): readonly (LabelKind & { readonly unread: readonly SpecKey[] })[] =>
  labelKinds.map((kind) => ({
    ...kind,
    unread: kind.settles.filter(
      (key) =>
        record.specs[key]?.how !== 'read' &&
        (key !== 'axleRating' || countedOf(record, key) === undefined),
    ),
  }));

/** The labels that law asks for of which there is no photo. */
export const labelsWithoutPhoto = (record: UnitRecord): readonly LabelKind[] => {
  const shown = new Set(Object.values(record.photos).flatMap((entry) => entry?.value.of ?? []));
  return lawfulLabels.filter((kind) => !labelTargets(kind).some((target) => shown.has(target)));
};

/**
 * The change by which “labels photographed” says what the photos show: ticked once there is one of each label, off
 * again when one is gone.
 */
export const changesByLabelPhotos = (record: UnitRecord): readonly Change[] => {
  const state = record.features.labelPhotos;
  const isThere = labelsWithoutPhoto(record).length === 0;
  const isTicked = state?.value.state === 'standard';
  if (isThere === isTicked) return [];
  const basedOn = state?.version ?? 0;
  const value = isThere ? { state: 'standard' as const } : null;
  return [{ part: 'features', key: 'labelPhotos', value, how: 'seen', basedOn }];
};

/** What a label was read to say, and what was read before. */
export interface OtherReading {
  readonly key: SpecKey;
  readonly before: SpecValue;
  readonly now: SpecValue;
}

/** Figures that belong to one unit alone: where they differ from what was read, it may be another unit's label. */
const ofOneUnit: ReadonlySet<SpecKey> = new Set(['vin', 'gvwr', 'axleRating', 'uvw', 'ccc']);

/** In what a label that is read now differs from what was read off it before. */
export const otherReadings = (
  record: UnitRecord,
  read: readonly { readonly key: SpecKey; readonly value: SpecValue }[],
): readonly OtherReading[] =>
  read.flatMap(({ key, value }) => {
    const entry = record.specs[key];
    const wasRead = entry?.how === 'read' && ofOneUnit.has(key);
    return wasRead && !agree(entry.value, value, key)
      ? [{ key, before: entry.value, now: value }]
      : [];
  });
