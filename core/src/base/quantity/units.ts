/**
 * Units people type and read, as rows of data.
 *
 * Every dimension has one internal unit (factor 1): inch, pound, US gallon, psi, watt, ampere, ampere-hour,
 * volt, cubic foot a minute, kelvin, R (h·ft²·°F/BTU), pound-foot, mile an hour.
 * Factors are exact by definition unless the source says otherwise.
 * Sources: NIST SP 811 (2008) appendix B; "exact" rows follow from 1 in = 25.4 mm, 1 lb = 0.45359237 kg,
 * 1 US gal = 231 in³, standard gravity 9.80665 m/s², 1 Btu(IT) = 1055.05585262 J.
 */
export type Dimension =
  | 'length'
  | 'mass'
  | 'volume'
  | 'pressure'
  | 'power'
  | 'current'
  | 'charge'
  | 'voltage'
  | 'airflow'
  | 'temperature'
  | 'thermal-resistance'
  | 'torque'
  | 'speed';

export interface UnitRow {
  readonly key: string;
  readonly dimension: Dimension;
  /** How people write it, lower case. */
  readonly names: readonly string[];
  /** Internal units in one of these. */
  readonly factor: number;
  /** Added before the factor: scales whose nought is not nothing, such as °F. */
  readonly offset?: number;
  /** Written before the number instead of behind it: R-9. */
  readonly prefix?: string;
  readonly source: string;
}

const inch3PerLiter = 1000 / 2.54 ** 3;
const joulePerBtu = 1055.05585262;
/** R of one RSI: (m²·K/W) in h·ft²·°F/BTU, from the definitions of foot, Btu(IT) and °F. */
const rPerRsi = joulePerBtu / (3600 * 0.3048 ** 2 * (5 / 9));

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
    names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], // voice: kept
    factor: 1 / 25.4,
    source: 'exact',
  },
  {
    key: 'cm',
    dimension: 'length',
    names: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], // voice: kept
    factor: 1 / 2.54,
    source: 'exact',
  },
  {
    key: 'm',
    dimension: 'length',
    names: ['m', 'metre', 'metres', 'meter', 'meters'], // voice: kept
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
    names: ['l', 'litre', 'litres', 'liter', 'liters'], // voice: kept
    factor: inch3PerLiter / 231,
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
    factor: joulePerBtu / 3600,
    source: 'NIST SP 811 B.8, Btu(IT)',
  },
  {
    key: 'A',
    dimension: 'current',
    names: ['a', 'amp', 'amps', 'ampere', 'amperes'],
    factor: 1,
    source: 'internal unit',
  },
  {
    key: 'ft³',
    dimension: 'volume',
    names: ['ft³', 'cuft'],
    factor: 1728 / 231,
    source: 'exact',
  },
  {
    key: 'Ah',
    dimension: 'charge',
    names: ['ah', 'amp-hours', 'ampere-hours'],
    factor: 1,
    source: 'internal unit',
  },
  {
    key: 'V',
    dimension: 'voltage',
    names: ['v', 'volt', 'volts'],
    factor: 1,
    source: 'internal unit',
  },
  { key: 'CFM', dimension: 'airflow', names: ['cfm'], factor: 1, source: 'internal unit' },
  {
    key: 'm³/h',
    dimension: 'airflow',
    names: ['m³/h'],
    factor: 1 / (60 * 0.3048 ** 3),
    source: 'exact',
  },
  {
    key: '°F',
    dimension: 'temperature',
    names: ['°f', 'f', 'degf'],
    factor: 5 / 9,
    offset: 459.67,
    source: 'NIST SP 811 B.8, from the definition of °F',
  },
  {
    key: '°C',
    dimension: 'temperature',
    names: ['°c', 'c', 'degc'],
    factor: 1,
    offset: 273.15,
    source: 'exact',
  },
  {
    key: 'R',
    dimension: 'thermal-resistance',
    names: ['r'],
    factor: 1,
    prefix: 'R-',
    source: 'internal unit (h·ft²·°F/BTU)',
  },
  {
    key: 'RSI',
    dimension: 'thermal-resistance',
    names: ['rsi', 'm²k/w'],
    factor: rPerRsi,
    source: 'NIST SP 811 B.8, Btu(IT)',
  },
  {
    key: 'lb·ft',
    dimension: 'torque',
    names: ['lb·ft', 'ft·lb', 'lbft', 'ftlb', 'ft-lb', 'lb-ft'],
    factor: 1,
    source: 'internal unit',
  },
  {
    key: 'N·m',
    dimension: 'torque',
    names: ['n·m', 'nm'],
    factor: 1 / (0.45359237 * 9.80665 * 0.3048),
    source: 'exact',
  },
  { key: 'mph', dimension: 'speed', names: ['mph'], factor: 1, source: 'internal unit' },
  {
    key: 'km/h',
    dimension: 'speed',
    names: ['km/h', 'kmh', 'kph'],
    factor: 1 / 1.609344,
    source: 'exact',
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
export const toInternal = (amount: number, unit: UnitKey): number => {
  const { factor, offset = 0 } = unitRow(unit);
  return (amount + offset) * factor;
};

/**
 * Internal units as an amount of a named unit.
 * @example fromInternal(12, 'ft') // 1
 */
export const fromInternal = (internal: number, unit: UnitKey): number => {
  const { factor, offset = 0 } = unitRow(unit);
  return internal / factor - offset;
};
