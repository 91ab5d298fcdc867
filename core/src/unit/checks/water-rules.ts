import { counted } from '../../base/words/index.ts';
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
  about: 'The number of dump outlets matches the outlets recorded',
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
        title: 'Dump outlets don’t match',
        sentence: `The count says ${counted(count, 'dump outlet')}, but ${manyAre(seen, 'outlet')} recorded as there. Walk around and look under.`,
        also: ['dumpOutlet', 'galleyOutlet'],
      }),
    ];
  },
};

const galley: Rule = {
  key: 'galley-tank',
  about: 'A second dump outlet has a tank',
  needs: ['galleyOutlet', 'galleyTank'],
  source: 'Common practice',
  test: (record) => {
    if (!hasFeature(record, 'galleyOutlet') || record.specs.galleyTank) return [];
    return [
      asFinding({
        field: 'galleyTank',
        severity: 'look',
        title: 'Galley tank not recorded',
        sentence:
          'There are 2 dump outlets but only 1 gray tank on record. Find out what the galley tank holds.',
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
  about: 'Gray tank is one tank, not both together',
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
        ? `If that’s both, this one holds ${gallons(other, system)} next to the galley’s ${gallons(galleyHolds, system)}.`
        : `If that’s both, half of it is ${gallons(gray / 2, system)}.`;
    return [
      asFinding({
        field: 'grayTank',
        severity: 'doubtful',
        title: 'Gray tank looks like both together',
        sentence: `${gallons(gray, system)} is a lot for one gray tank, and there are 2. ${readings} Read each tank’s own plate.`,
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
  about: 'The black tank has a flush, or you tell the buyer',
  needs: ['blackTank', 'blackFlush'],
  source: 'Common practice',
  test: (record, { system }) => {
    const tank = amountOf(record, 'blackTank');
    if (tank === undefined || stateOf(record, 'blackFlush') !== 'none') return [];
    return [
      asFinding({
        field: 'blackFlush',
        severity: 'look',
        title: 'No black-tank flush',
        sentence: `There’s a ${gallons(tank, system)} black tank and no flush. You rinse it with a wand through the toilet, and its gauge can stick. Tell the buyer.`,
        also: ['blackTank'],
      }),
    ];
  },
};

const toilet: Rule = {
  key: 'toilet-and-tank',
  about: 'A black tank has a toilet',
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
        title: 'Black tank without a toilet',
        sentence: `There’s a ${gallons(tank, system)} black tank on record, but no toilet. Correct one of them.`,
        also: ['blackTank'],
      }),
    ];
  },
};

const tankless: Rule = {
  key: 'heater-kind',
  about: 'A tankless water heater has no tank',
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
        title: 'Tankless heater with a tank',
        sentence: `The water heater is recorded as tankless, but also as holding ${gallons(tank, system)}. Open its door and read the plate.`,
        also: ['heaterTank'],
      }),
    ];
  },
};

const element: Rule = {
  key: 'heater-element',
  about: 'A gas-only water heater has no element',
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
        title: 'Gas-only heater with an element',
        sentence: `The water heater is recorded as gas only, but with a ${watts(power, system)} element. Look for two switches inside: gas and electric.`,
        also: ['heaterElement'],
      }),
    ];
  },
};

const freshBehind: Rule = {
  key: 'fresh-behind-axles',
  reads: ['places'],
  about: 'Fresh water behind the axles is noted',
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
        title: 'Fresh tank lightens the hitch',
        sentence: `The fresh tank sits ${inches(behind, system)} behind the axles. Full (${gallons(size, system)}), it takes about ${pounds(takes, system)} off the hitch. Weigh it with the tank full.`,
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
