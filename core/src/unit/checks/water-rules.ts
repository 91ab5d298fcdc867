import { amountOf, hasFeature, textOf, type UnitRecord } from '../record/index.ts';
import { poundsPerGallon } from '../../base/quantity/index.ts';
import { gallons, inches, manyAre, asFinding, watts } from './as-finding.ts';
import type { Rule } from './types.ts';
import { enter, pounds } from './ways.ts';

const stateOf = (
  record: UnitRecord,
  key: 'dumpOutlet' | 'galleyOutlet' | 'blackFlush' | 'toilet',
) => record.features[key]?.value.state;

const outlets: Rule = {
  key: 'dump-outlets',
  about: 'The count of dump outlets goes with the outlets',
  needs: ['dumpOutletCount', 'dumpOutlet', 'galleyOutlet'],
  doubts: 'its field',
  source: 'By definition',
  test: (record) => {
    const typed = textOf(record, 'dumpOutletCount');
    if (typed === undefined || stateOf(record, 'dumpOutlet') === undefined) return [];
    const seen =
      Number(hasFeature(record, 'dumpOutlet')) + Number(hasFeature(record, 'galleyOutlet'));
    const count = Number(typed);
    const unsure = stateOf(record, 'galleyOutlet') === undefined && seen === 1 && count === 2;
    if (count === seen || unsure) return [];
    return [
      asFinding({
        field: 'dumpOutletCount',
        severity: 'wrong',
        title: 'How many dump outlets?',
        sentence: `${manyAre(count, 'outlet')} counted, and ${manyAre(seen, 'outlet')} recorded as there. Walk round and look under.`,
        also: ['dumpOutlet', 'galleyOutlet'],
      }),
    ];
  },
};

const galley: Rule = {
  key: 'galley-tank',
  about: 'A second outlet has a tank behind it',
  needs: ['galleyOutlet', 'galleyTank'],
  source: 'Common practice',
  test: (record) => {
    if (!hasFeature(record, 'galleyOutlet') || record.specs.galleyTank) return [];
    return [
      asFinding({
        field: 'galleyTank',
        severity: 'look',
        title: 'A second outlet, its tank unknown',
        sentence:
          'There are 2 outlets and 1 gray tank on record. How much does the galley tank hold?',
        also: ['galleyOutlet'],
      }),
    ];
  },
};

/** What two gray tanks hold together is what makers' sheets often print; more than this in one is rare, gal. */
const largeGray = 45;

/** A gray tank that is as large as both together. */
const graySum: Rule = {
  key: 'gray-tank-sum',
  about: 'The gray tank is one tank, not all gray water together',
  needs: ['grayTank', 'galleyTank', 'galleyOutlet'],
  source: 'Makers print the sum of both as often as each: common practice',
  test: (record, { system }) => {
    const [gray, galleyHolds] = [amountOf(record, 'grayTank'), amountOf(record, 'galleyTank')];
    if (gray === undefined || gray <= largeGray) return [];
    if (galleyHolds === undefined && !hasFeature(record, 'galleyOutlet')) return [];
    const rest = galleyHolds === undefined ? undefined : gray - galleyHolds;
    const other = rest !== undefined && rest >= 15 ? rest : undefined;
    const readings =
      other !== undefined && galleyHolds !== undefined
        ? `If that is both together, this one holds ${gallons(other, system)} beside ${gallons(galleyHolds, system)} in the galley’s.`
        : `If that is both together, each holds less: half of it is ${gallons(gray / 2, system)}.`;
    return [
      asFinding({
        field: 'grayTank',
        severity: 'doubtful',
        title: 'One gray tank, or both together?',
        sentence: `${gallons(gray, system)} is a lot for one gray tank, and there are 2. ${readings} Read each tank’s own figure.`,
        also: ['galleyTank'],
        ways:
          other === undefined
            ? []
            : [enter(record, 'grayTank', { kind: 'quantity', amount: other }, system)],
      }),
    ];
  },
};

const flush: Rule = {
  key: 'black-flush',
  about: 'A black tank has a flush, or the buyer is told',
  needs: ['blackTank', 'blackFlush'],
  source: 'Common practice',
  test: (record, { system }) => {
    const tank = amountOf(record, 'blackTank');
    if (tank === undefined || stateOf(record, 'blackFlush') !== 'none') return [];
    return [
      asFinding({
        field: 'blackFlush',
        severity: 'look',
        title: 'A black tank without a flush',
        sentence: `${gallons(tank, system)} of black tank and no flush: it is rinsed by a wand through the toilet, and its meter will stick.`,
        also: ['blackTank'],
      }),
    ];
  },
};

const toilet: Rule = {
  key: 'toilet-and-tank',
  about: 'A fixed toilet has a black tank, and the other way round',
  needs: ['toilet', 'toiletFlush', 'blackTank'],
  doubts: ['blackTank'],
  source: 'By definition; cassette and composting toilets have none',
  test: (record, { system }) => {
    const own = ['cassette', 'dry'].includes(textOf(record, 'toiletFlush') ?? '');
    const tank = amountOf(record, 'blackTank');
    if (tank === undefined || own || stateOf(record, 'toilet') !== 'none') return [];
    return [
      asFinding({
        field: 'toilet',
        severity: 'wrong',
        title: 'A black tank and no toilet',
        sentence: `A black tank of ${gallons(tank, system)} is on record, and the toilet as not fitted.`,
        also: ['blackTank'],
      }),
    ];
  },
};

const tankless: Rule = {
  key: 'heater-kind',
  about: 'A tankless heater has no tank',
  needs: ['heaterKind', 'heaterTank'],
  doubts: ['heaterKind', 'heaterTank'],
  source: 'By definition',
  test: (record, { system }) => {
    const tank = amountOf(record, 'heaterTank');
    if (tank === undefined || textOf(record, 'heaterKind') !== 'tankless') return [];
    return [
      asFinding({
        field: 'heaterKind',
        severity: 'wrong',
        title: 'Tankless, with a tank',
        sentence: `The heater is recorded as tankless and as holding ${gallons(tank, system)}. Open its door and read the plate.`,
        also: ['heaterTank'],
      }),
    ];
  },
};

const element: Rule = {
  key: 'heater-element',
  about: 'A heater for gas alone has no element',
  needs: ['heaterFuel', 'heaterElement'],
  doubts: ['heaterFuel', 'heaterElement'],
  source: 'By definition',
  test: (record, { system }) => {
    const power = amountOf(record, 'heaterElement');
    if (power === undefined || textOf(record, 'heaterFuel') !== 'gas') return [];
    return [
      asFinding({
        field: 'heaterFuel',
        severity: 'wrong',
        title: 'Gas alone, with an element',
        sentence: `The heater is recorded as gas alone and with an element of ${watts(power, system)}. Two switches inside are gas and electric.`,
        also: ['heaterElement'],
      }),
    ];
  },
};

const freshBehind: Rule = {
  key: 'fresh-behind-axles',
  reads: ['places'],
  about: 'A fresh tank behind the axles is known to lighten the hitch',
  needs: ['freshTank', 'axleRating'],
  source: 'Moments about the axle: physics; the sway case: common practice',
  test: (record, { system }) => {
    const [tank, axle] = [
      record.places.freshTank?.value.back,
      record.places.axleRating?.value.back,
    ];
    const size = amountOf(record, 'freshTank');
    if (tank === undefined || axle === undefined || size === undefined) return [];
    const behind = tank - axle;
    const takes = (size * poundsPerGallon * behind) / axle;
    if (behind < 12 || takes < 60) return [];
    return [
      asFinding({
        field: 'freshTank',
        severity: 'look',
        title: 'Water behind the axles',
        sentence: `The fresh tank’s middle lies ${inches(behind, system)} behind the axles: ${gallons(size, system)} there take about ${pounds(takes, system)} off the hitch. Weigh it full.`,
        also: ['axleRating'],
      }),
    ];
  },
};

export const waterRules: readonly Rule[] = [
  outlets,
  galley,
  graySum,
  flush,
  toilet,
  tankless,
  element,
  freshBehind,
];
