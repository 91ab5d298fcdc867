import { percent } from '../../../base/words/index.ts';
import { howOfAnswer, hedged, type Given, type Outcome } from '../../../unit/outcome/index.ts';
import { tires as tiresEngine, tiresInputOf, type TiresValue } from '../../tires/index.ts';
import type { ScaleValue, WeightValue } from '../../weight/index.ts';
import { workOf, type Question } from '../asking.ts';
import { loading, weighing } from '../weighed.ts';

/** What lies on the axles: as weighed, else as figured, and no surer than that. */
const onAxlesOf = (load: Outcome<WeightValue>, scale: Outcome<ScaleValue>): Given | undefined => {
  if (scale.value) return { amount: scale.value.axles, how: 'measured' };
  const axles = load.value?.axles;
  if (axles === undefined || axles <= 0) return undefined;
  return { amount: axles, how: howOfAnswer(load.confidence) };
};

const work = workOf({
  tries: ['pressures'],
  needs: { load: loading, scale: weighing },
  engine: ({ record, trial, worked, system, today }): Outcome<TiresValue> => {
    const onAxles = onAxlesOf(worked.load, worked.scale);
    const input = tiresInputOf(record, today, trial.pressures);
    return tiresEngine(onAxles ? { ...input, onAxles } : input, system);
  },
});

/** Whether the tires are enough. */
export const tires: Question<TiresValue> = {
  key: 'tires',
  words: 'Are the tires enough?',
  station: 'running-gear',
  asks: ['tireLoad', 'loadRange', 'coldPressure', 'axleRating', 'tireSize'],
  asksAxle: false,
  work,
  short: ({ reserve }, asking) =>
    `${hedged(percent(reserve), asking.of(work).confidence)} to spare over the axle ratings`,
};
