import { dayIn } from '@fair-gable/core/base/dates';
import { zone } from './zone.ts';

const minute = 60_000;

const forms = {
  clockTime: { hour: '2-digit', minute: '2-digit' },
  dayAndTime: { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
  wholeDay: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
  whole: { dateStyle: 'medium', timeStyle: 'short' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

const made = new Map<string, Intl.DateTimeFormat>();
/** A time as the yard's own clock shows it. */
const shown = (form: keyof typeof forms, time: number): string => {
  const key = `${form} ${zone.value}`;
  const format =
    made.get(key) ?? new Intl.DateTimeFormat(undefined, { ...forms[form], timeZone: zone.value });
  made.set(key, format);
  return format.format(time);
};

/** The day of a time, for headings. */
export const dayOf = (iso: string): string => shown('wholeDay', Date.parse(iso));

export const timeOf = (iso: string): string => shown('clockTime', Date.parse(iso));

/** Day and time of day together. */
export const wholeTimeOf = (iso: string): string => shown('whole', Date.parse(iso));

/** The day on which something was, `2026-11-28`, by the yard's clock. */
export const onDay = (iso: string): string => dayIn(iso, zone.value);

/**
 * When something was, as people say it.
 * @param now ms, for tests
 */
export const when = (iso: string, now = Date.now()): string => {
  const time = Date.parse(iso);
  if (Math.abs(now - time) < minute) return 'just now';
  const isToday = onDay(iso) === dayIn(now, zone.value);
  return isToday ? timeOf(iso) : shown('dayAndTime', time);
};
