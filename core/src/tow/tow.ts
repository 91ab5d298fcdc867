import { z } from 'zod';
import {
  confidenceOf,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  said,
  withoutAnswer,
  type Given,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';

/** What goes into the question “What should tow it?”. Pounds; shares 0 to 1. */
export const towInputSchema = z.strictObject({
  /** The trailer as it is loaded. */
  loaded: positiveSchema.optional(),
  /** Of the loaded weight on the hitch. */
  share: positiveSchema.extend({ amount: z.number().min(0.02).max(0.4) }).optional(),
  payload: positiveSchema.optional(),
  towRating: positiveSchema.optional(),
  gcwr: positiveSchema.optional(),
  /** The receiver as it is used: with weight distribution or without. */
  receiver: positiveSchema.optional(),
  /** The vehicle as it stands, with nobody in it. */
  curb: positiveSchema.optional(),
  /** People and gear in the vehicle. */
  aboard: measureSchema.optional(),
  /** The weight-distribution hitch itself. */
  hardware: measureSchema.optional(),
  /** Of each rating kept in hand; schools differ between none and a fifth. */
  reserve: z.number().min(0).max(0.5).default(0),
});
export type TowInput = z.infer<typeof towInputSchema>;

const limitSchema = z.strictObject({
  key: z.string(),
  label: z.string(),
  used: z.number(),
  rating: z.number(),
  left: z.number(),
  /** Where the real figure stands. */
  where: z.string(),
});
export const towValueSchema = z.strictObject({
  hitch: z.number(),
  limits: z.array(limitSchema),
  binding: z.string().optional(),
  fits: z.boolean().optional(),
  /** The heaviest loaded trailer of this share that this vehicle takes. */
  largest: z.number().optional(),
  /** What the trailer asks of a vehicle. */
  least: z.strictObject({ payload: z.number(), towRating: z.number(), receiver: z.number() }),
});
export type TowValue = z.infer<typeof towValueSchema>;
export const towOutcomeSchema = outcomeSchema(towValueSchema);

const source =
  'Sums of weights against the vehicle’s own ratings, the lowest decides; a reserve of a fifth or none: schools differ, common practice';

const wheres = {
  payload: 'on the driver’s door label',
  tow: 'in the maker’s tow guide, by engine and axle',
  combined: 'in the maker’s tow guide',
  receiver: 'on the receiver’s plate',
} as const;

/** Each limit as it grows with the trailer: used = fixed + slope × loaded weight. */
interface Line {
  readonly key: keyof typeof wheres;
  readonly label: string;
  readonly rating: number;
  readonly fixed: number;
  readonly slope: number;
}

const linesOf = (input: TowInput, share: number): readonly Line[] => {
  const aboard = input.aboard?.amount ?? 0;
  const hardware = input.hardware?.amount ?? 0;
  const keep = 1 - input.reserve;
  const all: readonly (Omit<Line, 'rating'> & { rating: Given | undefined })[] = [
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
  ];
  return all.flatMap(({ rating, ...line }) =>
    rating ? [{ ...line, rating: rating.amount * keep }] : [],
  );
};

/** The heaviest trailer by one limit, in closed form; nothing is left where the vehicle alone is over it. */
const largestBy = ({ rating, fixed, slope }: Line): number => Math.max((rating - fixed) / slope, 0);

const valueOf = (input: TowInput, loaded: number, share: number): TowValue => {
  const lines = linesOf(input, share);
  const limits = lines.map(({ key, label, rating, fixed, slope }) => {
    const used = fixed + slope * loaded;
    return { key, label, used, rating, left: rating - used, where: wheres[key] };
  });
  const binding = lines.toSorted((a, b) => largestBy(a) - largestBy(b))[0];
  const keep = 1 - input.reserve;
  const hitch = loaded * share;
  return {
    hitch,
    limits,
    ...(binding ? { binding: binding.key, largest: largestBy(binding) } : {}),
    ...(limits.length > 0 ? { fits: limits.every(({ left }) => left >= 0) } : {}),
    least: {
      payload: (hitch + (input.aboard?.amount ?? 0) + (input.hardware?.amount ?? 0)) / keep,
      towRating: loaded / keep,
      receiver: hitch / keep,
    },
  };
};

const stepsFor = (
  input: TowInput,
  value: TowValue,
  loaded: number,
  system: System,
): readonly Working[] => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const reserve = input.reserve > 0 ? `, ${Math.round(input.reserve * 100)} % kept in hand` : '';
  return [
    {
      what: 'On the hitch',
      arithmetic: `${show(loaded)} × ${((value.hitch / loaded) * 100).toFixed(1)} % = ${show(value.hitch)}`,
    },
    ...value.limits.map(({ label, rating, used, left }) => ({
      what: `${label}${reserve}`,
      arithmetic: `${show(rating)} − ${show(used)} = ${show(left)}${left < 0 ? ': too much' : ''}`,
    })),
    {
      what: 'What it asks of a vehicle',
      arithmetic: `payload ${show(value.least.payload)}, tow rating ${show(value.least.towRating)}, receiver ${show(value.least.receiver)}`,
    },
  ];
};

const sentenceFor = (
  value: TowValue,
  loaded: number,
  confidence: ReturnType<typeof confidenceOf>,
  system: System,
): string => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const asks = `Loaded like this it weighs ${said(show(loaded), confidence)} and puts ${said(show(value.hitch), confidence)} on the hitch.`;
  const binding = value.limits.find(({ key }) => key === value.binding);
  if (!binding || value.largest === undefined) {
    return `${asks} Read the payload off the vehicle’s door; it asks for ${said(show(value.least.payload), confidence)} with you aboard.`;
  }
  const verdict = value.fits
    ? `This vehicle takes it; its ${binding.label.toLowerCase()} is the closest, with ${show(binding.left)} left.`
    : `This vehicle does not take it: its ${binding.label.toLowerCase()} is passed by ${show(-binding.left)}. The heaviest it takes is ${show(value.largest)}.`;
  return `${asks} ${verdict}`;
};

/**
 * What a loaded trailer asks of a vehicle, and what a vehicle takes: each limit, the binding one, the largest trailer in
 * closed form.
 */
export const tow = (input: TowInput, system: System): Outcome<TowValue> => {
  const { loaded, share } = input;
  const missing = [
    ...(loaded ? [] : [{ label: 'The loaded weight', field: 'specs.uvw' }]),
    ...(share ? [] : [{ label: 'The share on the hitch', field: 'specs.hitchWeight' }]),
  ];
  if (!loaded || !share) return withoutAnswer(missing, source);
  const value = valueOf(input, loaded.amount, share.amount);
  const { payload, towRating, gcwr, receiver, curb, aboard, hardware } = input;
  const confidence = confidenceOf([
    loaded,
    share,
    payload,
    towRating,
    gcwr,
    receiver,
    curb,
    aboard,
    hardware,
  ]);
  const unread = [
    ...(payload ? [] : [{ label: `Payload, ${wheres.payload}` }]),
    ...(towRating ? [] : [{ label: `Tow rating, ${wheres.tow}` }]),
    ...(receiver ? [] : [{ label: `Receiver rating, ${wheres.receiver}` }]),
  ];
  return {
    value,
    steps: stepsFor(input, value, loaded.amount, system),
    assumptions: [
      'The rear axle of the vehicle was not checked: its rating is on the door label.',
      ...(aboard ? [] : ['Nobody and nothing in the vehicle.']),
      ...(hardware ? [] : ['No weight-distribution hitch.']),
    ],
    source,
    confidence,
    missing: unread,
    sentence: sentenceFor(value, loaded.amount, confidence, system),
  };
};
