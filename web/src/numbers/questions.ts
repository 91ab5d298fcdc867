import { formatQuantity, said, type System } from '@fair-gable/core';
import type { Answers } from './trial.ts';

export const questionKeys = ['load', 'tow', 'nights', 'tyres'] as const;
export type QuestionKey = (typeof questionKeys)[number];

/** A buyer's question with its answer under it; without one, what is missing. */
export interface Asked {
  readonly key: QuestionKey;
  readonly question: string;
  readonly answer: string | undefined;
  readonly about: boolean;
  readonly missing: string;
}

const asked = (
  key: QuestionKey,
  question: string,
  outcome: Answers[keyof Answers],
  answer: string | undefined,
): Asked => ({
  key,
  question,
  answer: outcome.value ? answer : undefined,
  about: outcome.confidence === 'about',
  missing: outcome.missing.map(({ label }) => label.toLowerCase()).join(', '),
});

/** The buyer's questions, those that can be answered now first. */
export const questionsFor = (answers: Answers, system: System): readonly Asked[] => {
  const { weight, tow, water, tyres } = answers;
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const left = weight.value?.left;
  const all = [
    asked(
      'load',
      'What may I still load?',
      weight,
      left === undefined
        ? 'no rating is read'
        : left < 0
          ? `${show(-left)} too heavy`
          : said(show(left), weight.confidence),
    ),
    asked(
      'tow',
      'What should tow it?',
      tow,
      tow.value &&
        `${said(show(tow.value.least.towRating), tow.confidence)} rating, ${show(tow.value.hitch)} on the ball`,
    ),
    asked(
      'nights',
      'How many nights off the hookups?',
      water,
      water.value &&
        `about ${water.value.nights}, the ${water.value.first} tank ${water.value.first === 'fresh' ? 'runs dry' : 'fills'} first`,
    ),
    asked(
      'tyres',
      'Are the tyres enough?',
      tyres,
      tyres.value &&
        `${said(`${Math.round(tyres.value.reserve * 100)} %`, tyres.confidence)} in hand`,
    ),
  ];
  return all.toSorted((a, b) => Number(a.answer === undefined) - Number(b.answer === undefined));
};
