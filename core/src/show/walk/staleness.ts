import type { WalkPlan } from './events.ts';
import type { Point } from '../cards/index.ts';
import { isAbout } from '../about/index.ts';

/** A card as it may be said now. */
export interface CardNow {
  readonly point: Point;
  /** What was planned to be said, where that is no longer so. */
  readonly was?: string;
  /** The record no longer has what the card says. */
  readonly gone?: true;
}

const numbersOf = ({ numbers }: Point): string =>
  numbers.map(({ label, text, how }) => `${label} ${text ?? '?'} ${how ?? ''}`).join('; ');

const textOf = ({ numbers }: Point): string =>
  numbers.map(({ label, text }) => `${label}: ${text ?? 'not known'}`).join(', ');

/**
 * A card of a plan as the record has it now: a number that changed while one presents is the new one, and says so.
 * @param now everything there is to say of the unit as it is now, in the plan’s system of units
 */
export const cardNow = (planned: Point, now: readonly Point[]): CardNow => {
  if (isAbout('plan', planned)) return { point: planned };
  const found = now.find(({ id }) => id === planned.id);
  if (!found) return { point: planned, gone: true };
  const sameWords = found.sentence === planned.sentence && found.changed === planned.changed;
  if (sameWords && numbersOf(found) === numbersOf(planned)) return { point: planned };
  const point: Point = { ...found, needs: planned.needs };
  return { point, was: found.sentence === planned.sentence ? textOf(planned) : planned.sentence };
};

/** Faults that were found since the walk was planned: they are told all the same. */
export const faultsSince = (plan: WalkPlan, now: readonly Point[]): readonly Point[] => {
  const planned = new Set(plan.points.map(({ id }) => id));
  return now.filter(({ id, first }) => first && !planned.has(id));
};
