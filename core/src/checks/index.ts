export { checkRecord, openObjections, rules } from './checks.ts';
export { explainDifference } from './ccc-identity.ts';
export type { Finding, Objection, Rule, Severity, Way } from './types.ts';
