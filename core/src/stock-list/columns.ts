import {
  features,
  otherNames,
  specs,
  type Feature,
  type FeatureKey,
  type Spec,
  type SpecKey,
} from '../catalogue/index.ts';

/** What a column of a list holds; null leaves it out. */
export type Column = SpecKey | FeatureKey | null;

const plain = (text: string): string => text.toLowerCase().replaceAll(/[^a-z0-9]+/g, '');

const listable = [...features, ...specs.filter(({ bySignature }) => !bySignature)];

/** Our own labels before what else things are called; of two that share a name the one that is named first. */
const byName: ReadonlyMap<string, SpecKey | FeatureKey> = new Map([
  ...Object.entries(otherNames)
    .toReversed()
    .flatMap(([key, names = []]) => names.map((name) => [plain(name), key as SpecKey] as const)),
  ...listable.flatMap((entry: Spec | Feature) => [
    [plain(entry.key), entry.key] as const,
    [plain(entry.label), entry.key] as const,
  ]),
]);

/**
 * What each column of a list most likely holds, by its heading: our own labels and keys, and what lists from
 * elsewhere call them. A field is taken once; the first column of its name has it.
 * @example columnsOf(['Stock #', 'Dry weight (lb)', 'Notes']) // ['stockNumber', 'uvw', null]
 */
export const columnsOf = (headings: readonly string[]): readonly Column[] => {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const bare = heading.replaceAll(/\([^)]*\)/g, '');
    const key = byName.get(plain(heading)) ?? byName.get(plain(bare)) ?? null;
    if (key === null || taken.has(key)) return null;
    taken.add(key);
    return key;
  });
};
