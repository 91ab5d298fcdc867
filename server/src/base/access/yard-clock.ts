import { dayIn } from '@fair-gable/core/base/dates';
import type { InYard } from '../database/index.ts';
import { Yard } from './entities.ts';

/** Where a yard stands on the clock, and what day it is there by the database's time. */
export interface YardClock {
  readonly timeZone: string;
  /** `2026-11-28`. */
  readonly today: string;
}

/** The clock of a yard. */
export const clockOf = async (yard: InYard): Promise<YardClock> => {
  const { timeZone } = await yard.manager.findOneByOrFail(Yard, { id: yard.yardId });
  return { timeZone, today: dayIn((await yard.now()).getTime(), timeZone) };
};
