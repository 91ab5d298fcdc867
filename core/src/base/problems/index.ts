export { isBroken, strangeIn, strangeSentence, type Strange } from './strange.ts';
export { problemOf, sentence, type ParamsOf, type Problem, type ProblemCode } from './problem.ts';
