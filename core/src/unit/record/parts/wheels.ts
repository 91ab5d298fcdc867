import { z } from 'zod';
import { formatQuantity, type System } from '../../../base/quantity/index.ts';
import { isWheelKey, wears, wellStates, wheelPlace, wheelStates } from '../../catalog/index.ts';
import { labelIn } from '../values/entry-label.ts';
import { keysOf, words } from '../values/spot.ts';
import { part } from './part.ts';

const inches = z.number().min(0).max(2);

/** One wheel with its tire, as looked at; its date is a spec of its own. */
export const wheelSchema = z.strictObject({
  make: z.string().trim().min(1).max(40).optional(),
  /** As it stands on this tire: the others may be of another. */
  size: z.string().trim().min(1).max(24).optional(),
  /** Its load range, a letter, and its load index for one tire alone. */
  range: z
    .string()
    .regex(/^[B-G]$/, 'A load range is a letter from B to G.')
    .optional(),
  index: z.number().int().min(60).max(126).optional(),
  /** Inches of tread at the outer edge, the middle and the inner edge. */
  tread: z.tuple([inches, inches, inches]).optional(),
  /** Cold, psi. */
  pressure: z.number().min(0).max(200).optional(),
  wear: z.enum(keysOf(wears)).optional(),
  well: z.enum(keysOf(wellStates)).optional(),
  wheel: z.enum(keysOf(wheelStates)).optional(),
  note: words.optional(),
});
export type Wheel = z.infer<typeof wheelSchema>;

const treads = (inches: readonly number[]): string =>
  `${inches.map((n) => Math.round(n * 32)).join(', ')} thirty-seconds of tread`;

const wheelText = (wheel: Wheel, system: System): string =>
  [
    wheel.make,
    wheel.size,
    wheel.range && `load range ${wheel.range}`,
    wheel.index !== undefined && `load index ${wheel.index}`,
    wheel.tread && treads(wheel.tread),
    wheel.pressure !== undefined && formatQuantity(wheel.pressure, 'pressure', system),
    wheel.wear && `worn ${labelIn(wears, wheel.wear)}`,
    wheel.well && `well ${wheel.well}`,
    wheel.wheel && `wheel ${wheel.wheel}`,
    wheel.note && `“${wheel.note}”`,
  ]
    .filter(Boolean)
    .join(', ') || 'looked at';

/** The wheels one by one; the date of a tire is a spec of its own. */
export const wheels = part({
  schema: wheelSchema,
  isKey: isWheelKey,
  label: (key) => (isWheelKey(key) ? `Wheel, ${wheelPlace(key).label}` : key),
  text: (value, { system }) => wheelText(value, system),
  example: ['Spare', { make: 'Farrow', pressure: 65 }],
});
