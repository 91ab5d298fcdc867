export { americanNames, formerNames, renamed, withNames } from './american-names.ts';
