import { z } from 'zod';
import { formatQuantity, type System } from '../quantity/index.ts';
import {
  confidenceOf,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  said,
  withoutAnswer,
  type Given,
  type Missing,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { balance, extremeFilling, hitchShare, type Extreme, type Standing } from './balance.ts';

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

export const limitSchema = z.strictObject({
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

export type WeightLimit = z.infer<typeof limitSchema>;

/** A rating and what is left of it; nothing where the rating is not known. */
export const limitOf = (
  key: string,
  name: string,
  used: number,
  rating: Given | undefined,
): readonly WeightLimit[] =>
  rating ? [{ key, label: name, used, rating: rating.amount, left: rating.amount - used }] : [];

const limitsOf = (input: WeightInput, { total, axles, hitch }: Standing): WeightLimit[] => [
  ...limitOf('gross', 'Gross rating', total, input.gvwr),
  ...limitOf('axles', 'Axles', axles, input.gawr),
  ...limitOf('tyres', 'Tyres', axles, input.tyres),
  ...limitOf('coupler', 'Coupler', total, input.coupler),
  ...limitOf('hitch', 'Hitch, 15 %', hitch, { amount: total * shareWanted.to, how: 'read' }),
  ...input.items.flatMap(({ key, label: name, weight, limit: most }) =>
    most && weight.amount > 0 ? limitOf(`item-${key}`, name, weight.amount, most) : [],
  ),
];

/** Those that more load anywhere comes nearer to; the hitch's share and a single place are not. */
const ofTheWhole = (limits: readonly WeightLimit[]): readonly WeightLimit[] =>
  limits.filter(({ key }) => key !== 'hitch' && !key.startsWith('item-'));

/** The one with least left; the first where two have as little. */
const tightest = (limits: readonly WeightLimit[]): WeightLimit | undefined =>
  limits.reduce<WeightLimit | undefined>(
    (least, one) => (least && least.left <= one.left ? least : one),
    undefined,
  );

const asBuilt = (input: WeightInput): Pick<Standing, 'total' | 'hitch'> => ({
  total: input.uvw?.amount ?? 0,
  hitch: input.hitch?.amount ?? 0,
});

const located = (items: WeightInput['items']) =>
  items.map(({ weight, back }) => ({ weight: weight.amount, back: back.amount }));

const namedIn =
  (tanks: WeightInput['items']) =>
  ({ share, full }: Extreme): { share: number; full: string[] } => ({
    share,
    full: full.map((i) => tanks[i]?.label ?? ''),
  });

/** The lightest and the heaviest hitch over all fillings of the tanks; other things stay as they are. */
const fillings = (input: WeightInput, axle: number) => {
  const tanks = input.items.filter(({ full }) => full !== undefined);
  const rest = input.items.filter(({ full }) => full === undefined);
  const base = balance(asBuilt(input), axle, located(rest));
  const whole = tanks.map(({ full = 0, back }) => ({ weight: full, back: back.amount }));
  const named = namedIn(tanks);
  return {
    lightest: named(extremeFilling(base, axle, whole, 'least')),
    heaviest: named(extremeFilling(base, axle, whole, 'most')),
  };
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

/** The figures of `weigh` alone, without a word: for going through a whole yard. Pounds. */
export const weightValue = (input: WeightInput): WeightValue | undefined => {
  const axle = input.axle?.amount;
  if (!input.uvw || !input.hitch || axle === undefined) return undefined;
  const standing = balance(asBuilt(input), axle, located(input.items));
  const limits = limitsOf(input, standing);
  const first = tightest(ofTheWhole(limits));
  return {
    ...standing,
    share: hitchShare(standing),
    limits,
    ...(first ? { first: first.key, left: first.left } : {}),
    ...fillings(input, axle),
  };
};

/**
 * What a trailer weighs as it is loaded, what lies on its hitch and axles, and what may still be loaded.
 * @returns without a value where weight as built, hitch weight or the axles' place is not known
 */
export const weigh = (input: WeightInput, system: System): Outcome<WeightValue> => {
  const value = weightValue(input);
  if (!value) return withoutAnswer(wanted(input), source);
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
