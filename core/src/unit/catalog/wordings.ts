import { entryFor, features, isSpecKey, specs, type Feature, type Spec } from './catalog.ts';
import type { SpecKey } from './entries/index.ts';
import type { Wordings } from './types.ts';

/** How a value stands in a wording: behind a verb, before a noun, or as how many of which size. */
export type BlankForm = 'plain' | 'before' | 'each';

/** A value that a wording asks for: of which spec, and the noun that goes with a count. */
export interface Blank {
  readonly spec: SpecKey;
  readonly form: BlankForm;
  readonly noun: { readonly one: string; readonly many: string } | undefined;
}

/** The wordings of a sentence, the fullest first. */
export const wordingsOf = (say: Wordings | undefined): readonly string[] =>
  say === undefined ? [] : typeof say === 'string' ? [say] : say;

const braces = /\{(each(?=[ :]) ?)?(\w*)(-)?(?::([^}/]+)(?:\/([^}]+))?)?\}/g;

const blankOf = (
  own: string,
  [, each, named = '', before, one, many]: readonly string[],
): Blank => ({
  spec: (named === '' ? own : named) as SpecKey,
  form: each === undefined ? (before === undefined ? 'plain' : 'before') : 'each',
  noun: one === undefined ? undefined : { one, many: many ?? `${one}s` },
});

/**
 * The values that a wording asks for.
 * @param own the key of the entry whose wording it is
 * @example blanksIn('You’ve got {bunkCount:bunk}.', 'bunks') // [{ spec: 'bunkCount', noun: 'bunk' }]
 */
export const blanksIn = (wording: string, own: string): readonly Blank[] =>
  [...wording.matchAll(braces)].map((found) => blankOf(own, found));

/** “a” before a number that begins with a vowel: an 8-foot, an eight-gallon, an 11-liter, an 18,000-BTU. */
const beforeVowel = /\ba (?=(?:8[\d,]*|1[18](?:,\d+|\.\d+)?|eight|one-?half)(?![\d]))/g;

/** A wording with its values put in. */
export const filledIn = (wording: string, own: string, text: (blank: Blank) => string): string =>
  wording
    .replaceAll(braces, (...found: readonly unknown[]) =>
      text(blankOf(own, found.slice(0, 6) as readonly string[])),
    )
    .replaceAll(beforeVowel, 'an ');

/** The specs that are told on an entry's card, beside its own. */
export const specsOnCard = (entry: Spec | Feature): readonly SpecKey[] =>
  (entry.numbers ?? []).filter(isSpecKey);

/** On whose card a spec is told. */
const leads: ReadonlyMap<string, string> = new Map(
  [...specs, ...features].flatMap((entry) => specsOnCard(entry).map((key) => [key, entry.key])),
);

/** The entry on whose card a spec is told; undefined where it has a card of its own. */
export const leadOf = (key: SpecKey): Spec | Feature | undefined => {
  const lead = leads.get(key);
  return lead === undefined ? undefined : entryFor(lead as SpecKey);
};
