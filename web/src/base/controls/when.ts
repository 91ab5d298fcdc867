const minute = 60_000;
const clockTime = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
const dayAndTime = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});
const wholeDay = new Intl.DateTimeFormat(undefined, {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});

/** The day of a time, for headings. */
export const dayOf = (iso: string): string => wholeDay.format(new Date(iso));

export const timeOf = (iso: string): string => clockTime.format(new Date(iso));

/**
 * When something was, as people say it.
 * @param now ms, for tests
 */
export const when = (iso: string, now = Date.now()): string => {
  const time = Date.parse(iso);
  if (Math.abs(now - time) < minute) return 'just now';
  const isToday = new Date(time).toDateString() === new Date(now).toDateString();
  return isToday ? timeOf(iso) : dayAndTime.format(new Date(time));
};
