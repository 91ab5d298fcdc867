import { givenOf, howOfAnswer, sumOf, type Given, type Outcome } from '../../unit/outcome/index.ts';
import type { Trial, UnitRecord } from '../../unit/record/index.ts';
import {
  scale,
  weigh,
  weightInputOf,
  type ScaleInput,
  type ScaleValue,
  type WeightValue,
} from '../weight/index.ts';
import { workOf, type Work } from './asking.ts';
import { known } from './known.ts';

/** What it weighs, worked out of its record and what is put in it. */
export const loading: Work<WeightValue> = workOf({
  tries: ['levels', 'gear', 'propane'],
  needs: {},
  engine: ({ record, trial, system }) => weigh(weightInputOf(record, trial), system),
});

const scaleInputOf = (
  record: UnitRecord,
  { weighings }: Pick<Trial, 'weighings'>,
  load: Outcome<WeightValue>,
): ScaleInput => {
  const ticket = (amount: number | undefined): Given | undefined =>
    amount === undefined || amount <= 0 ? undefined : { amount, how: 'measured' };
  return known<ScaleInput>({
    vehicle: ticket(weighings.vehicle),
    together: ticket(weighings.together),
    trailerAxles: ticket(weighings.trailerAxles),
    expected: load.value && { amount: load.value.total, how: howOfAnswer(load.confidence) },
    gvwr: givenOf(record, 'gvwr'),
    gawr: sumOf(record, 'axleRating'),
  });
};

/** What it weighs by three weighings, held against what was worked out. */
export const weighing: Work<ScaleValue> = workOf({
  tries: ['weighings'],
  needs: { load: loading },
  engine: ({ record, trial, worked, system }) =>
    scale(scaleInputOf(record, trial, worked.load), system),
});
