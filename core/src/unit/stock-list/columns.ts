import {
  features,
  otherNames,
  specs,
  type Feature,
  type FeatureKey,
  type Spec,
  type SpecKey,
  isFeatureKey,
  isSpecKey,
} from '../catalog/index.ts';
import { inOneSpelling } from '../../base/words/index.ts';
import { americanNames, formerLabels } from '../versions/index.ts';

/** What a column of a list holds; null leaves it out. */
export type Column = SpecKey | FeatureKey | null;

const plain = (text: string): string =>
  inOneSpelling(text.toLowerCase()).replaceAll(/[^a-z0-9]+/g, '');

const listable = [...features, ...specs.filter(({ bySignature }) => !bySignature)];

/** Our own labels before what else things are called; of two that share a name the one that is named first. */
const byName: ReadonlyMap<string, SpecKey | FeatureKey> = new Map([
  ...Object.entries(otherNames)
    .toReversed()
    .flatMap(([key, names = []]) => names.map((name) => [plain(name), key as SpecKey] as const)),
  ...Object.entries(americanNames).flatMap(([before, key]) =>
    isSpecKey(key) || isFeatureKey(key) ? [[plain(before), key] as const] : [],
  ),
  ...Object.entries(formerLabels).map(([label, key]) => [plain(label), key] as const),
  ...listable.flatMap((entry: Spec | Feature) => [
    [plain(entry.key), entry.key] as const,
    [plain(entry.label), entry.key] as const,
  ]),
]);

/** What stands behind this is no name any more. */
const longestHeading = 200;

/**
 * What each column of a list most likely holds, by its heading: our own labels and keys, and what lists from
 * elsewhere call them. A field is taken once; the first column of its name has it.
 * @param cells the list's lines, by which a column of VINs is known
 * @example columnsOf(['Stock #', 'Dry weight (lb)', 'Notes']) // ['stockNumber', 'uvw', null]
 */
export const columnsOf = (
  headings: readonly string[],
  cells: readonly (readonly string[])[] = [],
): readonly Column[] => {
  const taken = new Set<string>();
  const columns = headings.map((heading) => {
    const named = heading.slice(0, longestHeading);
    const bare = named.replaceAll(/\([^()]*\)/g, '');
    const key = byName.get(plain(named)) ?? byName.get(plain(bare)) ?? null;
    if (key === null || taken.has(key)) return null;
    taken.add(key);
    return key;
  });
  if (taken.has('vin')) return columns;
  // A unit is known by its VIN, whatever stands over it: else it would be taken in twice.
  const vins = columns.findIndex((key, i) => key === null && isOfVins(cells.map((row) => row[i])));
  return columns.map((key, i) => (i === vins ? 'vin' : key));
};

/** Seventeen letters and digits, no I, O or Q: 49 CFR 565. */
const vin = /^[A-HJ-NPR-Z0-9]{17}$/i;
const isOfVins = (column: readonly (string | undefined)[]): boolean => {
  const full = column.filter((cell) => cell?.trim());
  return (
    full.length > 0 && full.filter((cell) => vin.test(cell?.trim() ?? '')).length * 2 > full.length
  );
};
