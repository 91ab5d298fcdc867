import { stationEntry } from '../catalogue/index.ts';
import { hasFeature, type UnitRecord } from '../record/index.ts';
import type { NeedKey } from './need-rows.ts';
import type { Point } from './point.ts';

/** Stations that stand behind a closed slide. */
const behindSlide = new Set(['kitchen', 'living', 'bedroom']);
/** Stations of which the things that are shown want power. */
const powered = new Set(['control-panel', 'climate']);
const awnings = new Set(['awning', 'awningPower', 'awningLight', 'awningSensor', 'awningPitch']);

/** What a card needs on this unit. Whoever operates nothing needs none of it but to go in. */
export const needsOf = (record: UnitRecord, point: Point): readonly NeedKey[] => {
  const key = point.id.split('.')[1] ?? '';
  const isInside = stationEntry(point.station).layer === 'inside';
  const operates = point.show !== undefined && !point.show.startsWith('Point it out');
  const hasSlide = hasFeature(record, 'slide');
  return [
    ...(isInside ? (['inside'] as const) : []),
    ...(hasSlide && isInside && behindSlide.has(point.station) ? (['slide'] as const) : []),
    ...(operates && awnings.has(key) ? (['awning'] as const) : []),
    ...(operates && powered.has(point.station) ? (['power'] as const) : []),
  ];
};
