import { entryFor, features, isSpecKey, specs, type Feature, type Spec } from './catalog.ts';
import type { SpecKey } from './entries/index.ts';
import type { Wordings } from './types.ts';

/** A value that a wording asks for: of which spec, and the noun that goes with a count. */
export interface Blank {
  readonly spec: SpecKey;
  readonly noun: string | undefined;
}

/** The wordings of a sentence, the fullest first. */
export const wordingsOf = (say: Wordings | undefined): readonly string[] =>
  say === undefined ? [] : typeof say === 'string' ? [say] : say;

const braces = /\{(\w*)(?::([^}]+))?\}/g;

const blankOf = (own: string, named: string, noun: string | undefined): Blank => ({
  spec: (named === '' ? own : named) as SpecKey,
  noun,
});

/**
 * The values that a wording asks for.
 * @param own the key of the entry whose wording it is
 * @example blanksIn('You’ve got {bunkCount:bunk}.', 'bunks') // [{ spec: 'bunkCount', noun: 'bunk' }]
 */
export const blanksIn = (wording: string, own: string): readonly Blank[] =>
  [...wording.matchAll(braces)].map(([, named = '', noun]) => blankOf(own, named, noun));

/** A wording with its values put in. */
export const filledIn = (wording: string, own: string, text: (blank: Blank) => string): string =>
  wording.replaceAll(braces, (_, named: string, noun: string | undefined) =>
    text(blankOf(own, named, noun)),
  );

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
