import { percent } from '../../base/words/index.ts';
import { specs, type SpecKey } from '../catalog/index.ts';
import { formatDate } from '../../base/dates/index.ts';
import {
  builtOn,
  loadOfIndex,
  loadRanges,
  pressureOfRange,
  readDotDate,
  readTireCode,
  sizeOf,
  tableLoad,
  tireMonths,
  type DotDate,
} from '../identity/index.ts';
import { amountOf, countedOf, textOf, type UnitRecord } from '../record/index.ts';
import { formatQuantity } from '../../base/quantity/index.ts';
import { inches, psi, asFinding } from './as-finding.ts';
import type { Rule } from './types.ts';
import { pounds } from './ways.ts';

const dateKeys: readonly SpecKey[] = specs
  .filter((s) => s.key.startsWith('tireDate'))
  .map((s) => s.key);

interface Dated {
  readonly key: SpecKey;
  readonly date: DotDate;
}

const readDates = (record: UnitRecord): readonly Dated[] =>
  dateKeys.flatMap((key) => {
    const typed = textOf(record, key);
    const read = typed === undefined ? undefined : readDotDate(typed);
    return read?.kind === 'good' ? [{ key, date: read.date }] : [];
  });

/** Three rules ask for the same dates of the same record. */
const dated = new WeakMap<UnitRecord, readonly Dated[]>();
const datesOf = (record: UnitRecord): readonly Dated[] => {
  const known = dated.get(record) ?? readDates(record);
  dated.set(record, known);
  return known;
};

const earlier = (a: Dated, b: Dated): number => {
  const [x, y] = [builtOn(a.date), builtOn(b.date)];
  return x === y ? 0 : x < y ? -1 : 1;
};

const years = (months: number): string => `${(months / 12).toFixed(1)} years`;

const age: Rule = {
  key: 'tire-age',
  about: 'No tire is too old to drive on',
  needs: dateKeys,
  fieldByField: true,
  source: 'Watch from 5 years, replace by 7: common practice',
  test: (record, { today }) =>
    datesOf(record).flatMap(({ key, date }) => {
      const months = tireMonths(date, today);
      if (months < 60) return [];
      const isOver = months >= 84;
      return [
        asFinding({
          field: key,
          severity: isOver ? 'doubtful' : 'look',
          title: isOver ? 'Tire is too old' : 'Tire is getting old',
          sentence: `It was built in week ${date.week} of ${date.year}, ${years(months)} ago. ${isOver ? 'Replace it, whatever its tread.' : 'Watch it from five years on; replace it by seven.'}`,
        }),
      ];
    }),
};

const readable: Rule = {
  key: 'tire-date-code',
  doubts: 'its field',
  about: 'Every tire date code is a week and a year',
  needs: dateKeys,
  fieldByField: true,
  source: '49 CFR 574.5(d)',
  test: (record, { today }) =>
    dateKeys.flatMap((field) => {
      const typed = textOf(record, field);
      if (typed === undefined) return [];
      const read = readDotDate(typed);
      const ahead = read.kind === 'good' && builtOn(read.date) > today;
      if (read.kind === 'good' && !ahead) return [];
      const why = {
        good: `“${typed}” means the week of ${read.kind === 'good' ? formatDate(builtOn(read.date)) : ''}, which hasn’t come yet. Read the DOT code again.`,
        'last-century': `“${typed}” has 3 digits, so it was built before 2000. Don’t drive on it.`,
        week: `“${typed}” starts with week ${read.kind === 'week' ? read.week : 0}, but weeks run from 1 to 53. Were the digits swapped?`,
        'no-date': `“${typed}” doesn’t end in 4 digits, week and year. Look on both sidewalls; the full code is on only one.`,
      }[read.kind];
      return [
        asFinding({
          field,
          severity: 'wrong',
          title: 'Tire date code can’t be right',
          sentence: why,
        }),
      ];
    }),
};

const mixedDates: Rule = {
  key: 'tire-dates-mixed',
  about: 'The tires are about the same age',
  needs: dateKeys,
  source: 'Tires of one axle are replaced together: common practice',
  test: (record) => {
    const rolling = datesOf(record).filter(({ key }) => key !== 'tireDateSpare');
    const sorted = rolling.toSorted(earlier);
    const [oldest, newest] = [sorted[0], sorted.at(-1)];
    if (!oldest || !newest) return [];
    const apart = tireMonths(oldest.date, builtOn(newest.date));
    if (apart < 12) return [];
    return [
      asFinding({
        field: oldest.key,
        severity: 'doubtful',
        title: 'Tires are different ages',
        sentence: `The oldest is from week ${oldest.date.week} of ${oldest.date.year}, the newest from week ${newest.date.week} of ${newest.date.year}: ${years(apart)} apart. Look at each tire’s wear and wheel well for a blowout.`,
        also: [newest.key],
      }),
    ];
  },
};

const againstBuild: Rule = {
  key: 'tires-against-build',
  about: 'The tires were built shortly before the trailer',
  needs: [...dateKeys, 'buildDate'],
  source: 'Tires are mostly a few months old when a trailer is built: common practice',
  test: (record) => {
    const built = textOf(record, 'buildDate');
    if (!built) return [];
    const odd = datesOf(record).find(({ date }) => {
      const months = tireMonths(date, built);
      return months > 18 || months < -1;
    });
    if (!odd) return [];
    const months = tireMonths(odd.date, built);
    return [
      asFinding({
        field: odd.key,
        severity: 'look',
        title: months < 0 ? 'Tire is newer than the trailer' : 'Tire is older than the trailer',
        sentence: `It was built in week ${odd.date.week} of ${odd.date.year}, ${Math.abs(months)} months ${months < 0 ? 'after' : 'before'} the trailer (${formatDate(built)}). ${months < 0 ? 'It was replaced: ask why.' : 'Ask where it came from.'}`,
        also: ['buildDate'],
      }),
    ];
  },
};

const code: Rule = {
  key: 'tire-code',
  about: 'The tires are trailer tires',
  needs: ['tireSize'],
  source: 'ST for special trailers: common practice',
  test: (record) => {
    const typed = textOf(record, 'tireSize');
    if (typed === undefined) return [];
    const read = readTireCode(typed);
    if (read?.service === 'ST' || read?.service === 'LT') return [];
    const isCar = read !== undefined && read.aspect !== undefined;
    return [
      asFinding({
        field: 'tireSize',
        severity: isCar ? 'doubtful' : 'look',
        title: isCar ? 'Car tire on a trailer' : 'Tire size can’t be read',
        sentence: isCar
          ? `“${typed}” has no ST. Car tires aren’t made for a trailer’s load. Read every sidewall.`
          : `“${typed}” isn’t a size like ST225/75R15. Read it off the sidewall again.`,
      }),
    ];
  },
};

const rim: Rule = {
  key: 'tire-rim',
  about: 'Tire and wheel have the same diameter',
  needs: ['tireSize', 'wheelSize'],
  doubts: ['tireSize', 'wheelSize'],
  source: 'By definition of the size code',
  test: (record, { system }) => {
    const read = readTireCode(textOf(record, 'tireSize') ?? '');
    const wheel = amountOf(record, 'wheelSize');
    if (!read || wheel === undefined || Math.abs(read.rim - wheel) < 0.3) return [];
    return [
      asFinding({
        field: 'wheelSize',
        severity: 'wrong',
        title: 'Tire doesn’t fit the wheel',
        sentence: `The tire needs a ${inches(read.rim, system)} rim, but the wheel is recorded as ${inches(wheel, system)}. Read the tire size again.`,
        also: ['tireSize'],
      }),
    ];
  },
};

const labelSize: Rule = {
  key: 'tire-label-size',
  about: 'The tires are the size on the label',
  needs: ['tireSize', 'labelTireSize'],
  source: '49 CFR 571.110 S4.3, from memory',
  test: (record) => {
    const [now, label] = [textOf(record, 'tireSize'), textOf(record, 'labelTireSize')];
    if (!now || !label || sizeOf(now) === sizeOf(label)) return [];
    return [
      asFinding({
        field: 'tireSize',
        severity: 'doubtful',
        title: 'Tire size isn’t what the label says',
        sentence: `It’s on ${now}, but the label calls for ${label}. Look up load, clearance and pressure for the tires it has.`,
        also: ['labelTireSize'],
      }),
    ];
  },
};

const labelRange: Rule = {
  key: 'tire-label-range',
  about: 'Load range isn’t below the label’s',
  needs: ['loadRange', 'labelLoadRange'],
  source: 'Common practice; the label decides',
  test: (record, { system }) => {
    const order = loadRanges.map((row) => row.key);
    const [now, label] = [textOf(record, 'loadRange'), textOf(record, 'labelLoadRange')];
    if (!now || !label || order.indexOf(now) >= order.indexOf(label)) return [];
    const cold = pressureOfRange(label);
    const at = cold === undefined ? '' : ` at ${psi(cold, system)}`;
    return [
      asFinding({
        field: 'loadRange',
        severity: 'wrong',
        title: 'Load range is below the label',
        sentence: `The tires are load range ${now}, but the label calls for ${label}${at}. Don’t tow it on these.`,
        also: ['labelLoadRange'],
      }),
    ];
  },
};

const carries: Rule = {
  key: 'tires-carry-axle',
  about: 'Two tires carry what an axle is rated for',
  needs: ['tireLoad', 'axleRating'],
  source: 'Reserve of 10% wanted: common practice; sidewall and axle label decide',
  test: (record, { system }) => {
    const load = amountOf(record, 'tireLoad');
    const axle = countedOf(record, 'axleRating');
    if (load === undefined || !axle) return [];
    const reserve = (2 * load) / axle.each - 1;
    if (reserve >= 0) return [];
    return [
      asFinding({
        field: 'tireLoad',
        severity: 'wrong',
        title: 'Tires carry less than the axle rating',
        sentence: `Two tires carry ${pounds(2 * load, system)}, ${percent(-reserve)} less than the axle’s ${pounds(axle.each, system)}. Go by the lower one.`,
        also: ['axleRating'],
      }),
    ];
  },
};

const againstTable: Rule = {
  key: 'tire-load-table',
  about: 'The tire’s load rating matches the tables',
  needs: ['tireLoad', 'tireSize', 'loadRange'],
  source: 'TRA tables, from memory; load index: ISO 4000-1; the sidewall decides',
  test: (record, { system }) => {
    const load = amountOf(record, 'tireLoad');
    const size = textOf(record, 'tireSize') ?? '';
    const index = readTireCode(size)?.loadIndex;
    const byIndex = index === undefined ? undefined : loadOfIndex(index);
    const table =
      tableLoad(sizeOf(size), textOf(record, 'loadRange') ?? '') ??
      (byIndex === undefined ? undefined : byIndex / 0.45359237);
    if (load === undefined || table === undefined) return [];
    if (Math.abs(load - table) <= 0.03 * table) return [];
    return [
      asFinding({
        field: 'tireLoad',
        severity: 'look',
        title: 'Tire load rating doesn’t match the tables',
        sentence: `The record says ${pounds(load, system)}, but the tables give ${size} in range ${textOf(record, 'loadRange') ?? '?'} ${pounds(table, system)}. Read the sidewall again: the single figure, not the dual.`,
        also: ['loadRange', 'tireSize'],
      }),
    ];
  },
};

const worn: Rule = {
  key: 'tire-tread',
  about: 'There is tread left',
  needs: ['tireTread'],
  source: '2/32 in is the end, 4/32 in wet roads’ end: common practice',
  test: (record, { system }) => {
    const tread = amountOf(record, 'tireTread');
    if (tread === undefined || tread > 4 / 32) return [];
    const isOver = tread <= 2 / 32;
    return [
      asFinding({
        field: 'tireTread',
        severity: isOver ? 'wrong' : 'doubtful',
        title: isOver ? 'Tires are worn out' : 'Tires are nearly worn out',
        sentence: `Lowest tread is ${formatQuantity(tread, 'fineInches', system)}. ${isOver ? 'Don’t tow it on these; replace them.' : 'That’s not enough for a wet road.'}`,
      }),
    ];
  },
};

export const tireRules: readonly Rule[] = [
  age,
  readable,
  mixedDates,
  againstBuild,
  code,
  rim,
  labelSize,
  labelRange,
  carries,
  againstTable,
  worn,
];
