import { oddWheels, wheelsOf, type WheelOn } from '../condition/index.ts';
import { pressureOfRange, readTyreCode } from '../identity/index.ts';
import { givenOf, sumOf, type Given } from '../numbers/index.ts';
import { amountOf, howMany, howOf, textOf, type Trial, type UnitRecord } from '../record/index.ts';
import type { TyresInput } from './tyres.ts';

const known = (entries: Readonly<Record<string, unknown>>): object =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined));

/** The pressure at which the tyres carry most, by their load range. */
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

/** The lowest pressure of all road wheels, which decides for their group; else what the label asks for. */
const pressureOf = (
  record: UnitRecord,
  today: string,
  tried: Trial['pressures'],
): Given | undefined => {
  const found = wheelPressures(record, today, tried).flatMap(({ pressure }) => pressure ?? []);
  if (found.length === 0) return givenOf(record, 'coldPressure');
  const isTried = Object.keys(tried).length > 0;
  return { amount: Math.min(...found), how: isTried ? 'tried' : 'measured' };
};

/** Inches across the wheel: by its own field, else by the tyre's size. */
export const wheelDiameter = (record: UnitRecord): number | undefined =>
  amountOf(record, 'wheelSize') ?? readTyreCode(textOf(record, 'tyreSize') ?? '')?.rim;

/**
 * A unit's tyres, as the question wants them.
 * @param today for their age, `2026-04-10`
 * @param tried pressures on the bench, psi
 */
export const tyresInputOf = (
  record: UnitRecord,
  today: string,
  tried: Trial['pressures'] = {},
): TyresInput => {
  const wheels = wheelsOf(record, today);
  const ages = wheels.flatMap(({ age }) => (age === undefined || age < 0 ? [] : age));
  const odd = oddWheels(wheels).map(({ label }) => label);
  return {
    ...known({
      each: givenOf(record, 'tyreLoad'),
      highest: highestOf(record),
      pressure: pressureOf(record, today, tried),
      gawr: sumOf(record, 'axleRating'),
      oldest: ages.length > 0 ? Math.max(...ages) : undefined,
      odd: odd.length > 0 ? odd : undefined,
    }),
    count: (howMany(record, 'axleRating') ?? 1) * 2,
  } as TyresInput;
};
