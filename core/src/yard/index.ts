export { basicsMissing, guessesIn, knownOf, nextNeed, type Need } from './next-need.ts';
