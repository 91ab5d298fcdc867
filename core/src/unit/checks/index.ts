export {
  checkAgain,
  checkRecord,
  doubtedFigures,
  openObjections,
  rules,
  type Checked,
} from './checks.ts';
export type { RuleFinding, Look, Objection, Rule, Severity, Way } from './types.ts';
