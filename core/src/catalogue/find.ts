import { features, specs, stationEntry, type Feature, type Spec } from './catalogue.ts';

interface Searched {
  readonly entry: Spec | Feature;
  readonly label: string;
  readonly all: string;
}

const plain = (text: string): string => text.toLowerCase().replaceAll('’', "'");

const searched: readonly Searched[] = [...specs, ...features].map((entry) => ({
  entry,
  label: plain(entry.label),
  all: plain(`${entry.label} ${entry.explain} ${stationEntry(entry.station).label}`),
}));

/** The nearer the words stand to the label's beginning, the better: 0 best. */
const rank = ({ label }: Searched, words: string): number => {
  if (label === words) return 0;
  if (label.startsWith(words)) return 1;
  return label.includes(words) ? 2 : 3;
};

/**
 * Entries of the catalogue by words of their label, explanation or station; those named so first.
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
