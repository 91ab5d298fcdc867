import { inText, percent } from '../../base/words/index.ts';
import { said, type Confidence, type Outcome } from '../../unit/outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { questionKeys, type QuestionKey } from '../../unit/record/index.ts';
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
const surenessOf = (key: QuestionKey, answers: TrialAnswers): Confidence => {
  const { load, scale, tow } = answers;
  const isWeighed = scale.value !== undefined;
  if (key === 'load') return isWeighed ? scale.confidence : load.confidence;
  if (key !== 'tow' || tow.value?.hitch === undefined) return answers[key].confidence;
  if (isWeighed) return scale.confidence;
  return load.value?.share === undefined ? tow.confidence : load.confidence;
};

/** Each answer in a few words, for where there is a value. */
const short: Short = {
  // What was weighed goes before what was worked out.
  load: ({ load, scale }, system) => {
    const weighed = scale.value?.limits.map(({ left }) => left) ?? [];
    const isWeighed = weighed.length > 0;
    const left = isWeighed ? Math.min(...weighed) : load.value?.left;
    const about = isWeighed ? scale.confidence : load.confidence;
    if (left === undefined) return 'no rating is read';
    return left < 0
      ? `${said(weight(-left, system), about)} too heavy`
      : said(weight(left, system), about);
  },
  // What the trailer asks for is as sure as the trailer; whether the vehicle does, as sure as all of it.
  tow: (answers, system) => {
    const { tow } = answers;
    const { least, hitch, largest, as = '' } = tow.value ?? {};
    if (!least || hitch === undefined) {
      return `${said(weight(largest ?? 0, system), tow.confidence)} loaded, for this vehicle`;
    }
    const trailer = surenessOf('tow', answers);
    return `asks for a tow rating of ${said(weight(least.towRating, system), trailer)}; ${said(weight(hitch, system), trailer)} on the ball, ${as}`;
  },
  nights: ({ nights }) => {
    const { nights: count = 0, first = 'fresh' } = nights.value ?? {};
    return `about ${count}, the ${first} tank ${first === 'fresh' ? 'runs dry' : 'fills'} first`;
  },
  tyres: ({ tyres }) =>
    `${said(percent(tyres.value?.reserve ?? 0), tyres.confidence)} in hand over the axle ratings`,
  label: ({ label }, system) => {
    const { agrees, explained = [], difference = 0 } = label.value ?? {};
    const sure = label.confidence === 'about' ? ', as far as these figures go' : '';
    if (agrees) return `it does${sure}`;
    const apart = `${said(weight(Math.abs(difference), system), label.confidence)} apart`;
    if (explained.length === 0) return `${apart}, unexplained`;
    const isSure = explained.length === 1 && !explained[0]?.couldBe;
    return `${apart}, ${isSure ? 'explained' : 'perhaps explained'}`;
  },
  scale: ({ scale }, system) => {
    const { total = 0, share = 0 } = scale.value ?? {};
    return `${said(weight(total, system), scale.confidence)}, ${said(percent(share), scale.confidence)} on the hitch`;
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
        missing: outcome.missing.map(({ label }) => inText(label)).join(', '),
      };
    })
    .toSorted((a, b) => Number(a.answer === undefined) - Number(b.answer === undefined));
