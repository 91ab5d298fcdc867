import type { Given } from '../../unit/outcome/index.ts';
import { receiverOf, type TowInput } from './input.ts';

/** Where the real figure of a limit stands. */
export const limitPlaces = {
  payload: 'on the driver’s door label',
  tow: 'in the maker’s tow guide, by engine and axle',
  combined: 'in the maker’s tow guide',
  receiver: 'on the receiver’s plate',
  rear: 'on the driver’s door label',
} as const;

/** Each limit as it grows with the trailer: used = fixed + slope × loaded weight. Pounds. */
export interface Line {
  readonly key: keyof typeof limitPlaces;
  readonly label: string;
  readonly rating: number;
  readonly fixed: number;
  readonly slope: number;
}

/** Of people and gear in the vehicle, what rides on its rear axle; common practice. */
const rearPart = 0.5;

/**
 * By moments about the front axle: what lies on the ball presses on the rear axle by more than its own weight, for it
 * lies behind. Statics of a beam on two supports.
 * @returns how much of the ball's weight the rear axle takes; above 1
 */
export const leverage = (wheelbase: number, overhang: number): number =>
  (wheelbase + overhang) / wheelbase;

const line = (
  key: Line['key'],
  label: string,
  rating: Given | undefined,
  fixed: number,
  slope: number,
): readonly Line[] => (rating ? [{ key, label, rating: rating.amount, fixed, slope }] : []);

const rearLine = (input: TowInput, share: number): readonly Line[] => {
  const { rearRating, rearUnladen, wheelbase, overhang } = input;
  if (!rearUnladen || !wheelbase || !overhang) return [];
  const lever = leverage(wheelbase.amount, overhang.amount);
  const hardware = (input.hardware?.amount ?? 0) * lever;
  const fixed = rearUnladen.amount + (input.aboard?.amount ?? 0) * rearPart + hardware;
  return line('rear', 'Rear axle of the vehicle', rearRating, fixed, share * lever);
};

/** Which of a receiver's two ratings is meant. */
const receiverName = ({ distributing, receiverDistributing }: TowInput): string =>
  distributing && receiverDistributing ? 'Receiver, weight-distributing' : 'Receiver, plain ball';

/** What a limit is held against that nobody has told: its name, and where it stands. */
export interface Unchecked {
  readonly name: string;
  readonly where: string;
}

/** The limits that every vehicle has and that cannot be held against anything yet. */
export const uncheckedOf = (input: TowInput): readonly Unchecked[] => [
  ...(input.payload ? [] : [{ name: 'Payload', where: limitPlaces.payload }]),
  ...(input.towRating ? [] : [{ name: 'Tow rating', where: limitPlaces.tow }]),
  ...(input.gcwr ? [] : [{ name: 'GCWR', where: limitPlaces.combined }]),
  ...(input.gcwr && !input.curb
    ? [{ name: 'GCWR, without the empty vehicle’s weight', where: 'on a scale' }]
    : []),
  ...(receiverOf(input) ? [] : [{ name: 'Receiver rating', where: limitPlaces.receiver }]),
];

/** The limits that can be held against a trailer with this share on the hitch, their ratings in full. */
export const linesOf = (input: TowInput, share: number): readonly Line[] => {
  const aboard = input.aboard?.amount ?? 0;
  const carried = aboard + (input.hardware?.amount ?? 0);
  const curb = input.curb?.amount;
  return [
    ...line('payload', 'Payload', input.payload, carried, share),
    ...line('tow', 'Tow rating', input.towRating, 0, 1),
    ...(curb === undefined
      ? []
      : line('combined', 'Vehicle and trailer together', input.gcwr, curb + carried, 1)),
    ...line('receiver', receiverName(input), receiverOf(input), 0, share),
    ...rearLine(input, share),
  ];
};

/**
 * The heaviest trailer by one limit, in closed form; nothing is left where the vehicle alone is over it.
 * @param reserve of the rating kept in hand, 0 to 1
 */
export const largestBy = ({ rating, fixed, slope }: Line, reserve: number): number =>
  Math.max((rating * (1 - reserve) - fixed) / slope, 0);
