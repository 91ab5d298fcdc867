import { inOneSpelling } from '../../base/words/index.ts';
import { namesOf } from './other-names.ts';
import { features, specs, stationEntry, type Feature, type Spec } from './catalog.ts';
import { wordsFor } from './words.ts';

interface Searched {
  readonly entry: Spec | Feature;
  readonly label: string;
  /** What else it is called. */
  readonly names: readonly string[];
  readonly all: string;
}

const plain = (text: string): string => inOneSpelling(text.toLowerCase().replaceAll('’', "'"));

const searched: readonly Searched[] = [...specs, ...features].map((entry) => {
  const names = namesOf(entry.key).map(plain);
  return {
    entry,
    label: plain(entry.label),
    names,
    all: plain(
      `${entry.label} ${names.join(' ')} ${wordsFor(entry.key).explain} ${stationEntry(entry.station).label}`,
    ),
  };
});

/** The nearer the words stand to a name's beginning, the better: 0 best. */
const rankOf = (name: string, words: string): number => {
  if (name === words) return 0;
  if (name.startsWith(words)) return 1;
  return name.includes(words) ? 2 : 3;
};

/** By its label, or by what else it is called. */
const rank = ({ label, names }: Searched, words: string): number =>
  Math.min(...[label, ...names].map((name) => rankOf(name, words)));

/**
 * Entries of the catalog by words of their label, their other names, explanation or station; those named so first.
 * @param typed every word of it has to occur
 * @example findEntries('gross weight')[0].key // 'gvwr'
 */
export const findEntries = (typed: string, limit = 12): readonly (Spec | Feature)[] => {
  const words = plain(typed).trim();
  if (words === '') return [];
  const each = words.split(/\s+/);
  return searched
    .filter(({ all }) => each.every((word) => all.includes(word)))
    .toSorted((a, b) => rank(a, words) - rank(b, words))
    .slice(0, limit)
    .map(({ entry }) => entry);
};
