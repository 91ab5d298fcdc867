export { answersFor, freshTrial, type TrialAnswers } from './trial.ts';
export { questionsFor, questionWords, type QuestionAsked } from './questions.ts';
export { compareTrials, keptTrials, type TrialAnswer, type TrialRow } from './saved-trials.ts';
