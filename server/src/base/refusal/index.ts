export { Left, problemDetails, Refusal, refusals, type RefusalCode } from './refusals.ts';
export { answering, valueOf, type Answered } from './answered.ts';
