import { wheelPlaces, type SpecKey, type WheelKey } from '../catalogue/index.ts';
import { formatDate } from '../dates/index.ts';
import { builtOn, readDotDate, tyreMonths } from '../identity/index.ts';
import { countedOf, hasFeature, textOf, type UnitRecord, type Wheel } from '../record/index.ts';
import type { Answers } from './conclude.ts';

/** A wheel of a unit: what is known of it, and how old its tyre is. */
export interface WheelOn {
  readonly key: WheelKey;
  readonly label: string;
  readonly wheel: Wheel;
  /** The week its tyre was built in, as a date; undefined where nobody has read it. */
  readonly built: string | undefined;
  /** Whole years. */
  readonly age: number | undefined;
  /** In words: “built in September 2020, 6 years old: replace by 7”. */
  readonly ageText: string;
}

/** Watch from five years, replace by seven, whatever the tread: common practice. */
const watchFrom = 5;
const replaceBy = 7;

/** How old a tyre is, in words. */
export const ageWords = (built: string | undefined, months: number | undefined): string => {
  if (built === undefined || months === undefined) return 'nobody has read its date';
  const years = Math.floor(months / 12);
  const since = `built ${formatDate(built)}`;
  if (months < 0) return `${since}: that has not been yet`;
  if (years >= replaceBy) return `${since}, ${years} years old: to be replaced, whatever the tread`;
  if (years >= watchFrom)
    return `${since}, ${years} years old: watch it, replace it by ${replaceBy}`;
  return years < 1 ? `${since}, not a year old` : `${since}, ${years} years old`;
};

const wheelOn = (record: UnitRecord, key: WheelKey, label: string, today: string): WheelOn => {
  const read = readDotDate(textOf(record, `tyreDate${key}` as SpecKey) ?? '');
  const date = read.kind === 'good' ? read.date : undefined;
  const built = date && builtOn(date);
  const months = date && tyreMonths(date, today);
  return {
    key,
    label,
    wheel: record.wheels[key]?.value ?? {},
    built,
    age: months === undefined ? undefined : Math.floor(months / 12),
    ageText: ageWords(built, months),
  };
};

/** The wheels a unit has, the spare last; by its axles, one where nobody has counted them. */
export const wheelsOf = (record: UnitRecord, today: string): readonly WheelOn[] => {
  const axles = countedOf(record, 'axleRating')?.count ?? 1;
  return wheelPlaces
    .filter((place) => (place.key === 'Spare' ? hasFeature(record, 'spare') : place.axles <= axles))
    .map(({ key, label }) => wheelOn(record, key, label, today));
};

const monthsApart = 6;
const sideOf = (key: WheelKey): string => (key.startsWith('Off') ? 'off-door' : 'door');

const isLater = (a: string | undefined, b: string | undefined): boolean =>
  a !== undefined &&
  b !== undefined &&
  Date.parse(a) - Date.parse(b) > monthsApart * 30.4 * 86_400_000;

/** Wheels whose tyre is of another make, or was built half a year or more apart from most others. */
export const oddWheels = (wheels: readonly WheelOn[]): readonly WheelOn[] => {
  const road = wheels.filter(({ key }) => key !== 'Spare');
  const differs = (a: WheelOn, b: WheelOn): boolean =>
    (a.wheel.make !== undefined && b.wheel.make !== undefined && a.wheel.make !== b.wheel.make) ||
    isLater(a.built, b.built) ||
    isLater(b.built, a.built);
  return road.filter((a) => {
    const others = road.filter((b) => b !== a);
    return others.length > 1 && others.filter((b) => differs(a, b)).length > others.length / 2;
  });
};

/** What the record answers by itself of the look at a mismatched tyre; the rest is to be looked at. */
export const knownOfMismatch = (
  wheels: readonly WheelOn[],
  odd: WheelKey,
  capacity: number | undefined,
): Answers => {
  const road = wheels.filter(({ key }) => key !== 'Spare');
  const one = road.find(({ key }) => key === odd);
  const others = road.filter(({ key }) => key !== odd);
  if (!one) return {};
  const yes = (is: boolean | undefined) => (is === undefined ? undefined : is ? 'yes' : 'no');
  const worn = others.map(({ wheel }) => wheel.wear);
  const known = worn.filter((wear) => wear !== undefined);
  const dated = others.filter(({ built }) => built !== undefined);
  const mate = others.find(({ key }) => sideOf(key) === sideOf(odd));
  const all: Answers = {
    newer: yes(
      one.built && dated.length > 0 ? dated.every((o) => isLater(one.built, o.built)) : undefined,
    ),
    'well-torn': yes(one.wheel.well && one.wheel.well === 'torn'),
    'wear-even': yes(known.length > 0 ? known.every((wear) => wear === 'even') : undefined),
    'one-edge': yes(known.length > 0 ? known.includes('one-edge') : undefined),
    'both-edges': yes(known.length > 0 ? known.includes('both-edges') : undefined),
    'same-side': yes(
      mate?.built && one.built && others.length > 2
        ? !isLater(one.built, mate.built) &&
            others.filter((o) => o !== mate).every((o) => isLater(mate.built, o.built))
        : undefined,
    ),
    old: yes(dated.length > 0 ? dated.every(({ age = 0 }) => age >= 6) : undefined),
    heavy: yes(capacity === undefined ? undefined : capacity < 800),
  };
  return Object.fromEntries(Object.entries(all).filter(([, answer]) => answer !== undefined));
};
