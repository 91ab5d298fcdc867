export { isBroken, strangeIn, strangeSentence, type Strange } from './strange.ts';
export { sentence, type Problem, type ProblemCode } from './problem.ts';
