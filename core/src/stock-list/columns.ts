import {
  features,
  specs,
  type Feature,
  type FeatureKey,
  type Spec,
  type SpecKey,
} from '../catalogue/index.ts';

/** What a column of a list holds; null leaves it out. */
export type Column = SpecKey | FeatureKey | null;

const plain = (text: string): string => text.toLowerCase().replaceAll(/[^a-z0-9]+/g, '');

/** What lists from elsewhere call things; common practice. */
const otherNames: Readonly<Record<string, SpecKey>> = {
  stock: 'stockNumber',
  stockno: 'stockNumber',
  stocknr: 'stockNumber',
  stockid: 'stockNumber',
  unit: 'stockNumber',
  serial: 'vin',
  serialnumber: 'vin',
  vinnumber: 'vin',
  year: 'modelYear',
  my: 'modelYear',
  model: 'floorPlan',
  plan: 'floorPlan',
  brand: 'series',
  line: 'series',
  neworused: 'condition',
  status: 'condition',
  type: 'condition',
  colour: 'decor',
  color: 'decor',
  options: 'packages',
  length: 'overallLength',
  exteriorlength: 'overallLength',
  height: 'heightWithAc',
  gvw: 'gvwr',
  gvwr: 'gvwr',
  maxweight: 'gvwr',
  dryweight: 'uvw',
  uvw: 'uvw',
  emptyweight: 'uvw',
  ccc: 'ccc',
  cargo: 'ccc',
  payload: 'ccc',
  tongueweight: 'hitchWeight',
  hitchweight: 'hitchWeight',
  fresh: 'freshTank',
  freshwater: 'freshTank',
  gray: 'grayTank',
  grey: 'grayTank',
  black: 'blackTank',
  msrp: 'listPrice',
  price: 'askingPrice',
  saleprice: 'askingPrice',
  received: 'arrived',
  built: 'buildDate',
  sleepingcapacity: 'sleeps',
};

const byName: ReadonlyMap<string, SpecKey | FeatureKey> = new Map([
  ...Object.entries(otherNames),
  ...[...features, ...specs.filter(({ bySignature }) => !bySignature)].flatMap(
    (entry: Spec | Feature) => [
      [plain(entry.key), entry.key] as const,
      [plain(entry.label), entry.key] as const,
    ],
  ),
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
