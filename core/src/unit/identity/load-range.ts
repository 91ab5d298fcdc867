/** What a load range stands for, and where trailers' common sizes stand in the tables. */
interface LoadRange {
  readonly key: string;
  /** Greatest cold pressure, psi. Source: common practice for ST sizes; the sidewall decides. */
  readonly pressure: number;
}

export const loadRanges: readonly LoadRange[] = [
  { key: 'B', pressure: 35 },
  { key: 'C', pressure: 50 },
  { key: 'D', pressure: 65 },
  { key: 'E', pressure: 80 },
  { key: 'F', pressure: 95 },
  { key: 'G', pressure: 110 },
];

/**
 * Greatest cold pressure of a load range.
 * @returns psi; undefined for a letter that trailers do not use
 */
export const pressureOfRange = (range: string): number | undefined =>
  loadRanges.find((row) => row.key === range)?.pressure;

/** Load of one tire at its greatest pressure, lb. Source: TRA tables, from memory. */
const tableLoads = [
  { size: 'ST205/75R14', range: 'C', load: 1760 },
  { size: 'ST205/75R14', range: 'D', load: 2040 },
  { size: 'ST205/75R15', range: 'C', load: 1820 },
  { size: 'ST205/75R15', range: 'D', load: 2150 },
  { size: 'ST225/75R15', range: 'D', load: 2540 },
  { size: 'ST225/75R15', range: 'E', load: 2830 },
  { size: 'ST235/80R16', range: 'E', load: 3520 },
] as const;

/**
 * What the tables give a size and load range; the sidewall of the tire itself decides.
 * @returns lb at the greatest pressure; undefined where the table has no row
 */
export const tableLoad = (size: string, range: string): number | undefined =>
  tableLoads.find((row) => row.size === size && row.range === range)?.load;
