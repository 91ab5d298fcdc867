import { oddWheels, wheelsOf, type WheelOn } from '../../unit/condition/index.ts';
import {
  loadOfIndex,
  pressureOfRange,
  readTireCode,
  sizeOf,
  tableLoad,
} from '../../unit/identity/index.ts';
import { givenOf, sumOf, worstHow, type Given } from '../../unit/outcome/index.ts';
import { toInternal } from '../../base/quantity/index.ts';
import {
  amountOf,
  howMany,
  howOf,
  textOf,
  type Trial,
  type UnitRecord,
} from '../../unit/record/index.ts';
import type { TiresInput } from './tires.ts';

const known = (entries: Readonly<Record<string, unknown>>): object =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined));

/** The pressure at which the tires carry most, by their load range. */
const highestOf = (record: UnitRecord): Given | undefined => {
  const range = textOf(record, 'loadRange');
  const how = howOf(record, 'loadRange');
  const amount = range ? pressureOfRange(range.toUpperCase()) : undefined;
  return amount !== undefined && how ? { amount, how } : undefined;
};

/** What the label asks for cold, psi. */
export const labelPressure = (record: UnitRecord): number | undefined =>
  amountOf(record, 'coldPressure');

/** The pressures of the road wheels as far as they are measured or tried, psi. */
export const wheelPressures = (
  record: UnitRecord,
  today: string,
  tried: Trial['pressures'],
): readonly { readonly wheel: WheelOn; readonly pressure: number | undefined }[] =>
  wheelsOf(record, today)
    .filter(({ key }) => key !== 'Spare')
    .map((wheel) => ({ wheel, pressure: tried[wheel.key] ?? wheel.wheel.pressure }));

/**
 * The pressure of the softest road wheel. One wheel's gauge says nothing of the others: those are taken at the label's
 * pressure, which is an assumption as soon as any was measured.
 */
const pressureOf = (
  record: UnitRecord,
  today: string,
  tried: Trial['pressures'],
): { readonly pressure: Given | undefined; readonly unread: readonly string[] } => {
  const label = givenOf(record, 'coldPressure');
  const wheels = wheelPressures(record, today, tried);
  const measured = wheels.flatMap(({ wheel, pressure }): Given[] => {
    if (pressure === undefined) return [];
    const how = tried[wheel.key] === undefined ? 'measured' : 'tried';
    return [{ amount: pressure, how }];
  });
  const unread = wheels.filter(({ pressure }) => pressure === undefined);
  const names = unread.map(({ wheel }) => wheel.label);
  if (measured.length === 0) return { pressure: label, unread: names };
  const others: readonly Given[] =
    label && unread.length > 0 ? [{ amount: label.amount, how: 'assumed' }] : [];
  const all = [...measured, ...others];
  const softest = Math.min(...all.map(({ amount }) => amount));
  const how = worstHow(
    'measured',
    ...all.map((given) => given.how),
    // Where the label gives nothing to assume, the others are as soft as they like.
    ...(unread.length > 0 && !label ? (['assumed'] as const) : []),
  );
  return { pressure: { amount: softest, how }, unread: names };
};

/** What one tire carries: off its sidewall; else by the tables for its size and load range, or by its load index. */
const eachOf = (record: UnitRecord): Given | undefined => {
  const read = givenOf(record, 'tireLoad');
  if (read) return read;
  const size = textOf(record, 'tireSize') ?? '';
  const table = tableLoad(sizeOf(size), textOf(record, 'loadRange')?.toUpperCase() ?? '');
  if (table !== undefined) return { amount: table, how: 'assumed' };
  const index = readTireCode(size)?.loadIndex;
  const kilograms = index === undefined ? undefined : loadOfIndex(index);
  return kilograms === undefined
    ? undefined
    : { amount: toInternal(kilograms, 'kg'), how: 'assumed' };
};

/** Whole years of the oldest tire, and how its date is known. */
const oldestOf = (wheels: readonly WheelOn[]): Given | undefined =>
  wheels.reduce<Given | undefined>((oldest, { age, how }) => {
    if (age === undefined || (oldest && oldest.amount >= age)) return oldest;
    return { amount: age, how: how ?? 'assumed' };
  }, undefined);

/** Inches across the wheel: by its own field, else by the tire's size. */
export const wheelDiameter = (record: UnitRecord): number | undefined =>
  amountOf(record, 'wheelSize') ?? readTireCode(textOf(record, 'tireSize') ?? '')?.rim;

/**
 * A unit's tires, as the question wants them.
 * @param today for their age, `2026-04-10`
 * @param tried pressures on the bench, psi
 */
export const tiresInputOf = (
  record: UnitRecord,
  today: string,
  tried: Trial['pressures'] = {},
): TiresInput => {
  const wheels = wheelsOf(record, today);
  const odd = oddWheels(wheels).map(({ label }) => label);
  const { pressure, unread } = pressureOf(record, today, tried);
  const axles = howMany(record, 'axleRating');
  const each = eachOf(record);
  const how = howOf(record, 'axleRating');
  return {
    ...known({
      // How many tires there are is as well known as the axles are counted.
      each: each && { ...each, how: worstHow(each.how, how ?? 'assumed') },
      highest: highestOf(record),
      pressure,
      unread: unread.length > 0 ? unread : undefined,
      gawr: sumOf(record, 'axleRating'),
      oldest: oldestOf(wheels),
      odd: odd.length > 0 ? odd : undefined,
    }),
    count: (axles ?? 1) * 2,
  } as TiresInput;
};
