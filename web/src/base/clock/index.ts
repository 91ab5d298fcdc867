export { useClock } from './clock.ts';
export { dayOf, onDay, timeOf, when, wholeTimeOf } from './when.ts';
export { deviceZone, standAt } from './zone.ts';
