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
  about: 'No tire is older than tires are driven',
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
          title: isOver ? 'Too old to be driven on' : 'An ageing tire',
          sentence: `Built in week ${date.week} of ${date.year}, ${years(months)} ago. ${isOver ? 'Replace it, whatever its tread.' : 'Watch it from five years on, replace it by seven.'}`,
        }),
      ];
    }),
};

const readable: Rule = {
  key: 'tire-date-code',
  doubts: 'its field',
  about: 'A tire’s date code is a week and a year',
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
        good: `“${typed}” would be built in the week of ${read.kind === 'good' ? formatDate(builtOn(read.date)) : ''}, which lies ahead.`,
        'last-century': `“${typed}” has 3 digits: built before 2000. Not to be driven on.`,
        week: `“${typed}” begins with week ${read.kind === 'week' ? read.week : 0}; weeks run from 1 to 53. Were the digits swapped?`,
        'no-date': `“${typed}” does not end in 4 digits, week and year. The code stands on one sidewall only.`,
      }[read.kind];
      return [
        asFinding({ field, severity: 'wrong', title: 'No date a tire can have', sentence: why }),
      ];
    }),
};

const mixedDates: Rule = {
  key: 'tire-dates-mixed',
  about: 'The tires are of one age',
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
        title: 'Tires of different ages',
        sentence: `The oldest is of week ${oldest.date.week} of ${oldest.date.year}, the newest of week ${newest.date.week} of ${newest.date.year}, ${years(apart)} apart. A puncture, or an overload? Look at wear and wheel well of each.`,
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
        title: months < 0 ? 'A tire newer than the trailer' : 'A tire older than the trailer',
        sentence: `Built in week ${odd.date.week} of ${odd.date.year}, ${Math.abs(months)} months ${months < 0 ? 'after' : 'before'} the trailer of ${formatDate(built)}. ${months < 0 ? 'It was replaced: ask why.' : 'It waited long, or came from elsewhere.'}`,
        also: ['buildDate'],
      }),
    ];
  },
};

const code: Rule = {
  key: 'tire-code',
  about: 'The size is one that trailers ride on',
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
        title: isCar ? 'A car’s tire on a trailer' : 'A size that cannot be read',
        sentence: isCar
          ? `“${typed}” bears no ST. Car tires are not made for a trailer’s load; read every sidewall.`
          : `“${typed}” is no size like ST225/75R15. Read it off the sidewall again.`,
      }),
    ];
  },
};

const rim: Rule = {
  key: 'tire-rim',
  about: 'Tire and wheel are of one diameter',
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
        title: 'Tire and wheel do not fit',
        sentence: `The tire’s size asks for a rim of ${inches(read.rim, system)}; the wheel is recorded as ${inches(wheel, system)}.`,
        also: ['tireSize'],
      }),
    ];
  },
};

const labelSize: Rule = {
  key: 'tire-label-size',
  about: 'The tires are of the size on the label',
  needs: ['tireSize', 'labelTireSize'],
  source: '49 CFR 571.110 S4.3, from memory',
  test: (record) => {
    const [now, label] = [textOf(record, 'tireSize'), textOf(record, 'labelTireSize')];
    if (!now || !label || sizeOf(now) === sizeOf(label)) return [];
    return [
      asFinding({
        field: 'tireSize',
        severity: 'doubtful',
        title: 'Not the tires it left with',
        sentence: `On it is ${now}; the label asks for ${label}. Load, clearance and pressure have to be looked up again.`,
        also: ['labelTireSize'],
      }),
    ];
  },
};

const labelRange: Rule = {
  key: 'tire-label-range',
  about: 'The load range is not below the label’s',
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
        title: 'Weaker tires than the label asks for',
        sentence: `Load range ${now} where the label asks for ${label}${at}. Not to be towed on these.`,
        also: ['labelLoadRange'],
      }),
    ];
  },
};

const carries: Rule = {
  key: 'tires-carry-axle',
  about: 'Two tires carry what an axle is rated for, with something over',
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
        title: 'The tires carry less than the axle',
        sentence: `Two tires carry ${pounds(2 * load, system)}, ${percent(-reserve)} less than the axle’s ${pounds(axle.each, system)}. The lower decides.`,
        also: ['axleRating'],
      }),
    ];
  },
};

const againstTable: Rule = {
  key: 'tire-load-table',
  about: 'The load on the sidewall is that of the tables',
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
        title: 'Not the load of the tables',
        sentence: `The record says ${pounds(load, system)}; tables give ${size} in range ${textOf(record, 'loadRange') ?? '?'} ${pounds(table, system)}. Read the sidewall again: the single figure, not the dual one.`,
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
        title: isOver ? 'Worn out' : 'Nearly worn out',
        sentence: `${formatQuantity(tread, 'fineInches', system)} of tread is left; ${isOver ? 'not to be towed on' : 'not enough for a wet road'}.`,
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
