import { inText } from '../../base/words/index.ts';
import {
  blanksIn,
  filledIn,
  knownBy,
  specEntry,
  wordingsOf,
  wordsFor,
  type Blank,
  type Feature,
  type HowKnown,
  type Spec,
  type SpecKey,
} from '../../unit/catalog/index.ts';
import { dotWeek, readDotDate } from '../../unit/identity/index.ts';
import type { System } from '../../base/quantity/index.ts';
import { formatSpec, spokenSpec, type UnitRecord } from '../../unit/record/index.ts';

/** A sentence for a card, and how well the worst thing in it is known. */
export interface Worded {
  readonly words: string;
  readonly how: HowKnown;
  /** What it would have said and is only guessed: a figure, or of which kind it is. */
  readonly heldBack: 'figure' | 'kind' | 'words' | undefined;
}

const rank = (how: HowKnown): number => knownBy.findIndex(({ key }) => key === how);

/** How well several things together are known: as the worst of them. */
export const worstOf = (first: HowKnown, ...more: readonly HowKnown[]): HowKnown =>
  more.reduce((worst, how) => (rank(how) > rank(worst) ? how : worst), first);

const isGuessed = (record: UnitRecord, { spec }: Blank): boolean =>
  record.specs[spec]?.how === 'guessed';

/** A tire's date code as the week it stands for. */
const withWeek = (key: SpecKey, text: string): string => {
  if (!key.startsWith('tireDate')) return text;
  const read = readDotDate(text);
  return read.kind === 'good' ? dotWeek(read.date) : text;
};

/** What stands in a blank; undefined for what nobody knows, or knows too little of. A guess is never said. */
const blankText = (record: UnitRecord, blank: Blank, system: System): string | undefined => {
  const entry = record.specs[blank.spec];
  if (!entry || entry.how === 'guessed') return undefined;
  const text = spokenSpec(blank.spec, entry.value, blank, system);
  return text === undefined ? undefined : withWeek(blank.spec, text);
};

/** A value as it stands large under a sentence. A guess does not. */
export const sayableText = (
  record: UnitRecord,
  key: SpecKey,
  system: System,
): string | undefined => {
  const entry = record.specs[key];
  if (!entry || entry.how === 'guessed') return undefined;
  return withWeek(key, formatSpec(key, entry.value, system, entry.how));
};

/** Whether a spec is a figure, not a kind, a word or a day. */
export const isFigure = (key: SpecKey): boolean =>
  !['choice', 'text', 'date'].includes(specEntry(key).value.kind);

/** The wordings of an entry for this unit: a choice may have one of its own. */
const wordingsFor = (record: UnitRecord, entry: Spec | Feature): readonly string[] => {
  const { say, sayWhen } = wordsFor(entry.key);
  const wordings = wordingsOf(say);
  if (!('value' in entry) || !sayWhen) return wordings;
  const own = record.specs[entry.key];
  const choice = own?.value.kind === 'choice' && own.how !== 'guessed' ? own.value.choice : '';
  const whole = sayWhen[choice];
  return whole === undefined ? wordings : [whole];
};

/**
 * What an entry says of a unit: the fullest wording all of whose values may be said, and how well the worst of them is
 * known. A guess is not said; the wording without it is.
 * @param how the entry itself is known
 */
export const wordedFor = (
  record: UnitRecord,
  entry: Spec | Feature,
  how: HowKnown,
  system: System,
): Worded | undefined => {
  const wordings = wordingsFor(record, entry);
  const chosen = wordings.find((wording) =>
    blanksIn(wording, entry.key).every((blank) => blankText(record, blank, system) !== undefined),
  );
  if (chosen === undefined) return undefined;
  const used = blanksIn(chosen, entry.key).flatMap(({ spec }) => record.specs[spec]?.how ?? []);
  return {
    words: filledIn(chosen, entry.key, (blank) => blankText(record, blank, system) ?? ''),
    how: worstOf(how, ...used),
    heldBack: heldBackIn(record, wordings, entry.key),
  };
};

const heldBackIn = (
  record: UnitRecord,
  wordings: readonly string[],
  own: string,
): Worded['heldBack'] => {
  const guessed = wordings
    .flatMap((wording) => blanksIn(wording, own))
    .filter((blank) => isGuessed(record, blank));
  if (guessed.length === 0) return undefined;
  if (guessed.some(({ spec }) => isFigure(spec))) return 'figure';
  return guessed.some(({ spec }) => specEntry(spec).value.kind === 'choice') ? 'kind' : 'words';
};

/** What stands in for what is only guessed. */
const insteadOfGuess = {
  figure: 'I’d want to measure that before I give you a number.',
  kind: 'I’d want to check which type it is.',
  words: 'I’d want to look at that again before I tell you more.',
} as const;

/**
 * A sentence as it is said by how well it is known: what we were told is marked as such, what is only guessed is left to be
 * checked. What the maker's sheet says is said plainly; its mark stands beside it.
 */
export const asKnown = ({ words, how, heldBack }: Worded): string => {
  const said = how === 'told' ? `We’re told: ${inText(words)}` : words;
  return heldBack ? `${said} ${insteadOfGuess[heldBack]}` : said;
};
