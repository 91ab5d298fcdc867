import { formatDate } from '../dates/index.ts';
import { formatSpec, nameOf, type UnitRecord } from '../record/index.ts';
import type { System } from '../quantity/index.ts';
import type { LogMark, Point, WalkLog } from '../walk/index.ts';
import type { FollowUp, Letter } from './schema.ts';

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
const isSure = ({ numbers, sentence, changed }: Point): boolean =>
  changed === undefined &&
  !numbers.some(({ how }) => how === 'guessed') &&
  !/^(Give no figure|Promise nothing)/.test(sentence);

/** Words with one full stop at their end. */
const ended = (words: string): string => words.replace(/[^.?!]$/, '$&.');

const saying = (marks: readonly LogMark[], points: readonly Point[]): readonly string[] =>
  once(marks, ({ point }) => point).map(({ point, label }) => {
    const now = points.find(({ id }) => id === point);
    return now && isSure(now)
      ? `- ${now.sentence}`
      : `- ${label}: we are not sure enough of this to put it in writing, and will look it up.`;
  });

const asked = (marks: readonly LogMark[], points: readonly Point[]): readonly string[] =>
  marks.map(({ note, point, label }) => {
    const now = points.find(({ id }) => id === point);
    const question = note ? `You asked: ${note}` : `You asked about: ${label}`;
    const answer = now && isSure(now) ? ` What we know: ${now.sentence}` : ' We will find out.';
    return `- ${ended(question)}${answer}`;
  });

const promised = (followUps: readonly FollowUp[]): readonly string[] =>
  followUps
    .filter(({ kind, done }) => (kind === 'promise' || kind === 'question') && done === undefined)
    .map(({ text, due }) => `- By ${formatDate(due)}: ${ended(text)}`);

const faults = (points: readonly Point[]): readonly string[] =>
  points.filter(({ first }) => first).map(({ sentence }) => `- ${sentence}`);

const price = ({ record, system, withPrice }: DraftOf): readonly string[] => {
  const entry = record.specs.askingPrice;
  if (!withPrice || !entry || entry.how === 'guessed') return [];
  return [
    `The asking price on the day of writing is ${formatSpec('askingPrice', entry.value, system, entry.how)}.`,
  ];
};

const part = (title: string, lines: readonly string[]): readonly string[] =>
  lines.length === 0 ? [] : [title, ...lines, ''];

/**
 * A message to whoever was shown a unit, from what they liked and asked: true to the record as it is now, faults in it,
 * guesses out of it, no price unless it is switched on. A draft: somebody reads it before it goes.
 */
export const draftLetter = (of: DraftOf): Omit<Letter, 'id'> => {
  const { log, points } = of;
  const marked = (mark: LogMark['mark']) => log.marks.filter((m) => m.mark === mark);
  const name = nameOf(of.record);
  const text = [
    `Good day ${of.buyer},`,
    '',
    `thank you for looking at the ${name} with us.`,
    '',
    ...part('What you liked:', saying(marked('liked'), points)),
    ...part('What you asked:', asked(marked('asked'), points)),
    ...part('What we promised:', promised(of.followUps)),
    ...part('As we told you first:', faults(points)),
    ...part('', price(of)),
    'The labels on the unit and the maker’s papers go before anything in this message.',
    '',
    of.from,
    of.yard,
  ].join('\n');
  return { walk: of.walk, subject: `The ${name} you looked at`.slice(0, 120), text };
};
