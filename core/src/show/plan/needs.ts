import { stationEntry, type FeatureKey } from '../../unit/catalog/index.ts';
import { operableOf } from '../../unit/condition/index.ts';
import { hasFeature, type UnitRecord } from '../../unit/record/index.ts';
import type { NeedKey } from '../cards/index.ts';
import type { Point } from '../cards/index.ts';
import { aboutOf } from '../about/index.ts';

/** Stations that stand behind a closed slide. */
const behindSlide = new Set(['kitchen', 'living', 'bedroom']);
/** Stations of which the things that are shown want power. */
const powered = new Set(['control-panel', 'climate']);
const awnings = new Set(['awning', 'awningPower', 'awningLight', 'awningSensor', 'awningPitch']);

/** Whether a thing of this unit may be operated, by whoever may operate at all. */
export const mayRun = (record: UnitRecord, key: FeatureKey, operates = true): boolean => {
  const { may, toldOnly } = operableOf(record);
  return operates && may && !toldOnly.has(key) && record.features[key]?.value.tried !== 'faulty';
};

/**
 * What a card needs on this unit. What may not be operated is not asked for: it is told from where one stands.
 * @param operates false for whoever may operate nothing
 */
export const needsOf = (record: UnitRecord, point: Point, operates = true): readonly NeedKey[] => {
  const key = aboutOf(point.id)?.name ?? '';
  const isInside = stationEntry(point.station).layer === 'inside';
  const isShown = point.show !== undefined && !point.show.startsWith('Point it out');
  const isBehind = isInside && behindSlide.has(point.station) && hasFeature(record, 'slide');
  const wants: readonly (readonly [NeedKey, boolean])[] = [
    ['inside', isInside],
    ['slide', isBehind && mayRun(record, 'slide', operates)],
    ['awning', isShown && awnings.has(key)],
    ['power', isShown && powered.has(point.station)],
  ];
  return wants.filter(([, isWanted]) => isWanted).map(([need]) => need);
};
