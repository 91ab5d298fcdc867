export { americanNames, formerNames, renamed, withNames } from './american-names.ts';
export { fittingState, withFittingStates } from './fitting-states.ts';
export { formerChoices, formerLabels } from './former-labels.ts';
