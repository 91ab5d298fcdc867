import { specEntry, type SpecKey } from '../../unit/catalog/index.ts';
import { fittedHere } from '../../unit/aboard/index.ts';
import { layoutLength } from '../../unit/outline/index.ts';
import { givenOf, sumOf, worstHow, type Given, type InputHow } from '../../unit/outcome/index.ts';
import { poundsPerGallon } from '../../base/quantity/index.ts';
import {
  amountOf,
  howMany,
  hasFeature,
  tankKeys,
  textOf,
  type TankKey,
  type Trial,
  type UnitRecord,
} from '../../unit/record/index.ts';
import { balance, sweep } from './balance.ts';
import type { WeightInput } from './weight.ts';

/** What of a trial moves the weights. */
export type WeightTrial = Pick<Trial, 'levels' | 'gear' | 'propane'>;

/** Where gear goes. */
export interface GearPlace {
  readonly key: string;
  readonly label: string;
  /** Inches back from the coupler. */
  readonly back: number;
  /** As much as is tried there, pounds. */
  readonly most: number;
  /** What the place itself may carry. */
  readonly limit: Given | undefined;
}

/** Places where gear goes, as shares of the whole length; the pass-through is in front, a rack behind. */
const usualPlaces = [
  { key: 'front', label: 'Front storage', share: 0.22, most: 600 },
  { key: 'galley', label: 'Galley and middle', share: 0.5, most: 600 },
  { key: 'rear', label: 'Rear, inside', share: 0.85, most: 600 },
  { key: 'garage', label: 'Machines in the garage', share: 0.8, most: 2000, needs: 'garageSpace' },
  { key: 'rack', label: 'Rear rack', share: 1.03, most: 600, limitedBy: 'rearRackRating' },
] as const;

/** A garage is at the rear: its middle, where its length is known. */
const garageBack = (record: UnitRecord, share: number): number => {
  const whole = layoutLength(record);
  const long = amountOf(record, 'garageLength');
  return Math.round(long === undefined ? whole * share : whole - long / 2);
};

/** The places for gear that a unit has. */
export const gearPlacesOf = (record: UnitRecord): readonly GearPlace[] =>
  usualPlaces.flatMap((row) => {
    if ('needs' in row && !hasFeature(record, row.needs)) return [];
    const { key, label, share, most } = row;
    const back =
      key === 'garage' ? garageBack(record, share) : Math.round(layoutLength(record) * share);
    const limit = 'limitedBy' in row ? givenOf(record, row.limitedBy) : undefined;
    return [{ key, label, back, most, limit }];
  });

/** Fresh water full, nothing else aboard but propane. */
export const usualTrial: WeightTrial = { levels: { freshTank: 1 }, gear: {}, propane: true };

type Item = WeightInput['items'][number];

const placeOf = (record: UnitRecord, key: SpecKey, usualShare: number): Given => {
  const place = record.places[key];
  if (place) return { amount: place.value.back, how: place.how };
  return { amount: Math.round(layoutLength(record) * usualShare), how: 'assumed' };
};

const usualShare = (key: SpecKey): number => specEntry(key).located?.share ?? 0.5;

const tankItem = (record: UnitRecord, key: TankKey, level: number): readonly Item[] => {
  const tank = givenOf(record, key);
  if (!tank) return [];
  const full = tank.amount * poundsPerGallon;
  return [
    {
      key,
      label: specEntry(key).label,
      weight: { amount: full * level, how: tank.how },
      back: placeOf(record, key, usualShare(key)),
      full,
    },
  ];
};

/** Whether the UVW counts the propane already, by its label. */
const countsPropane = (record: UnitRecord): boolean =>
  ['propane', 'both'].includes(textOf(record, 'uvwCounts') ?? '');

const propaneItem = (record: UnitRecord): readonly Item[] => {
  const cylinders = sumOf(record, 'lpCylinders');
  if (!cylinders || countsPropane(record)) return [];
  return [
    {
      key: 'propane',
      label: 'Propane',
      weight: cylinders,
      back: placeOf(record, 'lpCylinders', 0.08),
    },
  ];
};

const fittedItems = (record: UnitRecord): readonly Item[] =>
  fittedHere(record).map(({ id, fitted, entry }) => ({
    key: id,
    label: fitted.what,
    weight: { amount: fitted.weight, how: entry.how },
    back:
      fitted.back === undefined
        ? { amount: layoutLength(record) / 2, how: 'assumed' as InputHow }
        : { amount: fitted.back, how: entry.how },
  }));

const gearItems = (record: UnitRecord, gear: WeightTrial['gear']): readonly Item[] =>
  gearPlacesOf(record).flatMap(({ key, label, back, limit }) => {
    const pounds = gear[key] ?? 0;
    if (pounds <= 0) return [];
    return [
      {
        key: `gear-${key}`,
        label,
        weight: { amount: pounds, how: 'tried' as const },
        // Where gear goes on this unit nobody has measured.
        back: { amount: back, how: 'assumed' as const },
        ...(limit ? { limit } : {}),
      },
    ];
  });

/** What one tire carries, at the label's pressure where the range's own is higher: conservative, in proportion. */
const tiresGiven = (record: UnitRecord): Given | undefined => {
  const each = givenOf(record, 'tireLoad');
  const axles = howMany(record, 'axleRating');
  if (!each || !axles) return undefined;
  const counted = record.specs.axleRating?.how ?? 'assumed';
  return { amount: each.amount * axles * 2, how: worstHow(each.how, counted) };
};

/** The share of the hitch as one tank fills, all else as it is tried; undefined where something is not known. */
export const hitchCurve = (
  { uvw, hitch, axle, items }: WeightInput,
  tank: TankKey,
): ReturnType<typeof sweep> | undefined => {
  const swept = items.find(({ key }) => key === tank);
  if (!uvw || !hitch || !axle || !swept) return undefined;
  const rest = items
    .filter((item) => item !== swept)
    .map(({ weight, back }) => ({ weight: weight.amount, back: back.amount }));
  const base = balance({ total: uvw.amount, hitch: hitch.amount }, axle.amount, rest);
  return sweep(base, axle.amount, { weight: swept.full ?? 0, back: swept.back.amount });
};

/**
 * A unit's own weights and places, with what is tried, as the question wants them.
 * Where a place is not measured its usual one is assumed, and the answer says “about”.
 */
export const weightInputOf = (record: UnitRecord, trial: WeightTrial): WeightInput => {
  const axles = record.places.axleRating;
  const entries: Readonly<Record<string, Given | undefined>> = {
    uvw: givenOf(record, 'uvw'),
    ccc: givenOf(record, 'ccc'),
    hitch: givenOf(record, 'hitchWeight'),
    axle: axles && { amount: axles.value.back, how: axles.how },
    gvwr: givenOf(record, 'gvwr'),
    gawr: sumOf(record, 'axleRating'),
    tires: tiresGiven(record),
    coupler: givenOf(record, 'couplerRating'),
  };
  const known = Object.fromEntries(Object.entries(entries).filter(([, given]) => given));
  return {
    ...known,
    items: [
      ...tankKeys.flatMap((key) => tankItem(record, key, trial.levels[key] ?? 0)),
      ...(trial.propane ? propaneItem(record) : []),
      ...fittedItems(record),
      ...gearItems(record, trial.gear),
    ],
  };
};
