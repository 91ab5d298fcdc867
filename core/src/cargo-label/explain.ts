import { labelPoundsPerGallon } from '../quantity/index.ts';

/*
 * What the capacity on a label leaves out. Makers differ in whether propane and battery are in the weight as built, and
 * labels of before the middle of 2008 took a full load of water off as well: common practice and from memory.
 */

/** Labels round to the pound, converted ones to the kilogram and back. */
export const labelRounding = 3;
/** One deep-cycle battery of group 24–27, lb; common practice. */
export const batteryPounds = 60;

/** Something that a label may have taken off the capacity. Pounds. */
export interface Explanation {
  readonly words: string;
  readonly pounds: number;
}

/** All that a label may have left out of the capacity. @param water gallons of tank and heater */
export const possibleExplanations = (given: {
  readonly propane: number;
  readonly hasBattery: boolean;
  readonly water: number;
}): readonly Explanation[] => [
  { words: 'full propane cylinders', pounds: given.propane },
  { words: 'one battery', pounds: given.hasBattery ? batteryPounds : 0 },
  {
    words: 'a full load of water, as labels of before 2008 took it off',
    pounds: given.water * labelPoundsPerGallon,
  },
];

const together = (parts: readonly Explanation[]): Explanation => ({
  words: parts.map((part) => part.words).join(' and '),
  pounds: parts.reduce((sum, part) => sum + part.pounds, 0),
});

const subsets = <T>(items: readonly T[]): readonly (readonly T[])[] =>
  items.reduce<readonly (readonly T[])[]>(
    (sets, item) => [...sets, ...sets.map((set) => [...set, item])],
    [[]],
  );

/**
 * What makes up the difference between rating − weight as built and the label's capacity: the fewest parts that come
 * within rounding, and of those the nearest.
 * @param difference lb that the label says less
 * @returns undefined where nothing explains it
 */
export const explainDifference = (
  possible: readonly Explanation[],
  difference: number,
): Explanation | undefined =>
  subsets(possible.filter(({ pounds }) => pounds > 0))
    .filter((set) => set.length > 0)
    .map((set) => ({ size: set.length, ...together(set) }))
    .filter(({ pounds }) => Math.abs(pounds - difference) <= labelRounding)
    .toSorted(
      (a, b) =>
        a.size - b.size || Math.abs(a.pounds - difference) - Math.abs(b.pounds - difference),
    )
    .map(({ words, pounds }) => ({ words, pounds }))[0];

/**
 * More than this, fitted before the first sale, asks for a corrected label: the lesser of 100 lb and 1.5 % of the gross
 * rating. 49 CFR 571.110 S10 up to 10,000 lb and 571.120 S10 above, from memory; the rule in force decides. Pounds.
 */
export const labelLine = (gvwr: number): number => Math.min(100, 0.015 * gvwr);
