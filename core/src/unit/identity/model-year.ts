import { tidyVin } from './vin.ts';

/**
 * Model-year characters in their order, from 1980; after 30 years they begin again.
 * Source: 49 CFR 565.15(d), table VII; I, O, Q, U, Z and 0 are not used.
 */
const characters = 'ABCDEFGHJKLMNPRSTVWXY123456789';
const first = 1980;

/**
 * The model years that a VIN's tenth character may stand for: one every thirty years.
 * @returns earliest first; empty when it stands for none, or the VIN has not 17 characters
 * @example modelYearsOf('1M8GDM9AXKP042788') // [1989, 2019]
 */
export const modelYearsOf = (typed: string): readonly number[] => {
  const vin = tidyVin(typed);
  const at = characters.indexOf(vin[9] ?? '?');
  if (vin.length !== 17 || at < 0) return [];
  return [first + at, first + at + characters.length];
};
