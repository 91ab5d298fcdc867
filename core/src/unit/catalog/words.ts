import { byStation, type FeatureKey, type SpecKey } from './entries/index.ts';
import type { EntryWords, StationEntries } from './types.ts';

/** Of an entry all that is words; the build of the interface puts them into a chunk of their own (`web/vite/catalog-words.ts`). */
const words: ReadonlyMap<string, EntryWords> = new Map(
  Object.values(byStation as Record<string, StationEntries>)
    .flatMap((at) => [...at.specs, ...at.features])
    .map((entry) => [entry.key, entry]),
);

/** What is said of a spec or a feature: how it is explained, checked, shown and told, and where it can hurt. */
export const wordsFor = (key: SpecKey | FeatureKey): EntryWords => words.get(key) as EntryWords;
