export { checkAgain, checkRecord, openObjections, rules, type Checked } from './checks.ts';
export { explainDifference } from './ccc-identity.ts';
export type { RuleFinding, Look, Objection, Rule, Severity, Way } from './types.ts';
export { labelLine } from './weight-rules.ts';
