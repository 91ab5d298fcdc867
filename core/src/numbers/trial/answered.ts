import { inText } from '../../base/words/index.ts';
import type { QuestionKey } from '../../unit/record/index.ts';
import type { Asking, Question } from './asking.ts';
import { questions } from './questions/index.ts';

/** A buyer's question with its answer under it; without one, what is missing. */
export interface QuestionAsked {
  readonly key: QuestionKey;
  readonly question: string;
  readonly answer: string | undefined;
  readonly about: boolean;
  readonly missing: string;
}

/** A question with its answer in a few words. */
export const answered = (question: Question, asking: Asking): QuestionAsked => {
  const { key, words, work, short, sureness } = question;
  const { value, missing, confidence } = asking.of(work);
  return {
    key,
    question: words,
    answer: value === undefined ? undefined : short(value, asking),
    about: (sureness?.(asking) ?? confidence) === 'about',
    missing: missing.map(({ label }) => inText(label)).join(', '),
  };
};

/** The buyer's questions, those that can be answered now first. */
export const questionsFor = (asking: Asking): readonly QuestionAsked[] =>
  questions
    .map((question) => answered(question, asking))
    .toSorted((a, b) => Number(a.answer === undefined) - Number(b.answer === undefined));
