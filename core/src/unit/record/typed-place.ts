import {
  formatQuantity,
  parseQuantity,
  type Parsed,
  type System,
} from '../../base/quantity/index.ts';
import type { Problem } from '../../base/problems/index.ts';
import { amountOf } from './read.ts';
import { longestPlace } from './parts/places.ts';
import type { UnitRecord } from './schema.ts';

/** What is wrong with a distance from the coupler, whatever the unit: nothing on a travel trailer is so far back. */
export const distanceProblem = (inches: number, system: System): Problem | undefined => {
  if (inches <= longestPlace) return undefined;
  const show = (amount: number): string => formatQuantity(amount, 'feet', system);
  return { code: 'too-far', params: { value: show(inches), limit: show(longestPlace) } };
};

/**
 * A distance from the coupler as typed, in inches.
 * @example typedDistance('77', 'us') // { ok: false, problem: { code: 'too-far', … } }
 */
export const typedDistance = (text: string, system: System): Parsed<number> => {
  const read = parseQuantity(text, 'feet', system);
  if (!read.ok) return read;
  const problem = distanceProblem(read.value, system);
  return problem ? { ok: false, problem } : read;
};

/** A rear bumper may stand so far behind what was taped as the overall length, inches. */
const slack = 6;

/** What speaks against a place on this unit, in a sentence; undefined while nobody taped its length. */
export const doubtOfDistance = (
  record: UnitRecord,
  inches: number,
  system: System,
): string | undefined => {
  const overall = amountOf(record, 'overallLength');
  if (overall === undefined || inches <= overall + slack) return undefined;
  const show = (amount: number): string => formatQuantity(amount, 'feet', system);
  return `${show(inches)} back is behind the trailer: it’s ${show(overall)} overall. Measure from the front of the coupler.`;
};
