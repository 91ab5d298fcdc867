import { z } from 'zod';
import {
  confidenceOf,
  outcomeSchema,
  said,
  withoutAnswer,
  type Confidence,
  type Given,
  type Missing,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';
import type { TowInput } from './input.ts';
import { largestBy, limitPlaces, linesOf, type Line } from './limits.ts';

const limitSchema = z.strictObject({
  key: z.string(),
  label: z.string(),
  used: z.number(),
  rating: z.number(),
  left: z.number(),
  /** Where the real figure stands. */
  where: z.string(),
});
const leastSchema = z.strictObject({
  payload: z.number(),
  towRating: z.number(),
  receiver: z.number(),
});
const schoolSchema = z.strictObject({
  reserve: z.number(),
  fits: z.boolean().optional(),
  binding: z.string().optional(),
  /** The heaviest loaded trailer of this share that this vehicle takes. */
  largest: z.number().optional(),
  least: leastSchema.optional(),
});
export const towValueSchema = z.strictObject({
  /** On the hitch; not without a trailer. */
  hitch: z.number().optional(),
  share: z.number(),
  limits: z.array(limitSchema),
  binding: z.string().optional(),
  fits: z.boolean().optional(),
  largest: z.number().optional(),
  /** What the trailer asks of a vehicle, as it is loaded and at its gross rating. */
  least: leastSchema.optional(),
  leastAtGross: leastSchema.optional(),
  /** Both schools: ratings in full, and with a reserve. */
  schools: z.array(schoolSchema),
});
export type TowValue = z.infer<typeof towValueSchema>;
export const towOutcomeSchema = outcomeSchema(towValueSchema);

/** What the school that keeps something in hand keeps, by default; common practice. */
export const usualReserve = 0.2;
/** Taken where no trailer is named: the middle of what a bumper pull should have. Common practice. */
export const usualShare = 0.13;

const source =
  'Sums of weights and moments against the vehicle’s own ratings, the lowest decides; a reserve of a fifth or none: schools differ, common practice';

type Least = z.infer<typeof leastSchema>;

const leastFor = (input: TowInput, loaded: number, share: number, reserve: number): Least => {
  const hitch = loaded * share;
  const keep = 1 - reserve;
  return {
    payload: (hitch + (input.aboard?.amount ?? 0) + (input.hardware?.amount ?? 0)) / keep,
    towRating: loaded / keep,
    receiver: hitch / keep,
  };
};

/** The line by which the trailer may be least; the first where two allow as little. */
const bindingOf = (lines: readonly Line[], reserve: number): Line | undefined => {
  let [binding] = lines;
  for (const line of lines) {
    if (binding && largestBy(line, reserve) < largestBy(binding, reserve)) binding = line;
  }
  return binding;
};

const schoolOf = (
  input: TowInput,
  lines: readonly Line[],
  share: number,
  reserve: number,
): TowValue['schools'][number] => {
  const loaded = input.loaded?.amount;
  const binding = bindingOf(lines, reserve);
  const largest = binding && largestBy(binding, reserve);
  const least = loaded === undefined ? undefined : leastFor(input, loaded, share, reserve);
  if (!binding || largest === undefined) return least ? { reserve, least } : { reserve };
  const known = { reserve, binding: binding.key, largest };
  if (loaded === undefined || !least) return known;
  const fits = lines.every(
    ({ rating, fixed, slope }) => fixed + slope * loaded <= rating * (1 - reserve),
  );
  return { ...known, fits, least };
};

const limitsAt = (
  lines: readonly Line[],
  loaded: number | undefined,
  reserve: number,
): TowValue['limits'] =>
  loaded === undefined
    ? []
    : lines.map(({ key, label, rating: full, fixed, slope }) => {
        const rating = full * (1 - reserve);
        const used = fixed + slope * loaded;
        return { key, label, used, rating, left: rating - used, where: limitPlaces[key] };
      });

const chosenOf = (school: TowValue['schools'][number]): Omit<typeof school, 'reserve'> => {
  const { binding, largest, fits, least } = school;
  return Object.assign(
    {},
    binding !== undefined && { binding, largest },
    fits !== undefined && { fits },
    least && { least },
  );
};

/** The figures of `tow` alone, without a word. @param share on the hitch, 0 to 1 */
export const towValue = (input: TowInput, share: number): TowValue => {
  const { reserve, gross } = input;
  const loaded = input.loaded?.amount;
  const lines = linesOf(input, share);
  const full = schoolOf(input, lines, share, 0);
  const kept = schoolOf(input, lines, share, reserve > 0 ? reserve : usualReserve);
  return {
    // The chosen school is one of the two; its reserve stands with it in the list.
    ...chosenOf(reserve > 0 ? kept : full),
    share,
    limits: limitsAt(lines, loaded, reserve),
    ...(loaded === undefined ? {} : { hitch: loaded * share }),
    ...(gross ? { leastAtGross: leastFor(input, gross.amount, share, reserve) } : {}),
    schools: [full, kept],
  };
};

const asks = (least: Least, show: (pounds: number) => string): string =>
  `payload ${show(least.payload)}, tow rating ${show(least.towRating)}, receiver ${show(least.receiver)}`;

const stepsFor = (input: TowInput, value: TowValue, system: System): readonly Working[] => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const keeps = input.reserve > 0 ? `, ${Math.round(input.reserve * 100)} % kept in hand` : '';
  const { hitch, share, least, leastAtGross } = value;
  const loaded = input.loaded?.amount;
  return [
    ...(loaded === undefined || hitch === undefined
      ? []
      : [
          {
            what: 'On the hitch',
            arithmetic: `${show(loaded)} × ${(share * 100).toFixed(1)} % = ${show(hitch)}`,
          },
        ]),
    ...value.limits.map(({ label, rating, used, left }) => ({
      what: `${label}${keeps}`,
      arithmetic: `${show(rating)} − ${show(used)} = ${show(left)}${left < 0 ? ': too much' : ''}`,
    })),
    ...linesOf(input, share).map((line) => ({
      what: `Largest trailer by ${line.label.toLowerCase()}`,
      arithmetic: `(${show(line.rating * (1 - input.reserve))} − ${show(line.fixed)}) ÷ ${line.slope.toFixed(3)} = ${show(largestBy(line, input.reserve))}`,
    })),
    ...(least
      ? [{ what: 'What it asks of a vehicle as loaded', arithmetic: asks(least, show) }]
      : []),
    ...(leastAtGross
      ? [{ what: 'What it asks at its gross rating', arithmetic: asks(leastAtGross, show) }]
      : []),
  ];
};

const verdictOf = (value: TowValue, show: (pounds: number) => string): string => {
  const limit = value.limits.find(({ key }) => key === value.binding);
  if (!limit || value.largest === undefined) return '';
  const name = limit.label.toLowerCase();
  return value.fits
    ? `This vehicle takes it, and up to ${show(value.largest)} before its ${name} is reached.`
    : `This vehicle does not take it: its ${name} is passed by ${show(-limit.left)}. The heaviest it takes is ${show(value.largest)}.`;
};

const sentenceFor = (
  input: TowInput,
  value: TowValue,
  confidence: Confidence,
  system: System,
): string => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const { hitch, least, largest } = value;
  // The trailer's own figures are as sure as the trailer, whatever is known of the vehicle.
  const [ofWeight, ofTrailer] = [
    confidenceOf([input.loaded]),
    confidenceOf([input.loaded, input.share]),
  ];
  if (hitch === undefined || !least || !input.loaded) {
    const heaviest = said(show(largest ?? 0), confidence);
    return `This vehicle takes a trailer of ${heaviest} loaded, no more; look at gross ratings, not at empty weights.`;
  }
  const weighs = `Loaded like this it weighs ${said(show(input.loaded.amount), ofWeight)} and puts ${said(show(hitch), ofTrailer)} on the hitch.`;
  const verdict = verdictOf(value, show);
  return verdict === ''
    ? `${weighs} Read the payload off the vehicle’s door; it asks for ${said(show(least.payload), ofTrailer)} with you aboard.`
    : `${weighs} ${verdict}`;
};

const unread = ({ payload, towRating, receiver }: TowInput): readonly Missing[] => [
  ...(payload ? [] : [{ label: `Payload, ${limitPlaces.payload}` }]),
  ...(towRating ? [] : [{ label: `Tow rating, ${limitPlaces.tow}` }]),
  ...(receiver ? [] : [{ label: `Receiver rating, ${limitPlaces.receiver}` }]),
];

const assumptionsFor = (input: TowInput, isShareUsual: boolean): readonly string[] => {
  const rear =
    input.rearRating && input.rearUnladen && input.wheelbase && input.overhang
      ? 'Half of people and gear rides on the rear axle; what a weight-distributing hitch takes off it is not counted.'
      : 'The rear axle of the vehicle was not checked: its rating is on the door label.';
  return [
    rear,
    ...(input.aboard ? [] : ['Nobody and nothing in the vehicle.']),
    ...(input.hardware ? [] : ['No weight-distribution hitch.']),
    ...(isShareUsual
      ? [`A share of ${Math.round(usualShare * 100)} % on the hitch, as a balanced trailer has.`]
      : []),
  ];
};

/** The usual share, where no trailer says its own. */
const shareOf = ({ share }: TowInput, isFree: boolean): Given | undefined =>
  share ?? (isFree ? { amount: usualShare, how: 'assumed' } : undefined);

/** Where nobody knows how it is loaded, it is taken as heavy as it may be. */
const atGross = (given: TowInput): TowInput =>
  given.loaded || !given.gross ? given : { ...given, loaded: given.gross };

/**
 * What a loaded trailer asks of a vehicle, and what a vehicle takes: each limit, the binding one, the largest trailer in
 * closed form, for both schools. Of a trailer whose load nobody knows, at its gross rating; without a trailer, what the
 * vehicle takes at the usual share.
 */
export const tow = (given: TowInput, system: System): Outcome<TowValue> => {
  const atMost = atGross(given);
  const { loaded } = atMost;
  const hasVehicle = [given.payload, given.towRating, given.receiver].some(Boolean);
  const isLoadKnown = given.loaded !== undefined;
  const share = shareOf(given, !isLoadKnown);
  if (!share || (!loaded && !hasVehicle)) {
    const missing = [
      ...(loaded ? [] : [{ label: 'The loaded weight', field: 'specs.uvw' }]),
      ...(given.share ? [] : [{ label: 'The share on the hitch', field: 'specs.hitchWeight' }]),
    ];
    return withoutAnswer(missing, source);
  }
  const input = { ...atMost, share };
  const { payload, towRating, gcwr, receiver, curb, aboard, hardware } = input;
  const { rearRating, rearUnladen, wheelbase, overhang } = input;
  const vehicle = [payload, towRating, gcwr, receiver, curb];
  const rear = [rearRating, rearUnladen, wheelbase, overhang];
  const value = towValue(input, share.amount);
  const confidence = confidenceOf([loaded, share, ...vehicle, ...rear, aboard, hardware]);
  return {
    value,
    steps: stepsFor(input, value, system),
    assumptions: [
      ...(loaded && !isLoadKnown ? ['Taken at its gross rating, as heavy as it may be.'] : []),
      ...assumptionsFor(input, !given.share),
    ],
    source,
    confidence,
    missing: [
      ...(isLoadKnown ? [] : [{ label: 'The loaded weight of a trailer', field: 'specs.uvw' }]),
      ...unread(input),
    ],
    sentence: sentenceFor(input, value, confidence, system),
  };
};
