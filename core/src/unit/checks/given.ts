import { isSpecKey } from '../catalog/index.ts';
import { emptyRecord, type UnitRecord } from '../record/index.ts';
import type { Rule } from './types.ts';

const picked = <T extends object>(from: T, keys: readonly (keyof T)[]): T => {
  const some = keys.filter((key) => from[key] !== undefined).map((key) => [key, from[key]]);
  return Object.fromEntries(some) as T;
};

/** The fields that a rule names. */
export const fieldsOf = ({ needs, besides = [] }: Rule): Rule['needs'] => [...needs, ...besides];

/**
 * What a rule is given of a record: the fields that it names and the parts that it says it reads, and nothing else. So a look that
 * runs only the rules whose inputs changed finds what a whole look finds.
 */
export const givenTo = (rule: Rule, record: UnitRecord): UnitRecord => {
  const { reads = [] } = rule;
  const needs = fieldsOf(rule);
  const isRead = new Set<string>(reads);
  return {
    ...emptyRecord,
    specs: picked(record.specs, needs.filter(isSpecKey)),
    features: isRead.has('features')
      ? record.features
      : picked(
          record.features,
          needs.filter((key) => !isSpecKey(key)),
        ),
    ...(isRead.has('places') ? { places: record.places } : {}),
    ...(isRead.has('wheels') ? { wheels: record.wheels } : {}),
    ...(isRead.has('inspection') ? { inspection: record.inspection } : {}),
    ...(isRead.has('signatures') ? { signatures: record.signatures } : {}),
    ...(isRead.has('photos') ? { photos: record.photos } : {}),
  };
};
