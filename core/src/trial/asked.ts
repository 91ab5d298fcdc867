import { said, type Confidence, type Outcome } from '../numbers/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';
import { questionKeys, type QuestionKey } from '../record/index.ts';
import type { TrialAnswers } from './trial.ts';

/** A buyer's question with its answer under it; without one, what is missing. */
export interface QuestionAsked {
  readonly key: QuestionKey;
  readonly question: string;
  readonly answer: string | undefined;
  readonly about: boolean;
  readonly missing: string;
}

export const questionWords: Readonly<Record<QuestionKey, string>> = {
  load: 'What may I still load?',
  tow: 'What should tow it?',
  nights: 'How many nights off the hookups?',
  tyres: 'Are the tyres enough?',
  label: 'Does the label add up?',
  scale: 'What does the scale say?',
};

type Short = { readonly [K in QuestionKey]: (answers: TrialAnswers, system: System) => string };

const weight = (pounds: number, system: System): string => formatQuantity(pounds, 'weight', system);

/** What a trailer asks of a vehicle is as sure as the trailer, whatever is known of the vehicle. */
const surenessOf = (key: QuestionKey, answers: TrialAnswers): Confidence =>
  key === 'tow' && answers.load.value ? answers.load.confidence : answers[key].confidence;

/** Each answer in a few words, for where there is a value. */
const short: Short = {
  // What was weighed goes before what was worked out.
  load: ({ load, scale }, system) => {
    const weighed = scale.value?.limits.map(({ left }) => left) ?? [];
    const left = weighed.length > 0 ? Math.min(...weighed) : load.value?.left;
    if (left === undefined) return 'no rating is read';
    return left < 0
      ? `${weight(-left, system)} too heavy`
      : said(weight(left, system), load.confidence);
  },
  tow: (answers, system) => {
    const { tow } = answers;
    const { least, hitch, largest } = tow.value ?? {};
    if (!least || hitch === undefined) {
      return `${said(weight(largest ?? 0, system), tow.confidence)} loaded, for this vehicle`;
    }
    return `${said(weight(least.towRating, system), surenessOf('tow', answers))} rating, ${weight(hitch, system)} on the ball`;
  },
  nights: ({ nights }) => {
    const { nights: count = 0, first = 'fresh' } = nights.value ?? {};
    return `about ${count}, the ${first} tank ${first === 'fresh' ? 'runs dry' : 'fills'} first`;
  },
  tyres: ({ tyres }) =>
    `${said(`${Math.round((tyres.value?.reserve ?? 0) * 100)} %`, tyres.confidence)} in hand`,
  label: ({ label }, system) => {
    const { agrees, explained, difference = 0 } = label.value ?? {};
    if (agrees) return 'it does';
    const apart = weight(Math.abs(difference), system);
    return explained ? `${apart} apart, explained` : `${apart} apart, unexplained`;
  },
  scale: ({ scale }, system) => {
    const { total = 0, share = 0 } = scale.value ?? {};
    return `${weight(total, system)}, ${(share * 100).toFixed(1)} % on the hitch`;
  },
};

/** The buyer's questions, those that can be answered now first. */
export const questionsFor = (answers: TrialAnswers, system: System): readonly QuestionAsked[] =>
  questionKeys
    .map((key): QuestionAsked => {
      const outcome: Outcome<unknown> = answers[key];
      return {
        key,
        question: questionWords[key],
        answer: outcome.value === undefined ? undefined : short[key](answers, system),
        about: surenessOf(key, answers) === 'about',
        missing: outcome.missing.map(({ label }) => label.toLowerCase()).join(', '),
      };
    })
    .toSorted((a, b) => Number(a.answer === undefined) - Number(b.answer === undefined));
