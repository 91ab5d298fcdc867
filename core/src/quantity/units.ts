/**
 * Units people type and read, as rows of data.
 *
 * Every dimension has one internal unit (factor 1): inch, pound, US gallon, psi, watt, ampere.
 * Factors are exact by definition unless the source says otherwise.
 * Sources: NIST SP 811 (2008) appendix B; "exact" rows follow from 1 in = 25.4 mm, 1 lb = 0.45359237 kg,
 * 1 US gal = 231 in³, standard gravity 9.80665 m/s², 1 Btu(IT) = 1055.05585262 J.
 */
export type Dimension = 'length' | 'mass' | 'volume' | 'pressure' | 'power' | 'current';

export interface UnitRow {
  readonly key: string;
  readonly dimension: Dimension;
  /** How people write it, lower case. */
  readonly names: readonly string[];
  /** Internal units in one of these. */
  readonly factor: number;
  readonly source: string;
}

const inch3PerLitre = 1000 / 2.54 ** 3;

export const units = [
  {
    key: 'in',
    dimension: 'length',
    names: ['in', 'inch', 'inches', '"', '″', '”', "''"],
    factor: 1,
    source: 'internal unit',
  },
  {
    key: 'ft',
    dimension: 'length',
    names: ['ft', 'foot', 'feet', "'", '′', '’'],
    factor: 12,
    source: 'exact',
  },
  {
    key: 'mm',
    dimension: 'length',
    names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
    factor: 1 / 25.4,
    source: 'exact',
  },
  {
    key: 'cm',
    dimension: 'length',
    names: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
    factor: 1 / 2.54,
    source: 'exact',
  },
  {
    key: 'm',
    dimension: 'length',
    names: ['m', 'metre', 'metres', 'meter', 'meters'],
    factor: 100 / 2.54,
    source: 'exact',
  },
  {
    key: 'lb',
    dimension: 'mass',
    names: ['lb', 'lbs', 'pound', 'pounds', '#'],
    factor: 1,
    source: 'internal unit',
  },
  {
    key: 'kg',
    dimension: 'mass',
    names: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
    factor: 1 / 0.45359237,
    source: 'exact',
  },
  {
    key: 'gal',
    dimension: 'volume',
    names: ['gal', 'gals', 'gallon', 'gallons'],
    factor: 1,
    source: 'internal unit (US liquid gallon)',
  },
  {
    key: 'L',
    dimension: 'volume',
    names: ['l', 'litre', 'litres', 'liter', 'liters'],
    factor: inch3PerLitre / 231,
    source: 'exact',
  },
  { key: 'psi', dimension: 'pressure', names: ['psi'], factor: 1, source: 'internal unit' },
  {
    key: 'kPa',
    dimension: 'pressure',
    names: ['kpa'],
    factor: 1 / 6.894757293168361,
    source: 'NIST SP 811 B.8',
  },
  {
    key: 'bar',
    dimension: 'pressure',
    names: ['bar', 'bars'],
    factor: 100 / 6.894757293168361,
    source: 'NIST SP 811 B.8',
  },
  {
    key: 'W',
    dimension: 'power',
    names: ['w', 'watt', 'watts'],
    factor: 1,
    source: 'internal unit',
  },
  {
    key: 'kW',
    dimension: 'power',
    names: ['kw', 'kilowatt', 'kilowatts'],
    factor: 1000,
    source: 'exact',
  },
  {
    key: 'BTU/h',
    dimension: 'power',
    names: ['btu/h', 'btuh', 'btu', 'btus', 'btu/hr'],
    factor: 1055.05585262 / 3600,
    source: 'NIST SP 811 B.8, Btu(IT)',
  },
  {
    key: 'A',
    dimension: 'current',
    names: ['a', 'amp', 'amps', 'ampere', 'amperes'],
    factor: 1,
    source: 'internal unit',
  },
] as const satisfies readonly UnitRow[];

export type UnitKey = (typeof units)[number]['key'];

const byKey = new Map<string, UnitRow>(units.map((row) => [row.key, row]));

/** The row of a unit. */
export const unitRow = (key: UnitKey): UnitRow => byKey.get(key) as UnitRow;

/** The row whose names include what was typed, whatever its case; undefined when nobody writes it so. */
export const unitNamed = (typed: string): UnitRow | undefined => {
  const name = typed.toLowerCase().replace(/\.$/, '');
  return (units as readonly UnitRow[]).find((row) => row.names.includes(name));
};

/**
 * An amount in a named unit as internal units.
 * @param amount number of `unit`
 * @returns internal units of that dimension
 * @example toInternal(1, 'ft') // 12
 */
export const toInternal = (amount: number, unit: UnitKey): number => amount * unitRow(unit).factor;

/**
 * Internal units as an amount of a named unit.
 * @example fromInternal(12, 'ft') // 1
 */
export const fromInternal = (internal: number, unit: UnitKey): number =>
  internal / unitRow(unit).factor;
