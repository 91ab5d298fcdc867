import { z } from 'zod';
import { formatQuantity, type System } from '../../../base/quantity/index.ts';
import { isLocatedKey } from '../../catalog/index.ts';
import { entryLabel } from '../values/entry-label.ts';
import { sides, sideSchema } from '../values/side.ts';
import { part } from './part.ts';

/** No travel trailer reaches farther back from its coupler, inches: common practice. */
export const longestPlace = 720;
const inches = z.number().min(0).max(longestPlace);

/** Where something is: inches back from the coupler, its side, and for slides its size. */
export const placeSchema = z.strictObject({
  back: inches,
  side: sideSchema,
  height: inches.optional(),
  length: inches.optional(),
  depth: inches.optional(),
});
export type Place = z.infer<typeof placeSchema>;

const whereOf = (side: Place['side']): string =>
  sides.find(({ key }) => key === side)?.where ?? side;

const placeText = ({ back, side, length, depth }: Place, system: System): string => {
  const show = (inches: number): string => formatQuantity(inches, 'feet', system);
  const size = [length && `${show(length)} long`, depth && `${show(depth)} deep`].filter(Boolean);
  return [`${show(back)} back, ${whereOf(side)}`, ...size].join(', ');
};

/** Where things are on this unit. */
export const places = part({
  schema: placeSchema,
  isKey: isLocatedKey,
  label: (key) => `${entryLabel(key)}, position`,
  text: (value, { system }) => placeText(value, system),
  example: ['awning', { back: 120, side: 'door', length: 192 }],
});
