import { inText } from '@fair-gable/core/base/words';
import { findingKind, gravities } from '@fair-gable/core/unit/catalog';
import { findingsOf, gravityNow, needsTechnician } from '@fair-gable/core/unit/condition';
import type { Spot, UnitRecord } from '@fair-gable/core/unit/record';

/** Something at a spot of the outline. */
export interface Marked {
  readonly id: string;
  readonly at: Spot;
  readonly text: string;
  /** By shape, never by color alone. */
  readonly shape: 'cross' | 'ring' | 'drop' | 'done';
}

/** The findings and moisture readings of a unit as marks on its outline. */
export const marksOf = (record: UnitRecord): readonly Marked[] => [
  ...findingsOf(record).flatMap((found): Marked[] => {
    const { id, finding } = found;
    if (!finding.at) return [];
    const gravity = inText(gravities.find(({ key }) => key === gravityNow(found))?.label ?? '');
    const text = `${findingKind(finding.kind).label}, ${finding.repaired ? 'repaired' : gravity}`;
    const shape = finding.repaired ? 'done' : needsTechnician(found) ? 'cross' : 'ring';
    return [{ id, at: finding.at, text, shape }];
  }),
  ...Object.entries(record.moisture).flatMap(([id, entry]): Marked[] =>
    entry
      ? [
          {
            id,
            at: entry.value.at,
            text: `Moisture ${entry.value.percent}%${entry.value.dry ? ', at a dry spot' : ''}`,
            shape: 'drop',
          },
        ]
      : [],
  ),
];
