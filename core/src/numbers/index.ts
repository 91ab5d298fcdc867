export {
  confidenceOf,
  givenSchema,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  said,
  withoutAnswer,
  type Confidence,
  type Given,
  type InputHow,
  type Missing,
  type Outcome,
  type Working,
} from './outcome.ts';
export { givenOf, sumOf } from './given.ts';
