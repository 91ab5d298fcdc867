export { basicsMissing, guessesIn, knownOf, nextNeed, type Need } from './next-need.ts';
export { hangingOn, toConfirm, type Hanging, type ToConfirm, type Why } from './to-confirm.ts';
export {
  chores,
  leftAt,
  leftIn,
  leftInOrder,
  questionsLeft,
  type Chore,
  type LeftRow,
} from './to-do.ts';
