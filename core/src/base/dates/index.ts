export {
  parseDate,
  formatDate,
  fullWeekOf,
  isDate,
  toOf,
  monthsBetween,
  type DateTo,
} from './dates.ts';
