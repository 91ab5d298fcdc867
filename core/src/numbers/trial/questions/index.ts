import type { QuestionKey } from '../../../unit/record/index.ts';
import type { Question } from '../asking.ts';
import { label } from './label.ts';
import { load } from './load.ts';
import { nights } from './nights.ts';
import { scale } from './scale.ts';
import { tires } from './tires.ts';
import { tow } from './tow.ts';

export { label, load, nights, scale, tires, tow };

/** The buyer's questions, in the order in which they are asked. */
export const questions = [load, tow, nights, tires, label, scale] as unknown as readonly Question[];

const byKey = new Map(questions.map((question) => [question.key, question]));

/** A buyer's question. */
export const questionOf = (key: QuestionKey): Question => byKey.get(key) as Question;
