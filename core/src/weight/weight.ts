import { z } from 'zod';
import { formatQuantity, type System } from '../quantity/index.ts';
import {
  confidenceOf,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  said,
  withoutAnswer,
  type Missing,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { balance, extremeFilling, hitchShare, type Standing } from './balance.ts';

const label = z.string().min(1).max(80);

/** What goes into the question “What may I still load?”. Pounds and inches. */
export const weightInputSchema = z.strictObject({
  /** As built. */
  uvw: positiveSchema.optional(),
  /** On the hitch, as built. */
  hitch: measureSchema.optional(),
  /** Coupler to the middle of the axles. */
  axle: positiveSchema.extend({ amount: z.number().min(12).max(720) }).optional(),
  gvwr: positiveSchema.optional(),
  /** Of all axles together. */
  gawr: positiveSchema.optional(),
  /** What all tyres carry at the pressure they have. */
  tyres: positiveSchema.optional(),
  coupler: positiveSchema.optional(),
  items: z
    .array(
      z.strictObject({
        key: z.string().min(1).max(60),
        label,
        weight: measureSchema,
        back: measureSchema,
        /** A tank: its weight when full, to be swept. */
        full: z.number().min(0).max(20_000).optional(),
        /** What the place it lies at may carry: a rack, a ramp or a floor. */
        limit: positiveSchema.optional(),
      }),
    )
    .max(60),
});
export type WeightInput = z.infer<typeof weightInputSchema>;

const limitSchema = z.strictObject({
  key: z.string(),
  label: z.string(),
  used: z.number(),
  rating: z.number(),
  left: z.number(),
});

export const weightValueSchema = z.strictObject({
  total: z.number(),
  hitch: z.number(),
  axles: z.number(),
  /** Of the hitch, 0 to 1. */
  share: z.number(),
  limits: z.array(limitSchema),
  /** The limit that is reached first by what is loaded over the axles. */
  first: z.string().optional(),
  /** May still be loaded before the first of gross and axles is reached, over the axles. */
  left: z.number().optional(),
  /** The fillings of all tanks at which the hitch is lightest and heaviest. */
  lightest: z.strictObject({ share: z.number(), full: z.array(z.string()) }),
  heaviest: z.strictObject({ share: z.number(), full: z.array(z.string()) }),
});
export type WeightValue = z.infer<typeof weightValueSchema>;
export const weightOutcomeSchema = outcomeSchema(weightValueSchema);

/** Of the loaded weight on the hitch of a bumper pull; common practice. */
export const shareWanted = { from: 0.1, to: 0.15 } as const;

const source =
  'Moments about the axles (statics); hitch 10–15 % of the loaded weight for a bumper pull: common practice; ratings are the maker’s';

const assumptions: readonly string[] = [
  'Left and right are not balanced against one another.',
  'The axles of a group share equally: with an equaliser; torsion axles only when the trailer stands level.',
  'A tank’s water lies at the middle of the tank.',
];

const wanted = ({ uvw, hitch, axle }: WeightInput): readonly Missing[] => [
  ...(uvw ? [] : [{ label: 'Weight as built', field: 'specs.uvw' }]),
  ...(hitch ? [] : [{ label: 'Hitch weight', field: 'specs.hitchWeight' }]),
  ...(axle ? [] : [{ label: 'Where the axles are', field: 'places.axleRating' }]),
];

type Limit = z.infer<typeof limitSchema>;

const limitsOf = (input: WeightInput, { total, axles, hitch }: Standing): readonly Limit[] =>
  [
    { key: 'gross', label: 'Gross rating', used: total, rating: input.gvwr?.amount },
    { key: 'axles', label: 'Axles', used: axles, rating: input.gawr?.amount },
    { key: 'tyres', label: 'Tyres', used: axles, rating: input.tyres?.amount },
    { key: 'coupler', label: 'Coupler', used: total, rating: input.coupler?.amount },
    { key: 'hitch', label: 'Hitch, 15 %', used: hitch, rating: total * shareWanted.to },
    ...input.items
      .filter(({ weight }) => weight.amount > 0)
      .map(({ key, label, weight, limit }) => ({
        key: `item-${key}`,
        label,
        used: weight.amount,
        rating: limit?.amount,
      })),
  ].flatMap(({ rating, ...limit }) =>
    rating === undefined ? [] : [{ ...limit, rating, left: rating - limit.used }],
  );

/** Those that more load anywhere comes nearer to; the hitch's share and a single place are not. */
const ofTheWhole = (limits: readonly Limit[]): readonly Limit[] =>
  limits.filter(({ key }) => key !== 'hitch' && !key.startsWith('item-'));

const tightest = (limits: readonly Limit[]): Limit | undefined =>
  ofTheWhole(limits).toSorted((a, b) => a.left - b.left)[0];

const asBuilt = (input: WeightInput): Pick<Standing, 'total' | 'hitch'> => ({
  total: input.uvw?.amount ?? 0,
  hitch: input.hitch?.amount ?? 0,
});

const located = (items: WeightInput['items']) =>
  items.map(({ weight, back }) => ({ weight: weight.amount, back: back.amount }));

/** The lightest and the heaviest hitch over all fillings of the tanks; other things stay as they are. */
const fillings = (input: WeightInput, axle: number) => {
  const tanks = input.items.filter(({ full }) => full !== undefined);
  const rest = input.items.filter(({ full }) => full === undefined);
  const base = balance(asBuilt(input), axle, located(rest));
  const whole = tanks.map(({ full = 0, back }) => ({ weight: full, back: back.amount }));
  const named = (which: 'least' | 'most') => {
    const { share, full } = extremeFilling(base, axle, whole, which);
    return { share, full: full.flatMap((i) => tanks[i]?.label ?? []) };
  };
  return { lightest: named('least'), heaviest: named('most') };
};

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;

const stepsFor = (input: WeightInput, value: WeightValue, system: System): readonly Working[] => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const at = (inches: number): string => formatQuantity(inches, 'feet', system);
  const axle = input.axle?.amount ?? 1;
  const onIt = input.items.filter(({ weight }) => weight.amount > 0);
  return [
    {
      what: 'All of it',
      arithmetic: `${[show(asBuilt(input).total), ...onIt.map(({ label: name, weight }) => `${name.toLowerCase()} ${show(weight.amount)}`)].join(' + ')} = ${show(value.total)}`,
    },
    ...onIt.map(({ label: name, weight, back }) => ({
      what: `${name} on the hitch`,
      arithmetic: `${show(weight.amount)} × (1 − ${at(back.amount)} ÷ ${at(axle)}) = ${show(weight.amount * (1 - back.amount / axle))}`,
    })),
    {
      what: 'On the hitch',
      arithmetic: `${show(asBuilt(input).hitch)} as built, and these = ${show(value.hitch)}, ${percent(value.share)} of ${show(value.total)}`,
    },
    {
      what: 'On the axles',
      arithmetic: `${show(value.total)} − ${show(value.hitch)} = ${show(value.axles)}`,
    },
    ...value.limits.map(({ label: name, rating, used, left }) => ({
      what: name,
      arithmetic: `${show(rating)} − ${show(used)} = ${show(left)}${left < 0 ? ': too much' : ''}`,
    })),
  ];
};

export const hitchWords = (share: number): string => {
  if (share < shareWanted.from) return 'that is light: under ten per cent it may sway';
  return share > shareWanted.to
    ? 'that is heavy for the hitch'
    : 'between ten and fifteen is wanted';
};

const sentenceFor = (
  value: WeightValue,
  about: ReturnType<typeof confidenceOf>,
  system: System,
) => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const { left, first, limits, share } = value;
  const limit = limits.find(({ key }) => key === first);
  const room =
    left === undefined || !limit
      ? 'How much may still be loaded nobody can say before a rating is read.'
      : left < 0
        ? `It is ${said(show(-left), about)} too heavy: the ${limit.label.toLowerCase()} is passed.`
        : `There is room for ${said(show(left), about)} more; the ${limit.label.toLowerCase()} is reached first.`;
  return `${room} ${said(percent(share), about)} lies on the hitch; ${hitchWords(share)}.`;
};

/**
 * What a trailer weighs as it is loaded, what lies on its hitch and axles, and what may still be loaded.
 * @returns without a value where weight as built, hitch weight or the axles' place is not known
 */
export const weigh = (input: WeightInput, system: System): Outcome<WeightValue> => {
  const missing = wanted(input);
  const axle = input.axle?.amount;
  if (missing.length > 0 || axle === undefined) return withoutAnswer(missing, source);
  const standing = balance(asBuilt(input), axle, located(input.items));
  const limits = limitsOf(input, standing);
  const first = tightest(limits);
  const loading = ofTheWhole(limits);
  const value: WeightValue = {
    ...standing,
    share: hitchShare(standing),
    limits: [...limits],
    ...(first ? { first: first.key } : {}),
    ...(loading.length > 0 ? { left: Math.min(...loading.map(({ left }) => left)) } : {}),
    ...fillings(input, axle),
  };
  const { uvw, hitch, gvwr, gawr, tyres } = input;
  const confidence = confidenceOf([
    uvw,
    hitch,
    input.axle,
    gvwr,
    gawr,
    tyres,
    ...input.items.flatMap(({ weight, back }) => (weight.amount > 0 ? [weight, back] : [])),
  ]);
  return {
    value,
    steps: stepsFor(input, value, system),
    assumptions,
    source,
    confidence,
    missing: [
      ...(gvwr ? [] : [{ label: 'Gross rating', field: 'specs.gvwr' }]),
      ...(gawr ? [] : [{ label: 'Axle ratings', field: 'specs.axleRating' }]),
    ],
    sentence: sentenceFor(value, confidence, system),
  };
};
