import { inText, percent } from '../../base/words/index.ts';
import { z } from 'zod';
import {
  confidenceOf,
  outcomeSchema,
  refusedAnswer,
  hedged,
  withoutAnswer,
  type Confidence,
  type Given,
  type Missing,
  type Outcome,
  type Working,
} from '../../unit/outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { shareWanted } from '../weight/index.ts';
import { receiverOf, towProblem, type TowInput } from './input.ts';
import { largestBy, limitPlaces, linesOf, uncheckedOf, type Line } from './limits.ts';

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
  /** What the trailer asks of a vehicle, as it is loaded and at its GVWR. */
  least: leastSchema.optional(),
  leastAtGross: leastSchema.optional(),
  /** Whether the trailer is taken as somebody loaded it, or at its GVWR. */
  taken: z.enum(['loaded', 'gross']).optional(),
  /** The same as part of a sentence. */
  as: z.string().optional(),
  /** Limits that could not be held against anything, by name: without them nothing fits. */
  unchecked: z.array(z.string()),
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
  'Sums of weights and moments against the vehicle’s own ratings, the lowest decides; a margin of a fifth or none: schools differ, common practice';

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
  const isWithin = lines.every(
    ({ rating, fixed, slope }) => fixed + slope * loaded <= rating * (1 - reserve),
  );
  // What was not checked is not passed; what is passed is passed, whatever was not checked.
  if (isWithin && uncheckedOf(input).length > 0) return { ...known, least };
  return { ...known, fits: isWithin, least };
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
export const towValue = (given: TowInput, share: number): TowValue => {
  const input = atGross(given);
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
    unchecked: uncheckedOf(input).map(({ name }) => name),
    ...(loaded === undefined
      ? {}
      : {
          hitch: loaded * share,
          taken: given.loaded ? ('loaded' as const) : ('gross' as const),
          as: given.loaded ? given.as : 'at its GVWR',
        }),
    ...(gross ? { leastAtGross: leastFor(input, gross.amount, share, reserve) } : {}),
    schools: [full, kept],
  };
};

/** Where nobody knows how it is loaded, it is taken as heavy as it may be. */
const atGross = (given: TowInput): TowInput =>
  given.loaded || !given.gross ? given : { ...given, loaded: given.gross };

/** What a limit is called within a sentence. */
const limitNames: Readonly<Record<string, string>> = {
  payload: 'payload',
  tow: 'tow rating',
  combined: 'GCWR',
  receiver: 'receiver rating',
  rear: 'rear axle rating',
};

type Show = (pounds: number) => string;

/** What a limit rests on. */
const inputsOf = (key: string, input: TowInput): readonly (Given | undefined)[] => {
  const { loaded, share, aboard, hardware } = input;
  const trailer = [loaded, share];
  const carried = [aboard, hardware];
  const rear = [input.rearRating, input.rearUnladen, input.wheelbase, input.overhang];
  const rows: Readonly<Record<string, readonly (Given | undefined)[]>> = {
    payload: [input.payload, ...trailer, ...carried],
    tow: [input.towRating, loaded],
    combined: [input.gcwr, input.curb, loaded, ...carried],
    receiver: [receiverOf(input), ...trailer],
    rear: [...rear, ...trailer, ...carried],
  };
  return rows[key] ?? [];
};

const asks = (least: Least, show: Show): string =>
  `payload ${show(least.payload)}, tow rating ${show(least.towRating)}, receiver ${show(least.receiver)}`;

/** What a limit is held against besides the trailer: nothing, or people, gear and the hitch itself. */
const fixedWords = (line: Line, input: TowInput, show: Show): string => {
  const { aboard, hardware, curb } = input;
  const names = [
    line.key === 'combined' && curb && `empty vehicle ${show(curb.amount)}`,
    aboard && aboard.amount > 0 && `people and gear ${show(aboard.amount)}`,
    hardware && hardware.amount > 0 && `hitch hardware ${show(hardware.amount)}`,
  ].filter(Boolean);
  const isSummed = line.key === 'payload' || line.key === 'combined';
  return isSummed && names.length > 0 ? ` (${names.join(' + ')})` : '';
};

/** The figure that a sum is divided by, with as many places as it takes for the sum to come out as it is shown. */
const divisorText = (sum: number, slope: number): string => {
  const places = [0, 1, 2, 3, 4, 5].find(
    (n) => Math.abs(sum / Number(slope.toFixed(n)) - sum / slope) < 0.5,
  );
  return slope.toFixed(places ?? 6);
};

const limitSteps = (input: TowInput, value: TowValue, show: Show): readonly Working[] => {
  const keeps = input.reserve > 0 ? `, ${percent(input.reserve, 0)} kept to spare` : '';
  return value.limits.map(({ key, label, rating, used, left }) => ({
    what: `${label}${keeps}`,
    arithmetic: `${show(rating)} − ${show(used)} = ${hedged(show(left), confidenceOf(inputsOf(key, input)))}${left < 0 ? ': too much' : ''}`,
  }));
};

const largestSteps = (input: TowInput, share: number, show: Show): readonly Working[] =>
  linesOf(input, share).map((line) => ({
    what: `Largest trailer by ${inText(line.label)}`,
    arithmetic: `(${show(line.rating * (1 - input.reserve))} − ${show(line.fixed)}${fixedWords(line, input, show)}) ÷ ${divisorText(line.rating * (1 - input.reserve) - line.fixed, line.slope)} = ${hedged(show(largestBy(line, input.reserve)), confidenceOf(inputsOf(line.key, { ...input, loaded: undefined })))}`,
  }));

const stepsFor = (input: TowInput, value: TowValue, system: System): readonly Working[] => {
  const show: Show = (pounds) => formatQuantity(pounds, 'weight', system);
  const { hitch, share, least, leastAtGross } = value;
  const loaded = input.loaded?.amount;
  return [
    ...(loaded === undefined || hitch === undefined
      ? []
      : [
          {
            what: 'Hitch weight',
            arithmetic: `${show(loaded)} × ${percent(share)} = ${hedged(show(hitch), confidenceOf([input.loaded, input.share]))}`,
          },
        ]),
    ...limitSteps(input, value, show),
    ...largestSteps(input, share, show),
    ...(least
      ? [{ what: `What the vehicle needs, ${value.as ?? ''}`, arithmetic: asks(least, show) }]
      : []),
    ...(leastAtGross && value.taken === 'loaded'
      ? [{ what: 'What the vehicle needs, at its GVWR', arithmetic: asks(leastAtGross, show) }]
      : []),
  ];
};

/** People and gear that alone are more than the vehicle may carry. */
const peopleWords = ({ payload, aboard, hardware }: TowInput, show: Show): string => {
  const carried = (aboard?.amount ?? 0) + (hardware?.amount ?? 0);
  if (!payload || carried <= payload.amount) return '';
  return `Its payload is ${show(payload.amount)}, but the people, gear and hitch in it already weigh ${show(carried)}.`;
};

/** How the hitch stands, where it is not within what a bumper pull wants. */
const shareWords = ({ share }: TowValue, about: Confidence): string => {
  const text = hedged(`${percent(share)}`, about);
  if (share < shareWanted.from)
    return `That’s ${text}, on the light side: below 10% a trailer can sway.`;
  return share > shareWanted.to ? `That’s ${text}, heavy for the hitch: aim for 10 to 15%.` : '';
};

/** A limit that is passed: the rating itself, or what this school keeps of it. */
const passedWords = (input: TowInput, value: TowValue, about: Confidence, show: Show): string => {
  const over = value.limits.filter(({ left }) => left < 0);
  const [worst] = over.toSorted((a, b) => a.left - b.left);
  const limit = over.find(({ key }) => key === value.binding) ?? worst;
  if (!limit) return '';
  const name = limitNames[limit.key] ?? limit.label;
  const full = limit.rating / (1 - input.reserve);
  const beyond = limit.used - full;
  const largest =
    value.largest === undefined
      ? ''
      : ` The most it can tow is ${hedged(show(value.largest), about)}, loaded.`;
  const by =
    beyond > 0
      ? `it’s ${hedged(show(beyond), about)} over its ${name}`
      : `its ${name} holds, but it’s ${hedged(show(-limit.left), about)} into the ${percent(input.reserve, 0)} margin`;
  return `It’s too much for this vehicle: ${by}.${largest}`;
};

const verdictOf = (input: TowInput, value: TowValue, show: Show): string => {
  const about = confidenceOf(value.limits.flatMap(({ key }) => inputsOf(key, input)));
  const passed = passedWords(input, value, about, show);
  if (passed) return passed;
  const unchecked = value.unchecked.map((name) => (/^[A-Z]{2}/.test(name) ? name : inText(name)));
  const missing = `Not checked: ${unchecked.join(', ')}.`;
  if (value.limits.length === 0) return missing;
  if (unchecked.length > 0) return `What we could check holds. ${missing}`;
  const first = limitNames[value.binding ?? ''] ?? '';
  const guess =
    about === 'about' ? 'Going by figures that are partly typical or estimated, this' : 'This';
  const kept = input.reserve > 0 ? `, with ${percent(input.reserve, 0)} to spare` : '';
  return `${guess} vehicle can tow it${kept}; the limit is its ${first}, at ${hedged(show(value.largest ?? 0), about)}.`;
};

const trailerWords = (input: TowInput, value: TowValue, show: Show): string => {
  const weight = confidenceOf([input.loaded]);
  const about = confidenceOf([input.loaded, input.share]);
  const begins = (value.as ?? '').replace(/^./, (first) => first.toUpperCase());
  return `${begins}, it weighs ${hedged(show(input.loaded?.amount ?? 0), weight)} and puts ${hedged(show(value.hitch ?? 0), about)} on the hitch.`;
};

const sentenceFor = (
  input: TowInput,
  value: TowValue,
  confidence: Confidence,
  system: System,
): string => {
  const show: Show = (pounds) => formatQuantity(pounds, 'weight', system);
  const people = peopleWords(input, show);
  const unchecked =
    value.unchecked.length > 0 ? ` Not checked: ${value.unchecked.join(', ')}.` : '';
  if (value.hitch === undefined || !input.loaded) {
    const heaviest = hedged(show(value.largest ?? 0), confidence);
    return [
      people,
      `This vehicle can tow a trailer of up to ${heaviest}, loaded; go by GVWR, not by dry weight.${unchecked}`,
    ]
      .filter(Boolean)
      .join(' ');
  }
  const asksFor =
    value.limits.length === 0 && value.least
      ? `It needs ${hedged(show(value.least.payload), confidenceOf([input.loaded, input.share, input.aboard, input.hardware]))} of payload with you in it: read it off the driver’s door.`
      : '';
  return [
    trailerWords(input, value, show),
    shareWords(value, confidenceOf([input.loaded, input.share])),
    people,
    asksFor || verdictOf(input, value, show),
  ]
    .filter(Boolean)
    .join(' ');
};

const unread = (input: TowInput): readonly Missing[] =>
  uncheckedOf(input).map(({ name, where }) => ({ label: `${name}, ${where}` }));

const assumptionsFor = (input: TowInput, isShareUsual: boolean): readonly string[] => {
  const rear =
    input.rearRating && input.rearUnladen && input.wheelbase && input.overhang
      ? 'Half of the people and gear rides on the rear axle; what a weight-distributing hitch takes off isn’t counted.'
      : 'The vehicle’s rear axle wasn’t checked: its rating is on the door label.';
  const isPlain = input.distributing && !input.receiverDistributing && input.receiver;
  return [
    rear,
    ...(isPlain
      ? ['The receiver’s weight-distributing rating isn’t known, so we used its plain-ball rating.']
      : []),
    ...(input.aboard ? [] : ['The vehicle is empty: no people, no gear.']),
    ...(input.hardware ? [] : ['No weight-distribution hitch.']),
    ...(isShareUsual
      ? [`${percent(usualShare, 0)} of the weight is on the hitch, as on a well-loaded trailer.`]
      : []),
  ];
};

/** The usual share, where no trailer says its own. */
const shareOf = ({ share }: TowInput, isFree: boolean): Given | undefined =>
  share ?? (isFree ? { amount: usualShare, how: 'assumed' } : undefined);

/** All that the figures hang on. */
const restsOn = (input: TowInput): readonly (Given | undefined)[] => {
  const { loaded, share, gross, payload, towRating, gcwr, curb, aboard, hardware } = input;
  const { rearRating, rearUnladen, wheelbase, overhang } = input;
  const vehicle = [payload, towRating, gcwr, receiverOf(input), curb];
  return [
    loaded,
    share,
    gross,
    ...vehicle,
    rearRating,
    rearUnladen,
    wheelbase,
    overhang,
    aboard,
    hardware,
  ];
};

/**
 * What a loaded trailer asks of a vehicle, and what a vehicle takes: each limit, the binding one, the largest trailer in
 * closed form, for both schools. Of a trailer whose load nobody knows, at its GVWR; without a trailer, what the
 * vehicle takes at the usual share. Nothing fits before every limit was checked.
 */
export const tow = (given: TowInput, system: System): Outcome<TowValue> => {
  const problem = towProblem(given, system);
  if (problem) return refusedAnswer(problem, source);
  const atMost = atGross(given);
  const { loaded } = atMost;
  const hasVehicle = [given.payload, given.towRating, receiverOf(given)].some(Boolean);
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
  const value = towValue({ ...given, share }, share.amount);
  const confidence = confidenceOf(restsOn(input));
  return {
    value,
    steps: stepsFor(input, value, system),
    assumptions: [
      ...(loaded && !isLoadKnown ? ['Figured at its GVWR, the most it may weigh.'] : []),
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
