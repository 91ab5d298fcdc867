import { addDays, addWeeks, format, isValid, parse, parseISO, startOfWeek } from 'date-fns';
import type { Parsed, System } from '../quantity/index.ts';

/** How precisely a date is known. */
export type DateTo = 'month' | 'day';

/** What a date is parsed against; every pattern below names its year, so it is never looked at. */
const nowhere = parseISO('2000-01-01');

const written: Readonly<Record<DateTo, string>> = { month: 'yyyy-MM', day: 'yyyy-MM-dd' };
const shown: Readonly<Record<DateTo, string>> = { month: 'MMM yyyy', day: 'd MMM yyyy' };

/** Patterns people write, best first; with figures alone the system says whether month or day comes first. */
const patterns: Readonly<Record<DateTo, Readonly<Record<System, readonly string[]>>>> = {
  month: {
    us: ['yyyy-MM', 'MMMM yyyy', 'MMM yyyy', 'M/yyyy', 'M/yy', 'M-yyyy', 'M.yyyy'],
    metric: ['yyyy-MM', 'MMMM yyyy', 'MMM yyyy', 'M/yyyy', 'M/yy', 'M-yyyy', 'M.yyyy'],
  },
  day: {
    us: ['yyyy-MM-dd', 'd MMMM yyyy', 'd MMM yyyy', 'MMMM d, yyyy', 'MMM d, yyyy', 'M/d/yyyy', 'M/d/yy'],
    metric: ['yyyy-MM-dd', 'd MMMM yyyy', 'd MMM yyyy', 'MMMM d, yyyy', 'MMM d, yyyy', 'd/M/yyyy', 'd.M.yyyy'],
  },
}; // prettier-ignore

/** Earlier than this no trailer of today was built, later nobody can say: a slip of the hand. */
const years = { from: 1950, to: 2099 } as const;

const isSensible = (date: Date): boolean =>
  isValid(date) && date.getFullYear() >= years.from && date.getFullYear() <= years.to;

/** No date is written in more. */
const longest = 60;

/** `25` for 2025: a year of two figures is one of this century. */
const fullYear = (typed: string): string => typed.replace(/([/.-])(\d\d)$/, '$120$2');

/**
 * A date as people write it.
 * @param to whether the field wants a month or a day
 * @param system US units read 3/14/2026 as month first, metric ones as day first
 * @returns `2025-03` or `2026-03-14`, or a coded problem: empty, not-a-date, too-long
 * @example parseDate('3/25', 'month', 'us') // { ok: true, value: '2025-03' }
 */
export const parseDate = (typed: string, to: DateTo, system: System): Parsed<string> => {
  const text = typed.trim();
  if (text === '') return { ok: false, problem: { code: 'empty', params: {} } };
  if (text.length > longest) {
    return {
      ok: false,
      problem: { code: 'too-long', params: { length: text.length, limit: longest } },
    };
  }
  const tried = /^\d{4}-\d\d(-\d\d)?$/.test(text) ? text : fullYear(text);
  const date = patterns[to][system]
    .map((pattern) => parse(tried, pattern, nowhere))
    .find(isSensible);
  if (date) return { ok: true, value: format(date, written[to]) };
  const example = to === 'month' ? 'March 2025 or 3/2025' : '14 March 2026 or 2026-03-14';
  return { ok: false, problem: { code: 'not-a-date', params: { typed: text, example } } };
};

const toDate = (date: string): Date => parse(date, written[toOf(date)], nowhere);

/** Whether a written date is to the month or to the day. */
export const toOf = (date: string): DateTo => (date.length > 7 ? 'day' : 'month');

/** Whether it is a date that exists, written as records keep it, to the month or to the day. */
export const isDate = (date: string, to: DateTo): boolean =>
  toOf(date) === to && isSensible(toDate(date)) && format(toDate(date), written[to]) === date;

/** As one reads a date aloud, by the reader's region. */
const spoken: Readonly<Record<DateTo, Readonly<Record<System, string>>>> = {
  month: { us: 'MMMM yyyy', metric: 'MMMM yyyy' },
  day: { us: 'MMMM d, yyyy', metric: 'd MMMM yyyy' },
};

/**
 * A date as it is said.
 * @example spokenDate('2026-03-14', 'us') // 'March 14, 2026'
 */
export const spokenDate = (date: string, system: System): string =>
  format(toDate(date), spoken[toOf(date)][system]);

/** A date as it is shown: `Mar 2025`, `14 Mar 2026`. */
export const formatDate = (date: string): string => format(toDate(date), shown[toOf(date)]);

const clocks = new Map<string, Intl.DateTimeFormat>();
const clockOf = (timeZone: string): Intl.DateTimeFormat => {
  const made =
    clocks.get(timeZone) ??
    new Intl.DateTimeFormat('en-US', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
  clocks.set(timeZone, made);
  return made;
};

/** Whether a name is one of the IANA time zone database, such as `America/Denver`. */
export const isTimeZone = (name: string): boolean => {
  try {
    clockOf(name);
    return true;
  } catch {
    return false;
  }
};

/**
 * The day on which a moment falls where a yard stands.
 * @param at an ISO time, or ms
 * @param timeZone a name of the IANA time zone database
 * @throws RangeError for a name that is none
 * @example dayIn('2026-11-28T04:30:00.000Z', 'America/Denver') // '2026-11-27'
 */
export const dayIn = (at: string | number, timeZone: string): string => {
  const parts = clockOf(timeZone).formatToParts(typeof at === 'number' ? at : parseISO(at));
  const of = (type: string): string => parts.find((part) => part.type === type)?.value ?? '';
  return `${of('year')}-${of('month')}-${of('day')}`;
};

/** So many days after a day, or before it. @example daysAfter('2026-11-28', 3) // '2026-12-01' */
export const daysAfter = (day: string, days: number): string =>
  format(addDays(parseISO(day), days), written.day);

/** Year × 12 + month, and the day; a date that is known to the month counts from its first day. */
const counted = (date: string): { readonly months: number; readonly day: number } => ({
  months: Number(date.slice(0, 4)) * 12 + Number(date.slice(5, 7)),
  day: Number(date.slice(8, 10) || 1),
});

/**
 * Whole months from one date to another; negative when the second is earlier. A month is over when its day of
 * the month comes round. Figures alone: the checks ask this of every tire and alarm, at every look.
 * @example monthsBetween('2025-03', '2026-03-14') // 12
 */
export const monthsBetween = (from: string, until: string): number => {
  if (until < from) return -monthsBetween(until, from) || 0;
  const [a, b] = [counted(from), counted(until)];
  return b.months - a.months - Number(b.day < a.day);
};

/**
 * The Sunday on which a week of a year begins, when week 1 is the first that lies whole in it.
 * @example fullWeekOf(2025, 36) // '2025-09-07'
 */
export const fullWeekOf = (year: number, week: number): string => {
  const first = startOfWeek(parseISO(`${year}-01-07`), { weekStartsOn: 0 });
  return format(addWeeks(first, week - 1), written.day);
};
