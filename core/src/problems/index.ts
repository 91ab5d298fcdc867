export { sentence, type Problem, type ProblemCode } from './problem.ts';
