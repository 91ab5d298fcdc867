import { amountOf, countedOf, hasFeature, type UnitRecord } from '../record/index.ts';
import { labelPoundsPerGallon, type System } from '../quantity/index.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, pounds, withReason } from './ways.ts';

/** Labels round to the pound, converted ones to the kilogram and back. */
const rounding = 3;
/** One deep-cycle battery of group 24–27; common practice. */
const batteryPounds = 60;

interface Explanation {
  readonly words: string;
  readonly pounds: number;
}

const plain = (record: UnitRecord): readonly Explanation[] => {
  const cylinders = countedOf(record, 'lpCylinders');
  const lp = cylinders ? cylinders.count * cylinders.each : 0;
  const water = (amountOf(record, 'freshTank') ?? 0) + (amountOf(record, 'heaterTank') ?? 0);
  const battery = hasFeature(record, 'battery') ? batteryPounds : 0;
  return [
    { words: 'full propane cylinders', pounds: lp },
    { words: 'one battery', pounds: battery },
    {
      words: 'a full load of water, as labels of before 2008 took it off',
      pounds: water * labelPoundsPerGallon,
    },
  ].filter((e) => e.pounds > 0);
};

const together = (parts: readonly Explanation[]): Explanation => ({
  words: parts.map((p) => p.words).join(' and '),
  pounds: parts.reduce((sum, p) => sum + p.pounds, 0),
});

const subsets = <T>(items: readonly T[]): readonly (readonly T[])[] =>
  items.reduce<readonly (readonly T[])[]>(
    (sets, item) => [...sets, ...sets.map((set) => [...set, item])],
    [[]],
  );

/**
 * What makes up the difference between rating − weight as built and the label's capacity.
 * The fewest parts that come within rounding, and of those the nearest.
 * @param difference lb that the label says less
 */
export const explainDifference = (
  record: UnitRecord,
  difference: number,
): Explanation | undefined =>
  subsets(plain(record))
    .filter((set) => set.length > 0)
    .map((set) => ({ size: set.length, ...together(set) }))
    .filter((e) => Math.abs(e.pounds - difference) <= rounding)
    .toSorted(
      (a, b) =>
        a.size - b.size || Math.abs(a.pounds - difference) - Math.abs(b.pounds - difference),
    )[0];

const objection = (
  record: UnitRecord,
  given: { readonly gvwr: number; readonly uvw: number; readonly ccc: number },
  system: System,
): RuleFinding => {
  const left = given.gvwr - given.uvw;
  const difference = left - given.ccc;
  const sum = `${pounds(given.gvwr, system)} − ${pounds(given.uvw, system)} leaves ${pounds(left, system)}; the label says ${pounds(given.ccc, system)}.`;
  const explained = explainDifference(record, difference);
  if (explained) {
    const because = `The ${pounds(difference, system)} between are ${explained.words} (${pounds(explained.pounds, system)}).`;
    return {
      field: 'ccc',
      severity: 'look',
      title: 'Capacity counts more than the trailer',
      sentence: `${sum} ${because}`,
      ways: [withReason('That is why', because), goTo('ccc')],
    };
  }
  const more = difference < 0 ? 'more' : 'less';
  return {
    field: 'ccc',
    severity: 'wrong',
    title: 'Capacity does not follow from the weights',
    sentence: `${sum} That is ${pounds(Math.abs(difference), system)} ${more}, and neither propane, battery nor water explains it. Read the three labels again.`,
    ways: [
      ...(left > 0 ? [enter(record, 'ccc', { kind: 'quantity', amount: left }, system)] : []),
      goTo('uvw'),
      withReason(),
    ],
  };
};

/** Carrying capacity against rating minus weight as built. */
export const cccIdentity: Rule = {
  key: 'ccc-identity',
  about: 'Carrying capacity equals rating minus weight as built, or the difference has a name',
  needs: ['gvwr', 'uvw', 'ccc', 'lpCylinders', 'freshTank', 'heaterTank', 'battery'],
  source:
    'CCC = GVWR − UVW − LP where UVW excludes LP: common practice; water on old labels: from memory',
  test: (record, { system }) => {
    const gvwr = amountOf(record, 'gvwr');
    const uvw = amountOf(record, 'uvw');
    const ccc = amountOf(record, 'ccc');
    if (gvwr === undefined || uvw === undefined || ccc === undefined) return [];
    if (Math.abs(gvwr - uvw - ccc) <= rounding) return [];
    return [objection(record, { gvwr, uvw, ccc }, system)];
  },
};
