export {
  parseDate,
  formatDate,
  spokenDate,
  fullWeekOf,
  isDate,
  toOf,
  monthsBetween,
  dayIn,
  daysAfter,
  isTimeZone,
  type DateTo,
} from './dates.ts';
