import { inspectedAt } from '../condition/index.ts';
import { formatDate, monthsBetween } from '../../base/dates/index.ts';
import { modelYearsOf, readFloorPlan } from '../identity/index.ts';
import { formatWhole } from '../../base/quantity/index.ts';
import { amountOf, textOf } from '../record/index.ts';
import { feet, asFinding, todayOf } from './as-finding.ts';
import type { Rule } from './types.ts';

/** Model year against the tenth character of the VIN. */
const vinYear: Rule = {
  key: 'vin-year',
  about: 'The VIN’s tenth character matches the model year',
  needs: ['vin', 'modelYear'],
  source: '49 CFR 565.15(d), table VII',
  test: (record) => {
    const year = Number(textOf(record, 'modelYear'));
    const vin = textOf(record, 'vin') ?? '';
    const years = modelYearsOf(vin);
    if (!year || years.length === 0 || years.includes(year)) return [];
    return [
      asFinding({
        field: 'modelYear',
        severity: 'doubtful',
        title: 'VIN and model year disagree',
        sentence: `The VIN’s tenth character, ${vin[9]}, means ${years.join(' or ')}, but the record says ${year}. Read both again.`,
        also: ['vin'],
      }),
    ];
  },
};

/** Model years begin up to a year before their number and seldom end after it. */
const buildYear: Rule = {
  key: 'build-year',
  about: 'The build date fits the model year',
  needs: ['buildDate', 'modelYear'],
  source: 'Model years run from about January before to December of the year: common practice',
  test: (record) => {
    const built = textOf(record, 'buildDate');
    const year = Number(textOf(record, 'modelYear'));
    if (!built || !year) return [];
    const [from, until] = [`${year - 1}-01`, `${year}-12`];
    if (built >= from && built <= until) return [];
    return [
      asFinding({
        field: 'buildDate',
        severity: 'doubtful',
        title: 'Build date doesn’t fit the model year',
        sentence: `It was built ${formatDate(built)}, but it’s a ${year} model. Those are usually built from ${formatDate(from)} to ${formatDate(until)}. Read the VIN label again.`,
        also: ['modelYear'],
      }),
    ];
  },
};

const inOrder = (
  key: string,
  [earlier, later]: readonly [Parameters<typeof textOf>[1], Parameters<typeof textOf>[1]],
  [first, second]: readonly [string, string],
): Rule => ({
  key,
  about: `It was ${first} before it was ${second}`,
  needs: [earlier, later],
  doubts: [earlier, later],
  source: 'The order of things',
  test: (record) => {
    const [a, b] = [textOf(record, earlier), textOf(record, later)];
    if (!a || !b || b.slice(0, a.length) >= a) return [];
    return [
      asFinding({
        field: later,
        severity: 'wrong',
        title: `${second[0]?.toUpperCase()}${second.slice(1)} before it was ${first}`,
        sentence: `It was ${second} ${formatDate(b)}, but ${first} ${formatDate(a)}. One of the two dates is wrong.`,
        also: [earlier],
      }),
    ];
  },
});

/** A day that has not come yet cannot have been written down. */
const future: Rule = {
  key: 'future-date',
  about: 'Nothing is recorded on a date in the future',
  needs: ['buildDate', 'arrived', 'inspected', 'recallChecked', 'sealsChecked'],
  doubts: 'its field',
  fieldByField: true,
  source: 'The order of things',
  test: (record, look) =>
    (['buildDate', 'arrived', 'inspected', 'recallChecked', 'sealsChecked'] as const).flatMap(
      (field) => {
        const date = textOf(record, field);
        if (!date || date <= look.today.slice(0, date.length)) return [];
        return [
          asFinding({
            field,
            severity: 'wrong',
            title: 'Date in the future',
            sentence: `${formatDate(date)} hasn’t come yet; today is ${todayOf(look)}. Enter the day it was done.`,
          }),
        ];
      },
    ),
};

/** The nominal feet in the name are those of the box, more or less; overall is about 1 to 5 ft more. */
const nominalLength: Rule = {
  key: 'nominal-length',
  about: 'Overall length fits the number in the floor plan',
  needs: ['floorPlan', 'overallLength'],
  doubts: ['overallLength'],
  source: 'Overall is from about 1 to nearly 6 ft over the nominal number: common practice',
  test: (record, { system }) => {
    const plan = textOf(record, 'floorPlan');
    const nominal = plan === undefined ? undefined : readFloorPlan(plan)?.feet;
    const overall = amountOf(record, 'overallLength');
    if (nominal === undefined || overall === undefined) return [];
    const over = overall / 12 - nominal;
    if (over >= 0 && over <= 6) return [];
    return [
      asFinding({
        field: 'overallLength',
        severity: over < -1 ? 'wrong' : 'doubtful',
        title:
          over < 0 ? 'Shorter than the floor plan says' : 'Much longer than the floor plan says',
        sentence: `“${plan}” is nominally ${nominal} ft, but overall it’s ${feet(overall, system)}, ${feet(Math.abs(over) * 12, system)} ${over < 0 ? 'less' : 'more'}. Tape it again from coupler to bumper.`,
        also: ['floorPlan'],
      }),
    ];
  },
};

/** A recall look-up ages: it is done again before hand-over. */
const recallStale: Rule = {
  key: 'recall-stale',
  about: 'Recalls were looked up in the last three months',
  needs: ['recallChecked'],
  source: 'Common practice',
  test: (record, look) => {
    const checked = textOf(record, 'recallChecked');
    if (!checked || monthsBetween(checked, look.today) < 3) return [];
    return [
      asFinding({
        field: 'recallChecked',
        severity: 'look',
        title: 'Recall look-up is old',
        sentence: `Recalls were last looked up ${formatDate(checked)}, ${monthsBetween(checked, look.today)} months ago. Look them up again by VIN.`,
      }),
    ];
  },
};

/** An asking price over the MSRP is a slip, or needs a word of explanation. */
const priceOverList: Rule = {
  key: 'price-over-list',
  about: 'The asking price isn’t above the MSRP',
  needs: ['askingPrice', 'listPrice'],
  source: 'Common practice',
  test: (record) => {
    const [asking, list] = [textOf(record, 'askingPrice'), textOf(record, 'listPrice')].map(Number);
    if (!asking || !list || asking <= list) return [];
    return [
      asFinding({
        field: 'askingPrice',
        severity: 'doubtful',
        title: 'Asking price over MSRP',
        sentence: `The asking price is ${formatWhole(asking)}, but the MSRP is ${formatWhole(list)}. Check both.`,
        also: ['listPrice'],
      }),
    ];
  },
};

/** Options are ordered one by one as well; so many together mostly came in a package. Common practice. */
const manyOptions = 3;

/** Many options and no package named: somebody may sell a package's part as standard. */
const optionWithoutPackage: Rule = {
  key: 'option-without-package',
  reads: ['features'],
  about: 'With many options, their package is named',
  needs: ['packages'],
  source: 'Single options are ordered too; three or more mostly come together: common practice',
  test: (record) => {
    if (textOf(record, 'packages')) return [];
    const options = Object.values(record.features).filter((f) => f?.value.state === 'option');
    if (options.length < manyOptions) return [];
    return [
      asFinding({
        field: 'packages',
        severity: 'look',
        title: 'Many options, no package',
        sentence: `${options.length} things are recorded as options, but no package is. Read the order sheet; if they were ordered one by one, say so.`,
      }),
    ];
  },
};

/** The date of the inspection follows from a technician's signature. */
const inspectionDate: Rule = {
  key: 'inspection-unsigned',
  about: 'An inspection date has a signature',
  needs: ['inspected'],
  reads: ['features', 'inspection', 'signatures'],
  source: 'Common practice',
  test: (record) => {
    const typed = textOf(record, 'inspected');
    if (!typed || inspectedAt(record)) return [];
    return [
      asFinding({
        field: 'inspected',
        severity: 'doubtful',
        title: 'Inspection not signed',
        sentence: `The record says ${formatDate(typed)}, but no technician has signed the inspection as it is now. Until one does, show and tell only: don’t operate anything.`,
      }),
    ];
  },
};

export const identityRules: readonly Rule[] = [
  vinYear,
  buildYear,
  inOrder('built-then-arrived', ['buildDate', 'arrived'], ['built', 'delivered here']),
  inOrder('arrived-then-inspected', ['arrived', 'inspected'], ['delivered here', 'inspected']),
  future,
  nominalLength,
  recallStale,
  priceOverList,
  optionWithoutPackage,
  inspectionDate,
];
