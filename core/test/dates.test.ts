import { describe, expect, it } from '@jest/globals';
import { differenceInMonths, parseISO } from 'date-fns';
import fc from 'fast-check';
import {
  dayIn,
  daysAfter,
  formatDate,
  fullWeekOf,
  isDate,
  isTimeZone,
  monthsBetween,
  parseDate,
  toOf,
} from '@fair-gable/core/base/dates';

describe('a date as people write it', () => {
  it.each([
    ['3/2025', 'month', 'us', '2025-03'],
    ['03/25', 'month', 'us', '2025-03'],
    ['March 2025', 'month', 'metric', '2025-03'],
    ['mar 2025', 'month', 'us', '2025-03'],
    ['2025-03', 'month', 'us', '2025-03'],
    ['11.2024', 'month', 'metric', '2024-11'],
    ['14 March 2026', 'day', 'us', '2026-03-14'],
    ['Mar 14, 2026', 'day', 'us', '2026-03-14'],
    ['3/14/2026', 'day', 'us', '2026-03-14'],
    ['14/3/2026', 'day', 'metric', '2026-03-14'],
    ['14.3.2026', 'day', 'metric', '2026-03-14'],
    ['2026-03-14', 'day', 'metric', '2026-03-14'],
    ['3/4/26', 'day', 'us', '2026-03-04'],
    ['3/4/2026', 'day', 'metric', '2026-04-03'],
  ] as const)('%s to the %s in %s units is %s', (typed, to, system, value) => {
    expect(parseDate(typed, to, system)).toEqual({ ok: true, value });
  });

  it.each([
    ['', 'month', 'empty'],
    ['soon', 'month', 'not-a-date'],
    ['13/2025', 'month', 'not-a-date'],
    ['30 Feb 2026', 'day', 'not-a-date'],
    ['2026-02-30', 'day', 'not-a-date'],
    ['3/14/1066', 'day', 'not-a-date'],
    ['2025-03', 'day', 'not-a-date'],
  ] as const)('%s to the %s is refused: %s', (typed, to, code) => {
    expect(parseDate(typed, to, 'us')).toMatchObject({ ok: false, problem: { code } });
  });

  it('comes back from how it is shown', () => {
    const day = fc.date({
      min: new Date('1980-01-01T12:00:00Z'),
      max: new Date('2090-01-01T12:00:00Z'),
      noInvalidDate: true,
    });
    fc.assert(
      fc.property(day, fc.constantFrom('us' as const, 'metric' as const), (date, system) => {
        const written = date.toISOString().slice(0, 10);
        const month = written.slice(0, 7);
        expect(parseDate(formatDate(written), 'day', system)).toEqual({ ok: true, value: written });
        expect(parseDate(formatDate(month), 'month', system)).toEqual({ ok: true, value: month });
        expect([isDate(written, 'day'), isDate(month, 'month')]).toEqual([true, true]);
      }),
    );
  });

  it('knows what is no date in a record', () => {
    expect(isDate('2026-02-29', 'day')).toBe(false);
    expect(isDate('2024-02-29', 'day')).toBe(true);
    expect(isDate('2026-03', 'day')).toBe(false);
    expect([toOf('2026-03'), toOf('2026-03-14')]).toEqual(['month', 'day']);
  });
});

describe('months between', () => {
  it.each([
    ['2025-03', '2026-03-14', 12],
    ['2025-03-15', '2026-03-14', 11],
    ['2026-04', '2025-04', -12],
    ['2025-04', '2025-04-01', 0],
  ])('%s and %s are %d', (from, until, months) => {
    expect(monthsBetween(from, until)).toBe(months);
  });

  it('are those of a library of the registry, but for the ends of months', () => {
    const day = fc
      .tuple(
        fc.integer({ min: 1990, max: 2060 }),
        fc.integer({ min: 1, max: 12 }),
        // The 28th ends a February, and the library counts from end to end.
        fc.integer({ min: 1, max: 27 }),
      )
      .map(([y, m, d]) => [y, m, d].map((n) => String(n).padStart(2, '0')).join('-'));
    fc.assert(
      fc.property(day, day, (a, b) => {
        expect(monthsBetween(a, b)).toBe(differenceInMonths(parseISO(b), parseISO(a)));
      }),
    );
  });
});

describe('full weeks of a year', () => {
  it('begin on a Sunday, seven days apart, the first of them within the first week of January', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2000, max: 2060 }), fc.integer({ min: 1, max: 51 }), (y, w) => {
        const [a, b] = [fullWeekOf(y, w), fullWeekOf(y, w + 1)].map((d) =>
          Date.parse(`${d}T00:00:00Z`),
        );
        expect(new Date(a ?? 0).getUTCDay()).toBe(0);
        expect((b ?? 0) - (a ?? 0)).toBe(7 * 86_400_000);
        expect(fullWeekOf(y, 1) >= `${y}-01-01` && fullWeekOf(y, 1) <= `${y}-01-07`).toBe(true);
      }),
    );
  });
});

describe('the day somewhere', () => {
  // Offsets from the IANA time zone database: Denver is UTC−7 in winter and −6 in summer, Kiritimati UTC+14.
  it.each([
    ['2026-11-28T06:30:00.000Z', 'America/Denver', '2026-11-27'], // 23:30
    ['2026-11-28T07:30:00.000Z', 'America/Denver', '2026-11-28'], // 00:30
    ['2026-07-01T05:59:59.000Z', 'America/Denver', '2026-06-30'], // 23:59:59 in summer
    ['2026-07-01T06:00:00.000Z', 'America/Denver', '2026-07-01'],
    ['2026-12-31T10:00:00.000Z', 'Pacific/Kiritimati', '2027-01-01'],
    ['2026-03-08T09:30:00.000Z', 'America/Denver', '2026-03-08'], // in the hour that is not there
    ['2026-11-28T23:59:59.999Z', 'Etc/UTC', '2026-11-28'],
  ])('%s in %s is %s', (at, zone, day) => {
    expect(dayIn(at, zone)).toBe(day);
    expect(dayIn(Date.parse(at), zone)).toBe(day);
  });

  it('has a place that there is', () => {
    expect([isTimeZone('America/Denver'), isTimeZone('Mars/Olympus'), isTimeZone('')]).toEqual([
      true,
      false,
      false,
    ]);
    expect(() => dayIn('2026-11-28T00:00:00.000Z', 'Mars/Olympus')).toThrow(RangeError);
  });

  it('comes so many days after another', () => {
    expect(daysAfter('2026-11-28', 3)).toBe('2026-12-01');
    expect(daysAfter('2028-03-01', -1)).toBe('2028-02-29');
    expect(daysAfter('2026-03-07', 2)).toBe('2026-03-09'); // over a change of the clocks
  });
});
