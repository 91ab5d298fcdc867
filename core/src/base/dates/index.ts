export {
  parseDate,
  formatDate,
  fullWeekOf,
  isDate,
  toOf,
  monthsBetween,
  dayIn,
  daysAfter,
  isTimeZone,
  type DateTo,
} from './dates.ts';
