export { americanNames, formerNames, renamed, withNames } from './american-names.ts';
export { formerChoices, formerLabels } from './former-labels.ts';
