export { calledText, isFoundIn, searchedWords, searchText } from './search.ts';
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
  type Lookable,
  type SavedView,
  type Sort,
  type Sortable,
  type YardView,
} from './view.ts';
