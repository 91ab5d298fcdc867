import type { WalkPlan } from './events.ts';
import type { WalkState } from './fold.ts';
import { totalSeconds } from '../cards/index.ts';

/** Where a walk is against its plan. */
export interface Pace {
  /** Shares from 0 to 1. */
  readonly timeGone: number;
  readonly walkDone: number;
  /** Seconds ahead of the plan; negative is behind. */
  readonly ahead: number;
}

/** @param worked ms of walking now */
export const paceOf = (plan: WalkPlan, state: WalkState, worked: number): Pace => {
  const isDone = (id: string): boolean => ['said', 'shown'].includes(state.cards.get(id) ?? 'open');
  const left = new Set(state.leftOut.map(({ id }) => id));
  const total = totalSeconds(plan.points.filter(({ id }) => !left.has(id)));
  const done = totalSeconds(plan.points.filter((p) => isDone(p.id)));
  return {
    timeGone: Math.min(worked / (state.minutes * 60_000), 1),
    walkDone: total === 0 ? 1 : done / total,
    ahead: Math.round(done - worked / 1000),
  };
};
