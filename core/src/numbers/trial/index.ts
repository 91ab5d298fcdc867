export { askingOf, type Asking, type Question, type Work } from './asking.ts';
export { answered, questionsFor, type QuestionAsked } from './answered.ts';
export { freshTrial } from './fresh.ts';
export {
  label,
  load,
  nights,
  questionOf,
  questions,
  scale,
  tires,
  tow,
} from './questions/index.ts';
export { compareTrials, keptTrials, type TrialAnswer, type TrialRow } from './saved-trials.ts';
