import { specEntry, type SpecKey, type StationKey } from '../catalog/index.ts';
import { amountOf, applies, howOf, sidesOf, textOf, type Brief } from '../record/index.ts';
import { formatSize, type System } from '../../base/quantity/index.ts';
import type { Box } from './box.ts';

/** What fills the floor inside, drawn to its own size. */
export interface Furniture {
  readonly key: SpecKey;
  readonly station: StationKey;
  readonly box: Box;
  /** Its size as recorded, inches: across the trailer and along it, as it lies; of a garage perhaps its length alone. */
  readonly size: readonly number[];
  readonly guessed: boolean;
}

/*
 * Nobody measures where a bed or a shower stands, only how large it is: each is drawn where such a thing mostly is
 * (common practice), and dashed. A garage alone has a place of its own: it ends at the rear wall.
 */
const usually = {
  bedSize: { station: 'bedroom', against: 'center' },
  bunkSize: { station: 'bunks', against: 'off-door' },
  showerSize: { station: 'bath', against: 'door' },
} as const;

const within = (value: number, from: number, to: number): number =>
  Math.max(from, Math.min(value, to));

const acrossFrom = (against: 'center' | 'door' | 'off-door', width: number, body: Box): number => {
  if (against === 'center') return -width / 2;
  return against === 'door' ? body.x + body.width - width : body.x;
};

/** Across and along the trailer, as the thing lies: lengthwise, unless the record says that the bed lies across. */
const asItLies = (record: Brief, key: keyof typeof usually): [number, number] | undefined => {
  const [wide, long] = sidesOf(record, key) ?? [];
  if (wide === undefined || long === undefined || !applies(record, specEntry(key)))
    return undefined;
  const isAcross = key === 'bedSize' && textOf(record, 'bedDirection') === 'across';
  return isAcross ? [long, wide] : [wide, long];
};

const isGuessed = (record: Brief, key: SpecKey): boolean => howOf(record, key) === 'guessed';

const garageOf = (record: Brief, body: Box): Furniture | undefined => {
  const long = amountOf(record, 'garageLength');
  if (long === undefined || !applies(record, specEntry('garageLength'))) return undefined;
  const wide = amountOf(record, 'garageWidth');
  const width = Math.min(wide ?? body.width, body.width);
  const height = Math.min(long, body.height);
  const box = { x: -width / 2, y: body.y + body.height - height, width, height };
  const size = wide === undefined ? [long] : [wide, long];
  const guessed = isGuessed(record, 'garageLength') || isGuessed(record, 'garageWidth');
  return { key: 'garageLength', station: 'garage', box, size, guessed };
};

/** A garage longer than this share of the box is the living room too, with its benches folded away. */
const shared = 0.6;

/** Where the rooms end, inches back from the coupler: at a garage of its own, else at the rear wall. */
export const endOfLiving = (record: Brief, body: Box): number => {
  const garage = garageOf(record, body)?.box;
  return garage && garage.height <= shared * body.height ? garage.y : body.y + body.height;
};

/**
 * Beds, shower and garage to scale, from the sizes in the record; what has no size is not drawn.
 * @param backOf where a station's peg stands on this unit, inches back from the coupler
 */
export const furnitureOf = (
  record: Brief,
  body: Box,
  backOf: (station: StationKey) => number,
): readonly Furniture[] => {
  const garage = garageOf(record, body);
  const end = endOfLiving(record, body);
  const pieces = (Object.keys(usually) as (keyof typeof usually)[]).flatMap((key) => {
    const size = asItLies(record, key);
    if (!size) return [];
    const { station, against } = usually[key];
    const width = Math.min(size[0], body.width);
    const height = Math.min(size[1], end - body.y);
    const y = within(backOf(station) - height / 2, body.y, end - height);
    const box = { x: acrossFrom(against, width, body), y, width, height };
    return [{ key, station, size, box, guessed: isGuessed(record, key) }];
  });
  return garage ? [...pieces, garage] : pieces;
};

/** The floor that a piece takes, the shorter side first, as the trade says it; a guess bears “about”. */
export const floorSize = ({ size, guessed }: Furniture, system: System): string => {
  const text = formatSize(
    size.toSorted((a, b) => a - b),
    'inches',
    system,
  );
  return guessed ? `about ${text}` : text;
};
