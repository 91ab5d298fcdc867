import {
  wheelPlaces,
  type HowKnown,
  type LookKey,
  type SpecKey,
  type WheelKey,
} from '../catalog/index.ts';
import { monthsBetween } from '../../base/dates/index.ts';
import {
  builtOn,
  dotWeek,
  readDotDate,
  tireMonths,
  sizeOf,
  type DotDate,
} from '../identity/index.ts';
import {
  amountOf,
  howMany,
  hasFeature,
  howOf,
  textOf,
  type Answer,
  type UnitRecord,
  type Wheel,
} from '../record/index.ts';
import type { Answers } from './conclude.ts';

/** A wheel of a unit: what is known of it, and how old its tire is. */
export interface WheelOn {
  readonly key: WheelKey;
  readonly label: string;
  readonly wheel: Wheel;
  /** The Sunday on which the week its tire was built in began, to compare; undefined where nobody has read it. */
  readonly built: string | undefined;
  /** How the date is known. */
  readonly how: HowKnown | undefined;
  /** Whole years; undefined where the week is unknown or still to come. */
  readonly age: number | undefined;
  /** In words, for whoever looks: “built in week 36 of 2020, 6 years old: replace by 7”. */
  readonly ageText: string;
  /** In words, for a buyer; undefined where there is nothing sure to tell. */
  readonly ageTold: string | undefined;
}

/** Watch from five years, replace by seven, whatever the tread: common practice. */
const watchFrom = 5;
const replaceBy = 7;

const yearsOld = (years: number): string => {
  if (years < 1) return 'not a year old';
  return years === 1 ? 'a year old' : `${years} years old`;
};

/**
 * How old a tire is, in words. A date code is a week: no day is made out of it.
 * @param today `2026-04-10`
 */
export const ageWords = (date: DotDate | undefined, today: string): string => {
  if (date === undefined) return 'its date isn’t read';
  const week = dotWeek(date);
  if (builtOn(date) > today) return `${week} hasn’t come yet: read its date again`;
  const years = Math.floor(tireMonths(date, today) / 12);
  const since = `built in ${week}, ${yearsOld(years)}`;
  if (years >= replaceBy) return `${since}: replace it, whatever the tread`;
  return years >= watchFrom ? `${since}: watch it, replace it by ${replaceBy}` : since;
};

/** The same for a buyer: what it is, and what is usual. */
const ageForBuyer = (date: DotDate, years: number): string => {
  const since = `built in ${dotWeek(date)}, ${yearsOld(years)}`;
  if (years >= replaceBy) return `${since}; replace tires this old, whatever their tread`;
  return years >= watchFrom ? `${since}; tires are replaced by ${replaceBy} years` : since;
};

const wheelOn = (record: UnitRecord, key: WheelKey, label: string, today: string): WheelOn => {
  const spec = `tireDate${key}` as SpecKey;
  const read = readDotDate(textOf(record, spec) ?? '');
  const date = read.kind === 'good' ? read.date : undefined;
  const isPast = date !== undefined && builtOn(date) <= today;
  const age = isPast ? Math.floor(tireMonths(date, today) / 12) : undefined;
  const how = howOf(record, spec);
  const isSure = how !== undefined && how !== 'guessed';
  return {
    key,
    label,
    wheel: record.wheels[key]?.value ?? {},
    built: date && builtOn(date),
    how,
    age,
    ageText: ageWords(date, today),
    ageTold: date && age !== undefined && isSure ? ageForBuyer(date, age) : undefined,
  };
};

/** The wheels a unit has, the spare last; by its axles, one where nobody has counted them. */
export const wheelsOf = (record: UnitRecord, today: string): readonly WheelOn[] => {
  const axles = howMany(record, 'axleRating') ?? 1;
  return wheelPlaces
    .filter((place) => (place.key === 'Spare' ? hasFeature(record, 'spare') : place.axles <= axles))
    .map(({ key, label }) => wheelOn(record, key, label, today));
};

const monthsApart = 6;
const sideOf = (key: WheelKey): string => (key.startsWith('Off') ? 'off-door' : 'door');

const isLater = (a: string | undefined, b: string | undefined): boolean =>
  a !== undefined && b !== undefined && monthsBetween(b, a) >= monthsApart;

/** With fewer tires on the road than this the spare has a say in what is usual. */
const fewOnRoad = 3;

const saysOtherwise = (a: string | undefined, b: string | undefined): boolean =>
  a !== undefined && b !== undefined && a.toLowerCase() !== b.toLowerCase();

/** Wheels whose tire is of another make, size or load range, or was built half a year or more apart from most others. */
export const oddWheels = (wheels: readonly WheelOn[]): readonly WheelOn[] => {
  const road = wheels.filter(({ key }) => key !== 'Spare');
  const voices = road.length < fewOnRoad ? wheels : road;
  const differs = (a: WheelOn, b: WheelOn): boolean =>
    saysOtherwise(a.wheel.make, b.wheel.make) ||
    saysOtherwise(a.wheel.size && sizeOf(a.wheel.size), b.wheel.size && sizeOf(b.wheel.size)) ||
    saysOtherwise(a.wheel.range, b.wheel.range) ||
    isLater(a.built, b.built) ||
    isLater(b.built, a.built);
  return road.filter((a) => {
    const others = voices.filter((b) => b !== a);
    return others.length > 1 && others.filter((b) => differs(a, b)).length > others.length / 2;
  });
};

const asAnswer = (is: boolean | undefined): Answer | undefined =>
  is === undefined ? undefined : is ? 'yes' : 'no';

/** What is known of some, or nothing where it is known of none. */
const ofKnown = <T>(
  values: readonly (T | undefined)[],
  test: (known: readonly T[]) => boolean,
): boolean | undefined => {
  const known = values.filter((value) => value !== undefined);
  return known.length > 0 ? test(known as readonly T[]) : undefined;
};

/** Whether the other tire of its side is as new, and those of the other side are not. */
const isSideNewer = (one: WheelOn, others: readonly WheelOn[]): boolean | undefined => {
  const mate = others.find(({ key }) => sideOf(key) === sideOf(one.key));
  if (!mate?.built || !one.built || others.length < 3) return undefined;
  const rest = others.filter((other) => other !== mate);
  return !isLater(one.built, mate.built) && rest.every((other) => isLater(mate.built, other.built));
};

/** Pounds of cargo that are little for a trailer; common practice. */
const littleCargo = 800;
const oldAge = 6;

/**
 * What the record answers by itself of the look at a mismatched tire; the rest is to be looked at.
 * @param capacity pounds that may be loaded
 */
export const knownOfMismatch = (
  wheels: readonly WheelOn[],
  odd: WheelKey,
  capacity: number | undefined,
): Answers => {
  const road = wheels.filter(({ key }) => key !== 'Spare');
  const one = road.find(({ key }) => key === odd);
  if (!one) return {};
  const others = road.filter((other) => other !== one);
  const wear = others.map(({ wheel }) => wheel.wear);
  const built = one.built === undefined ? [] : others.map((other) => other.built);
  const all: Readonly<Record<string, boolean | undefined>> = {
    newer: ofKnown(built, (known) => known.every((date) => isLater(one.built, date))),
    'well-torn': ofKnown([one.wheel.well], ([well]) => well === 'torn'),
    'wear-even': ofKnown(wear, (known) => known.every((worn) => worn === 'even')),
    'one-edge': ofKnown(wear, (known) => known.includes('one-edge')),
    'both-edges': ofKnown(wear, (known) => known.includes('both-edges')),
    'same-side': isSideNewer(one, others),
    old: ofKnown(
      others.map(({ age }) => age),
      (known) => known.every((years) => years >= oldAge),
    ),
    heavy: capacity === undefined ? undefined : capacity < littleCargo,
  };
  return Object.fromEntries(
    Object.entries(all)
      .map(([key, is]) => [key, asAnswer(is)] as const)
      .filter(([, answer]) => answer !== undefined),
  );
};

/**
 * The answers to the look into a finding: what was answered, before what wheels and labels answer by themselves.
 * @param answers as somebody gave them
 */
export const answersTo = (
  look: LookKey,
  answers: Answers,
  record: UnitRecord,
  today: string,
): Answers => {
  if (look !== 'tire-mismatch') return answers;
  const wheels = wheelsOf(record, today);
  const odd = oddWheels(wheels)[0];
  if (!odd) return answers;
  return { ...knownOfMismatch(wheels, odd.key, amountOf(record, 'ccc')), ...answers };
};
