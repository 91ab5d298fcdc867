import { labelPoundsPerGallon } from '../../base/quantity/index.ts';

/*
 * What the capacity on a label leaves out. Makers differ in whether propane and battery are in the UVW, and
 * labels of before the middle of 2008 took a full load of water off as well: common practice and from memory.
 */

/** Labels round to the pound, converted ones to the kilogram and back. */
export const labelRounding = 3;
/** One deep-cycle battery of group 24–27, lb; common practice. */
export const batteryPounds = 60;

/** Something that a label may have taken off the capacity. Pounds. */
export interface LabelExplanation {
  readonly words: string;
  readonly pounds: number;
  /** It rests on something that nobody has recorded: it could be so. */
  readonly couldBe?: true | undefined;
}

/** What a label's dry weight counts already, as far as its small print says. */
export type DryCounts = 'neither' | 'propane' | 'battery' | 'both';

/** Sets of cylinders as trailers have them, pounds of propane together; common practice. */
const usualCylinders = [20, 30, 40, 60] as const;

/**
 * All that a label may have left out of the capacity: what the dry weight counts already is not left out of it twice, and
 * what nobody has recorded could be there in its usual sizes.
 * @param water gallons of tank and heater
 * @param propane pounds of full cylinders; undefined where nobody has recorded any
 * @param hasBattery undefined where nobody has looked
 */
export const possibleExplanations = (given: {
  readonly propane: number | undefined;
  readonly hasBattery: boolean | undefined;
  readonly water: number;
  readonly counts?: DryCounts | undefined;
}): readonly LabelExplanation[] => {
  const { propane, hasBattery, water, counts } = given;
  const isOut = (what: 'propane' | 'battery'): boolean => counts !== what && counts !== 'both';
  const cylinders: readonly LabelExplanation[] =
    propane === undefined
      ? usualCylinders.map((pounds) => ({ words: 'full propane cylinders', pounds, couldBe: true }))
      : [{ words: 'full propane cylinders', pounds: propane }];
  const battery: readonly LabelExplanation[] =
    hasBattery === undefined
      ? [{ words: 'one battery', pounds: batteryPounds, couldBe: true }]
      : [{ words: 'one battery', pounds: hasBattery ? batteryPounds : 0 }];
  return [
    ...(isOut('propane') ? cylinders : []),
    ...(isOut('battery') ? battery : []),
    {
      words: 'a full load of water, which labels before 2008 subtracted',
      pounds: water * labelPoundsPerGallon,
    },
  ];
};

const together = (parts: readonly LabelExplanation[]): LabelExplanation => ({
  words: parts.map((part) => part.words).join(' and '),
  pounds: parts.reduce((sum, part) => sum + part.pounds, 0),
  ...(parts.some(({ couldBe }) => couldBe) ? { couldBe: true as const } : {}),
});

/** Sets of explanations, each thing once: there is one set of cylinders, however big it may be. */
const subsets = (items: readonly LabelExplanation[]): readonly (readonly LabelExplanation[])[] =>
  items.reduce<readonly (readonly LabelExplanation[])[]>(
    (sets, item) => [
      ...sets,
      ...sets
        .filter((set) => !set.some(({ words }) => words === item.words))
        .map((set) => [...set, item]),
    ],
    [[]],
  );

/**
 * What makes up the difference between rating − UVW and the label's capacity: the fewest parts that come
 * within rounding; all of that many that do, what is recorded before what could be.
 * @param difference lb that the label says less
 * @returns empty where nothing explains it
 */
export const explainDifference = (
  possible: readonly LabelExplanation[],
  difference: number,
): readonly LabelExplanation[] => {
  const fitting = subsets(possible.filter(({ pounds }) => pounds > 0))
    .filter((set) => set.length > 0)
    .map((set) => ({ size: set.length, explanation: together(set) }))
    .filter(({ explanation }) => Math.abs(explanation.pounds - difference) <= labelRounding);
  const fewest = Math.min(...fitting.map(({ size }) => size));
  const off = ({ pounds }: LabelExplanation): number => Math.abs(pounds - difference);
  return fitting
    .filter(({ size }) => size === fewest)
    .map(({ explanation }) => explanation)
    .toSorted((a, b) => Number(a.couldBe ?? false) - Number(b.couldBe ?? false) || off(a) - off(b));
};

/**
 * Explanations in words: what it is, or what it could be while something is not recorded.
 * @param show pounds in the reader's units
 */
export const explanationWords = (
  all: readonly LabelExplanation[],
  show: (pounds: number) => string,
): string | undefined => {
  const [first] = all;
  if (!first) return undefined;
  const names = all.map(({ words, pounds }) => `${words} (${show(pounds)})`).join(', or ');
  const isSure = all.length === 1 && !first.couldBe;
  const unrecorded = [
    ...(all.some(({ words, couldBe }) => couldBe && words.includes('propane'))
      ? ['cylinders aren’t recorded yet']
      : []),
    ...(all.some(({ words, couldBe }) => couldBe && words.includes('battery'))
      ? ['we haven’t checked for a battery yet']
      : []),
  ];
  const why = unrecorded.length > 0 ? `: ${unrecorded.join(', and ')}` : '';
  return isSure ? names : `could be ${names}${why}`;
};

/**
 * More than this, fitted before the first sale, asks for a corrected label: the lesser of 100 lb and 1.5% of the gross
 * rating. 49 CFR 571.110 S10 up to 10,000 lb and 571.120 S10 above, from memory; the rule in force decides. Pounds.
 */
export const labelLine = (gvwr: number): number => Math.min(100, 0.015 * gvwr);
