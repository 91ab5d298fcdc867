export { americanNames, formerNames, renamed, withNames } from './american-names.ts';
export { formerLabels } from './former-labels.ts';
