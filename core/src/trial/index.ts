export { answersFor, freshTrial, type TrialAnswers } from './trial.ts';
export { questionsFor, questionWords, type QuestionAsked } from './asked.ts';
export { compareTrials, keptTrials, type TrialAnswer, type TrialRow } from './kept.ts';
