import { operableOf } from '../../unit/condition/index.ts';
import { hasFeature, textOf, type UnitRecord } from '../../unit/record/index.ts';
import type { NeedKey } from '../cards/index.ts';
import type { Point } from '../cards/index.ts';

/** Something to be done on the lot before a walk, and how long before it. */
export interface Preparation {
  readonly key: string;
  readonly what: string;
  /** Minutes before the walk that it must be begun. */
  readonly lead: number;
  readonly caution?: string;
}

interface Row extends Preparation {
  /** It operates something: left alone where the unit may not be operated. */
  readonly operates?: true;
  /** Whether this plan of this unit asks for it. */
  readonly when: (
    record: UnitRecord,
    points: readonly Point[],
    needs: readonly NeedKey[],
  ) => boolean;
}

const atStation = (points: readonly Point[], ...stations: readonly string[]): boolean =>
  points.some((point) => !point.first && stations.includes(point.station));
const has = (points: readonly Point[], key: string): boolean =>
  points.some(({ id }) => id.endsWith(`.${key}`));
const fridge = (record: UnitRecord): string => textOf(record, 'fridgeKind') ?? '';

/** Lead times are common practice; the maker's manual goes before them. Longest first. */
const rows: readonly Row[] = [
  {
    key: 'fridge-absorption',
    operates: true,
    what: 'Gas fridge on and level, the evening before',
    lead: 12 * 60,
    when: (record, points) =>
      has(points, 'fridge') && /absor|gas/.test(fridge(record)) && hasFeature(record, 'fridge'),
  },
  {
    key: 'fridge-compressor',
    operates: true,
    what: '12 V fridge on',
    lead: 120,
    when: (record, points) =>
      has(points, 'fridge') && /compress|12/.test(fridge(record)) && hasFeature(record, 'fridge'),
  },
  {
    key: 'power',
    operates: true,
    what: 'Shore power on',
    lead: 60,
    caution: 'Breaker off, plug seated, collar tight, then breaker on.',
    when: (_, points, needs) => needs.includes('power') || atStation(points, 'kitchen', 'climate'),
  },
  {
    key: 'climate',
    operates: true,
    what: 'Heat or air conditioner on',
    lead: 30,
    when: (_, points) => atStation(points, 'climate'),
  },
  {
    key: 'clean',
    what: 'Floors wiped, surfaces clear',
    lead: 30,
    when: (_, __, needs) => needs.includes('inside'),
  },
  {
    key: 'slide',
    operates: true,
    what: 'Slides out',
    lead: 15,
    caution: 'Clear inside and out, level and on power; hold the switch until it stops.',
    when: (_, __, needs) => needs.includes('slide'),
  },
  {
    key: 'staging',
    what: 'Dinette up, cushions and shades in place',
    lead: 15,
    when: (_, points) => atStation(points, 'living', 'bedroom', 'bunks'),
  },
  {
    key: 'awning',
    operates: true,
    what: 'Awning out, if the wind allows',
    lead: 10,
    caution: 'Bring it in before wind; go by the maker’s limit.',
    when: (_, __, needs) => needs.includes('awning'),
  },
  {
    key: 'keys',
    what: 'Keys out of the doors and in your pocket',
    lead: 5,
    when: () => true,
  },
  {
    key: 'lights',
    operates: true,
    what: 'Lights on inside',
    lead: 5,
    when: (_, __, needs) => needs.includes('inside'),
  },
];

/**
 * What must be on, out, cold or staged for these cards, what takes longest first. Nothing that may not be operated.
 * @param operates false for whoever may operate nothing
 */
export const preparationsFor = (
  record: UnitRecord,
  points: readonly Point[],
  needs: readonly NeedKey[],
  operates = true,
): readonly Preparation[] =>
  rows
    .filter((row) => !row.operates || (operates && operableOf(record).may))
    .filter(({ when }) => when(record, points, needs))
    .map(({ key, what, lead, caution }) => ({ key, what, lead, ...(caution ? { caution } : {}) }));
