export { basicsMissing, guessesIn, knownOf, nextNeed, type Need } from './next-need.ts';
export { hangingOn, toConfirm, type Hanging, type ToConfirm, type Why } from './to-confirm.ts';
export { calledText, isFoundIn, searchText } from './search.ts';
export {
  columnLabels,
  comparing,
  fitOf,
  mostColumns,
  savedViewsSchema,
  sentenceOf,
  sorts,
  viewSchema,
  wholeYard,
  type SavedView,
  type Sort,
  type Sortable,
  type YardView,
} from './view.ts';
export { chores, leftIn, leftInOrder, type Chore, type LeftRow } from './left.ts';
