import type { Given } from '../numbers/index.ts';
import type { TowInput } from './input.ts';

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

type Draft = Omit<Line, 'rating'> & { readonly rating: Given | undefined };

const rearLine = (input: TowInput, share: number): readonly Draft[] => {
  const { rearRating, rearUnladen, wheelbase, overhang } = input;
  if (!rearRating || !rearUnladen || !wheelbase || !overhang) return [];
  const lever = leverage(wheelbase.amount, overhang.amount);
  const hardware = (input.hardware?.amount ?? 0) * lever;
  return [
    {
      key: 'rear',
      label: 'Rear axle of the vehicle',
      rating: rearRating,
      fixed: rearUnladen.amount + (input.aboard?.amount ?? 0) * rearPart + hardware,
      slope: share * lever,
    },
  ];
};

/**
 * The limits that can be held against a trailer with this share on the hitch.
 * @param reserve of each rating kept in hand
 */
export const linesOf = (input: TowInput, share: number, reserve: number): readonly Line[] => {
  const aboard = input.aboard?.amount ?? 0;
  const hardware = input.hardware?.amount ?? 0;
  const all: readonly Draft[] = [
    {
      key: 'payload',
      label: 'Payload',
      rating: input.payload,
      fixed: aboard + hardware,
      slope: share,
    },
    { key: 'tow', label: 'Tow rating', rating: input.towRating, fixed: 0, slope: 1 },
    {
      key: 'combined',
      label: 'Vehicle and trailer together',
      rating: input.curb ? input.gcwr : undefined,
      fixed: (input.curb?.amount ?? 0) + aboard + hardware,
      slope: 1,
    },
    { key: 'receiver', label: 'Receiver', rating: input.receiver, fixed: 0, slope: share },
    ...rearLine(input, share),
  ];
  return all.flatMap(({ rating, ...line }) =>
    rating ? [{ ...line, rating: rating.amount * (1 - reserve) }] : [],
  );
};

/** The heaviest trailer by one limit, in closed form; nothing is left where the vehicle alone is over it. */
export const largestBy = ({ rating, fixed, slope }: Line): number =>
  Math.max((rating - fixed) / slope, 0);
