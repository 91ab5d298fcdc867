import { inspectedAt } from '../condition/index.ts';
import { formatDate, monthsBetween } from '../../base/dates/index.ts';
import { modelYearsOf, readFloorPlan } from '../identity/index.ts';
import { amountOf, textOf } from '../record/index.ts';
import { feet, asFinding, todayOf } from './as-finding.ts';
import type { Rule } from './types.ts';

/** Model year against the tenth character of the VIN. */
const vinYear: Rule = {
  key: 'vin-year',
  about: 'The tenth character of the VIN stands for the model year',
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
        title: 'Model year and VIN disagree',
        sentence: `The tenth character of the VIN, ${vin[9]}, stands for ${years.join(' or ')}; the record says ${year}.`,
        also: ['vin'],
      }),
    ];
  },
};

/** Model years begin up to a year before their number and seldom end after it. */
const buildYear: Rule = {
  key: 'build-year',
  about: 'The build date lies in the months in which a model year is built',
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
        title: 'Built outside its model year',
        sentence: `Built ${formatDate(built)}, called a ${year} model; those are usually built from ${formatDate(from)} to ${formatDate(until)}.`,
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
  about: `It is ${first} before it is ${second}`,
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
        sentence: `It was ${first} ${formatDate(a)} and ${second} ${formatDate(b)}: one of the two dates was misread.`,
        also: [earlier],
      }),
    ];
  },
});

/** A day that has not come yet cannot have been written down. */
const future: Rule = {
  key: 'future-date',
  about: 'Nothing is recorded as done on a day still to come',
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
            title: 'A day still to come',
            sentence: `${formatDate(date)} lies ahead; today is ${todayOf(look)}.`,
          }),
        ];
      },
    ),
};

/** The nominal feet in the name are those of the box, more or less; overall is about 1 to 5 ft more. */
const nominalLength: Rule = {
  key: 'nominal-length',
  about: 'The overall length goes with the number in the floor plan’s name',
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
        title: over < 0 ? 'Shorter than its name' : 'Much longer than its name',
        sentence: `“${plan}” is nominally ${nominal} ft, and ${feet(overall, system)} overall is ${feet(Math.abs(over) * 12, system)} ${over < 0 ? 'less' : 'more'}. Was it taped from coupler to bumper?`,
        also: ['floorPlan'],
      }),
    ];
  },
};

/** A recall look-up ages: it is done again before hand-over. */
const recallStale: Rule = {
  key: 'recall-stale',
  about: 'Recalls were looked up within the last three months',
  needs: ['recallChecked'],
  source: 'Common practice',
  test: (record, look) => {
    const checked = textOf(record, 'recallChecked');
    if (!checked || monthsBetween(checked, look.today) < 3) return [];
    return [
      asFinding({
        field: 'recallChecked',
        severity: 'look',
        title: 'Look the recalls up again',
        sentence: `Last looked up ${formatDate(checked)}, ${monthsBetween(checked, look.today)} months ago.`,
      }),
    ];
  },
};

/** An asking price over the list price is a slip, or wants a word. */
const priceOverList: Rule = {
  key: 'price-over-list',
  about: 'The asking price is not above the list price',
  needs: ['askingPrice', 'listPrice'],
  source: 'Common practice',
  test: (record) => {
    const [asking, list] = [textOf(record, 'askingPrice'), textOf(record, 'listPrice')].map(Number);
    if (!asking || !list || asking <= list) return [];
    return [
      asFinding({
        field: 'askingPrice',
        severity: 'doubtful',
        title: 'Asking more than the list',
        sentence: `Asking ${asking} against a list price of ${list}.`,
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
  about: 'Where there are many options, the package they came in is named',
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
        title: 'Many options, no package named',
        sentence: `${options.length} things are recorded as options, and no package is. Read the order sheet; if they were ordered one by one, asFinding so.`,
      }),
    ];
  },
};

/** The date of the inspection follows from a technician's signature. */
const inspectionDate: Rule = {
  key: 'inspection-unsigned',
  about: 'A date of inspection has a signature under it',
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
        title: 'A date of inspection, and no signature',
        sentence: `${formatDate(typed)} stands here, and no technician has signed the inspection as it is now. Until one does, tell the unit and operate nothing.`,
      }),
    ];
  },
};

export const identityRules: readonly Rule[] = [
  vinYear,
  buildYear,
  inOrder('built-then-arrived', ['buildDate', 'arrived'], ['built', 'brought here']),
  inOrder('arrived-then-inspected', ['arrived', 'inspected'], ['brought here', 'inspected']),
  future,
  nominalLength,
  recallStale,
  priceOverList,
  optionWithoutPackage,
  inspectionDate,
];
