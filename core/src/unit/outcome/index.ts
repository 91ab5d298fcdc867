export {
  confidenceOf,
  givenSchema,
  howOfAnswer,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  refusedAnswer,
  hedged,
  withoutAnswer,
  worstHow,
  type Confidence,
  type Given,
  type Impossible,
  type InputHow,
  type Missing,
  type Outcome,
  type Working,
} from './outcome.ts';
export { givenOf, sumOf } from './given.ts';
export { ratingsProblem } from './ratings.ts';
