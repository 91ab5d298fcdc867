import { inText } from '../../base/words/index.ts';
import { formatDate } from '../../base/dates/index.ts';
import { formatSpec, nameOf, type UnitRecord } from '../../unit/record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { LogMark, WalkLog } from '../../show/walk/index.ts';
import type { Point } from '../../show/cards/index.ts';
import type { FollowUp, Letter } from './schema.ts';
import { isAbout } from '../../show/about/index.ts';

/** What a message to a buyer is drafted from. */
export interface DraftOf {
  readonly walk: string;
  readonly record: UnitRecord;
  readonly log: WalkLog;
  /** Everything there is to say of the unit as it is known now. */
  readonly points: readonly Point[];
  readonly followUps: readonly FollowUp[];
  readonly buyer: string;
  readonly from: string;
  readonly yard: string;
  readonly system: System;
  /** Prices outlive a message; they are in it only where somebody switched them on. */
  readonly withPrice: boolean;
}

const once = <T>(all: readonly T[], key: (of: T) => string): readonly T[] => [
  ...new Map(all.map((one) => [key(one), one])).values(),
];

/** Whether a card may be put in writing: nothing guessed, and no words under which the record has changed. */
const isSure = ({ how, numbers, changed }: Point): boolean =>
  changed === undefined && how !== 'guessed' && !numbers.some((number) => number.how === 'guessed');

/** Words as a sentence: a capital at the beginning, one stop at the end. */
const asSentence = (words: string): string => {
  const text = words.trim();
  const begun = text.charAt(0).toUpperCase() + text.slice(1);
  return /[.?!]["”’)]?$/.test(begun) ? begun : `${begun}.`;
};

/** Said while one points at something; nobody reads that from a message. */
const isPointing = ({ sentence }: Point): boolean =>
  /\bhere\b|^(?:Open|Turn|Look) /i.test(sentence);

/** What is wrong with a unit is told first, and liked by nobody. */
const isWrong = (point: Point): boolean => point.first === true || isAbout('finding', point);

const questionWord =
  /^(?:how|what|when|where|why|who|whose|which|is|isn’t|are|does|do|did|can|could|will|would|has|have|should|may)\b/i;

/** Somebody's question as a sentence of its own. */
const asQuestion = (words: string): string => {
  const text = asSentence(words);
  return questionWord.test(text) ? text.replace(/\.$/, '?') : text;
};

const liked = (marks: readonly LogMark[], points: readonly Point[]): readonly string[] =>
  once(marks, ({ point }) => point).flatMap(({ point, label }) => {
    const now = points.find(({ id }) => id === point);
    if (now && isWrong(now)) return [];
    if (now && isSure(now) && isPointing(now)) return [`- ${asSentence(label)}`];
    return [
      now && isSure(now)
        ? `- ${asSentence(now.sentence)}`
        : `- ${asSentence(label)} I’m not sure enough of the details to put them in writing; I’ll look them up.`,
    ];
  });

/** Under the id of its mark a follow-up is proposed: when it is to be answered by. */
const findingOut = ({ id }: LogMark, followUps: readonly FollowUp[]): string => {
  const due = followUps.find((one) => one.id === id && one.done === undefined)?.due;
  return due === undefined ? 'We’ll find out.' : `We’ll find out by ${formatDate(due)}.`;
};

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, ' ')
    .trim();

/** What somebody has found out to this very question, in the record's own list of questions. */
const answerTo = (note: string, record: UnitRecord): string | undefined =>
  Object.values(record.questions).find(
    (entry) => entry?.value.answer !== undefined && plain(entry.value.text) === plain(note),
  )?.value.answer;

/**
 * A question with its answer. A card is an answer to who asked about its thing; a question in somebody's own words is
 * answered by whoever finds it out, and until then by nobody.
 */
const askedLine = (mark: LogMark, { points, record, followUps }: DraftOf): string => {
  const { note, point, label } = mark;
  if (note !== undefined) {
    const answer = answerTo(note, record);
    const words = answer === undefined ? findingOut(mark, followUps) : asSentence(answer);
    return `- You asked: ${asQuestion(note)} ${words}`;
  }
  const now = points.find(({ id }) => id === point);
  const isAnswer = now && isSure(now) && !isPointing(now);
  const words = isAnswer ? asSentence(now.sentence) : findingOut(mark, followUps);
  return `- You asked about this: ${asSentence(inText(label))} ${words}`;
};

const promised = (followUps: readonly FollowUp[]): readonly string[] =>
  followUps
    .filter(({ kind, done }) => kind === 'promise' && done === undefined)
    .map(({ text, due }) => `- By ${formatDate(due)}: ${asSentence(text)}`);

const didNotWork = (marks: readonly LogMark[]): readonly string[] =>
  marks.map(({ label, note }) =>
    note === undefined
      ? `- ${asSentence(label)} It didn’t work.`
      : `- ${asSentence(`${label}: ${note}`)}`,
  );

const faults = (points: readonly Point[]): readonly string[] =>
  points.filter(isWrong).map(({ sentence }) => `- ${asSentence(sentence)}`);

const price = ({ record, system, withPrice }: DraftOf): readonly string[] => {
  const entry = record.specs.askingPrice;
  if (!withPrice || !entry || entry.how === 'guessed') return [];
  return [
    `On the day I’m writing this, the asking price is ${formatSpec('askingPrice', entry.value, system, entry.how)}.`,
  ];
};

const part = (title: string, lines: readonly string[]): readonly string[] =>
  lines.length === 0 ? [] : [...(title ? [title] : []), ...lines, ''];

/**
 * A message to whoever was shown a unit, from what they liked and asked: true to the record as it is now, faults and
 * what did not work in it, guesses out of it, no price unless it is switched on. A draft: somebody reads it before it goes.
 */
export const draftLetter = (of: DraftOf): Omit<Letter, 'id'> => {
  const { log, points } = of;
  const marked = (mark: LogMark['mark']) => log.marks.filter((m) => m.mark === mark);
  const name = nameOf(of.record);
  const text = [
    `Hello ${of.buyer},`,
    '',
    `Thank you for looking at the ${name} with us.`,
    '',
    ...part('What we told you first:', faults(points)),
    ...part('What you liked:', liked(marked('liked'), points)),
    ...part(
      'What you asked:',
      marked('asked').map((mark) => askedLine(mark, of)),
    ),
    ...part('What didn’t work while we were there:', didNotWork(marked('not-working'))),
    ...part('What we promised:', promised(of.followUps)),
    ...part('', price(of)),
    'If anything in this message differs from the unit’s labels or the maker’s paperwork, go by those.',
    '',
    of.from,
    of.yard,
  ].join('\n');
  return { walk: of.walk, subject: `The ${name} you looked at`.slice(0, 120), text };
};
