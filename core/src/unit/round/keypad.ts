import type { ValueKind } from '../catalog/index.ts';
import { displayRow, type Display, type System } from '../../base/quantity/index.ts';

/** A key beside the digits; pressed again it goes on to its next text. */
export interface PadKey {
  readonly label: string;
  readonly writes: readonly string[];
}

/** The keys beside the digits that a field wants. */
export interface Keypad {
  readonly keys: readonly PadKey[];
}

const key = (label: string, ...writes: readonly string[]): PadKey => ({ label, writes });
const fractions = key('½ ¼ ⅛', ' 1/2', ' 1/4', ' 3/4', ' 1/8');
const point = key('.', '.');

const unitKeys = (display: Display, system: System): Keypad['keys'] => {
  const row = displayRow(display);
  const own = row[system];
  const isFeet = system === 'us' && row.us.feetAndInches === true;
  if (isFeet) return [key('ft', ' ft '), key('in', ' in'), fractions];
  const unit = key(own.unit, ` ${own.unit}`);
  if ('fraction' in own) return [unit, key('⁄32', '/32')];
  const parts = system === 'us' && row.dimension === 'length' ? [fractions] : [];
  return [unit, ...parts, ...(own.decimals > 0 ? [point] : [])];
};

/**
 * The keys with which a field is typed by one thumb; undefined where words are typed or chosen.
 * @example keypadFor({ kind: 'counted', display: 'weight', … }, 'us')?.keys[0] // { label: '×', writes: [' x '] }
 */
export const keypadFor = (value: ValueKind, system: System): Keypad | undefined => {
  switch (value.kind) {
    case 'quantity':
      return { keys: unitKeys(value.display, system) };
    case 'counted':
    case 'size':
      return { keys: [key('×', ' x '), ...unitKeys(value.display, system)] };
    case 'number':
      return { keys: [] };
    default:
      return undefined;
  }
};
