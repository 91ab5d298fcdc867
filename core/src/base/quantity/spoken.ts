import type { Display, System } from './display.ts';
import { quantityParts, type NumberPart } from './format.ts';
import type { UnitKey } from './units.ts';

/** How a unit is said: behind one of it, behind more, and before a noun (a 30-pound cylinder). */
interface SaidUnit {
  readonly one: string;
  readonly many: string;
  readonly before: string;
}

const said = (one: string, many = `${one}s`, before = one): SaidUnit => ({ one, many, before });

/** Every unit that a display shows, as people say it; R-values are said as they are written. Common practice. */
const saidUnits = {
  in: said('inch', 'inches'),
  ft: said('foot', 'feet'),
  lb: said('pound'),
  gal: said('gallon'),
  psi: said('psi', 'psi'),
  'BTU/h': said('BTU'),
  A: said('amp'),
  'ft³': said('cubic foot', 'cubic feet', 'cubic-foot'),
  W: said('watt'),
  Ah: said('amp-hour'),
  V: said('volt'),
  CFM: said('CFM', 'CFM'),
  '°F': said('degree'),
  'lb·ft': said('foot-pound'),
  mph: said('mile an hour', 'miles an hour', 'mile-an-hour'),
  m: said('meter'),
  cm: said('centimeter'),
  mm: said('millimeter'),
  kg: said('kilogram'),
  L: said('liter'),
  kPa: said('kilopascal'),
  kW: said('kilowatt'),
  'm³/h': said('cubic meter an hour', 'cubic meters an hour', 'cubic-meter-an-hour'),
  '°C': said('degree'),
  'N·m': said('newton-meter'),
  'km/h': said('kilometer an hour', 'kilometers an hour', 'kilometer-an-hour'),
} as const satisfies Partial<Record<UnitKey, SaidUnit>>;

const saidOf = (unit: string): SaidUnit | undefined =>
  (saidUnits as Readonly<Record<string, SaidUnit>>)[unit];

const words = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

/**
 * A count as one says it: in words up to nine, as style guides have it.
 * @example spokenCount(2) // 'two'
 * @example spokenCount(12) // '12'
 */
export const spokenCount = (count: number): string => words[count] ?? count.toLocaleString('en-US');

const isPartOnly = (number: string): boolean => /^[^\d]$|^\d+⁄\d+$/.test(number);

const spokenPart = ({ number, unit }: NumberPart): string => {
  const row = saidOf(unit);
  if (!row) return `${number} ${unit}`.trim();
  // Less than one inch: ⅝ of an inch.
  if (isPartOnly(number)) return `${number} of ${/^[aeio]/.test(row.one) ? 'an' : 'a'} ${row.one}`;
  return `${number} ${number === '1' ? row.one : row.many}`.trim();
};

/**
 * A quantity as it is said behind a verb.
 * @param internal internal units
 * @example spokenQuantity(46, 'volume', 'us') // '46 gallons'
 * @example spokenQuantity(316, 'feet', 'us') // '26 feet 4 inches'
 */
export const spokenQuantity = (internal: number, display: Display, system: System): string =>
  quantityParts(internal, display, system).map(spokenPart).join(' ');

const beforePart = ({ number, unit }: NumberPart): string => {
  const row = saidOf(unit);
  const count = /^[1-9]$/.test(number) ? spokenCount(Number(number)) : number;
  return row ? `${count}-${row.before}` : `${number} ${unit}`.trim();
};

/**
 * A quantity as it is said before a noun.
 * @param internal internal units
 * @example quantityBefore(6, 'volume', 'us') // 'six-gallon'
 * @example quantityBefore(13.6, 'weight', 'metric') // '14-kilogram'
 */
export const quantityBefore = (internal: number, display: Display, system: System): string =>
  quantityParts(internal, display, system).map(beforePart).join('-');

/**
 * Sides of a thing as they are said, the unit once.
 * @param sides internal units
 * @example spokenSize([60, 80], 'inches', 'us') // '60 by 80 inches'
 */
export const spokenSize = (sides: readonly number[], display: Display, system: System): string => {
  const parts = sides.map((side) => quantityParts(side, display, system));
  const hasOneUnit = parts.every(
    (part) => part.length === 1 && part[0]?.unit === parts[0]?.[0]?.unit,
  );
  if (!hasOneUnit) return parts.map((part) => part.map(spokenPart).join(' ')).join(' by ');
  const unit = parts[0]?.[0]?.unit ?? '';
  const numbers = parts.map((part) => part[0]?.number).join(' by ');
  return `${numbers} ${saidOf(unit)?.many ?? unit}`.trim();
};
