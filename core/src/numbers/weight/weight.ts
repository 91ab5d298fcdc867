import { inText, percent } from '../../base/words/index.ts';
import { z } from 'zod';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import {
  confidenceOf,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  ratingsProblem,
  refusedAnswer,
  hedged,
  withoutAnswer,
  type Confidence,
  type Given,
  type Missing,
  type Outcome,
  type Working,
} from '../../unit/outcome/index.ts';
import { balance, extremeFilling, hitchShare, type Extreme, type Standing } from './balance.ts';

const label = z.string().min(1).max(80);

/** What goes into the question “What may I still load?”. Pounds and inches. */
export const weightInputSchema = z
  .strictObject({
    /** UVW. */
    uvw: positiveSchema.optional(),
    /** What the label says may be loaded: with the GVWR it gives a dry weight that nobody read. */
    ccc: measureSchema.optional(),
    /** On the hitch, dry. */
    hitch: measureSchema.optional(),
    /** Coupler to the middle of the axles. */
    axle: positiveSchema.extend({ amount: z.number().min(12).max(720) }).optional(),
    gvwr: positiveSchema.optional(),
    /** Of all axles together. */
    gawr: positiveSchema.optional(),
    /** What all tires carry at the pressure they have. */
    tires: positiveSchema.optional(),
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
  })
  .superRefine((input, context) => {
    const found = ratingsProblem(input as WeightInput, 'us');
    const field = found?.field.split('.')[1];
    const path = field === 'hitchWeight' ? 'hitch' : field;
    if (found) {
      context.addIssue({ code: 'custom', message: found.sentence, path: [path ?? '', 'amount'] });
    }
  });
export type WeightInput = z.infer<typeof weightInputSchema>;

export const limitSchema = z.strictObject({
  key: z.string(),
  label: z.string(),
  used: z.number(),
  rating: z.number(),
  left: z.number(),
});

const fillingSchema = z.strictObject({ share: z.number(), full: z.array(z.string()) });

export const weightValueSchema = z.strictObject({
  total: z.number(),
  /** On hitch and axles; not where hitch weight or the axles' place is unknown. */
  hitch: z.number().optional(),
  axles: z.number().optional(),
  /** Of the hitch, 0 to 1. */
  share: z.number().optional(),
  limits: z.array(limitSchema),
  /** The limit that is reached first by what is loaded over the axles. */
  first: z.string().optional(),
  /** May still be loaded before the first of gross and axles is reached, over the axles. */
  left: z.number().optional(),
  /** The fillings of all tanks at which the hitch is lightest and heaviest. */
  lightest: fillingSchema.optional(),
  heaviest: fillingSchema.optional(),
  /** How sure those two are: they lean on every tank's size and place, also on those that are empty now. */
  fillings: z.enum(['stated', 'told', 'about']).optional(),
});
export type WeightValue = z.infer<typeof weightValueSchema>;
export const weightOutcomeSchema = outcomeSchema(weightValueSchema);

/** Of the loaded weight on the hitch of a bumper pull; common practice. */
export const shareWanted = { from: 0.1, to: 0.15 } as const;

const source =
  'Moments about the axles (statics); hitch 10–15% of the loaded weight for a bumper pull: common practice; ratings are the maker’s';

const assumptionsOf = (input: WeightInput, isBalanced: boolean): readonly string[] => [
  ...(input.uvw ? [] : ['UVW isn’t recorded, so we used GVWR minus CCC.']),
  ...(isBalanced
    ? [
        'Left-right balance isn’t checked.',
        'The axles share the load equally: that holds with an equalizer; torsion axles only when the trailer’s level.',
        'A tank’s water is figured at the middle of the tank.',
      ]
    : []),
];

/** The dry weight, or what follows for it from GVWR and capacity. */
const dryOf = ({ uvw, gvwr, ccc }: WeightInput): Given | undefined => {
  if (uvw || !gvwr || !ccc) return uvw;
  return { amount: gvwr.amount - ccc.amount, how: 'assumed' };
};

const wantedForBalance = ({ hitch, axle }: WeightInput): readonly Missing[] => [
  ...(hitch ? [] : [{ label: 'Hitch weight', field: 'specs.hitchWeight' }]),
  ...(axle ? [] : [{ label: 'Where the axles are', field: 'places.axleRating' }]),
];

const wantedForRoom = ({ gvwr, gawr }: WeightInput): readonly Missing[] => [
  ...(gvwr ? [] : [{ label: 'GVWR', field: 'specs.gvwr' }]),
  ...(gawr ? [] : [{ label: 'GAWR', field: 'specs.axleRating' }]),
];

export type WeightLimit = z.infer<typeof limitSchema>;

/** A rating and what is left of it; nothing where the rating, or what is used of it, is not known. */
export const limitOf = (
  key: string,
  name: string,
  used: number | undefined,
  rating: Given | undefined,
): readonly WeightLimit[] =>
  rating && used !== undefined
    ? [{ key, label: name, used, rating: rating.amount, left: rating.amount - used }]
    : [];

interface Weighed {
  readonly total: number;
  readonly standing: Standing | undefined;
}

const limitsOf = (input: WeightInput, { total, standing }: Weighed): WeightLimit[] => [
  ...limitOf('gross', 'GVWR', total, input.gvwr),
  ...limitOf('axles', 'Axles', standing?.axles, input.gawr),
  ...limitOf('tires', 'Tires', standing?.axles, input.tires),
  ...limitOf('coupler', 'Coupler', total, input.coupler),
  ...limitOf('hitch', 'Hitch, 15%', standing?.hitch, {
    amount: total * shareWanted.to,
    how: 'tried',
  }),
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

const located = (items: WeightInput['items']) =>
  items.map(({ weight, back }) => ({ weight: weight.amount, back: back.amount }));

const namedIn =
  (tanks: WeightInput['items']) =>
  ({ share, full }: Extreme): { share: number; full: string[] } => ({
    share,
    full: full.map((i) => tanks[i]?.label ?? ''),
  });

/** An empty trailer whose hitch and axles are known. */
interface Balanced {
  readonly total: number;
  readonly hitch: number;
  readonly axle: number;
}

/** The lightest and the heaviest hitch over all fillings of the tanks; other things stay as they are. */
const fillings = (input: WeightInput, empty: Balanced) => {
  const tanks = input.items.filter(({ full }) => full !== undefined);
  const rest = input.items.filter(({ full }) => full === undefined);
  const base = balance(empty, empty.axle, located(rest));
  const whole = tanks.map(({ full = 0, back }) => ({ weight: full, back: back.amount }));
  const named = namedIn(tanks);
  return {
    lightest: named(extremeFilling(base, empty.axle, whole, 'least')),
    heaviest: named(extremeFilling(base, empty.axle, whole, 'most')),
    fillings: confidenceOf([
      dryOf(input),
      input.hitch,
      input.axle,
      ...input.items.flatMap(({ weight, back }) => [weight, back]),
    ]),
  };
};

const hitchSteps = (
  { axle, hitch, items }: WeightInput,
  value: WeightValue,
  dry: Given,
  system: System,
): readonly Working[] => {
  if (!axle || !hitch || value.hitch === undefined || value.share === undefined) return [];
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const at = (inches: number): string => formatQuantity(inches, 'feet', system);
  const onIt = items.filter(({ weight }) => weight.amount > 0);
  const all = [dry, hitch, axle, ...onIt.flatMap(({ weight, back }) => [weight, back])];
  return [
    ...onIt.map(({ label: name, weight, back }) => ({
      what: `${name} on the hitch`,
      arithmetic: `${show(weight.amount)} × (1 − ${at(back.amount)} ÷ ${at(axle.amount)}) = ${hedged(show(weight.amount * (1 - back.amount / axle.amount)), confidenceOf([weight, back, axle]))}`,
    })),
    {
      what: 'Hitch weight',
      arithmetic: `${hedged(show(hitch.amount), confidenceOf([hitch]))} dry, and these = ${hedged(show(value.hitch), confidenceOf(all))}, ${percent(value.share)} of ${show(value.total)}`,
    },
    {
      what: 'Axle weight',
      arithmetic: `${show(value.total)} − ${show(value.hitch)} = ${hedged(show(value.axles ?? 0), confidenceOf(all))}`,
    },
  ];
};

const stepsFor = (
  input: WeightInput,
  value: WeightValue,
  dry: Given,
  confidence: Confidence,
  system: System,
): readonly Working[] => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const onIt = input.items.filter(({ weight }) => weight.amount > 0);
  const marked = (given: Given): string => hedged(show(given.amount), confidenceOf([given]));
  const inTotal = confidenceOf([dry, ...onIt.map(({ weight }) => weight)]);
  return [
    ...(input.uvw
      ? []
      : [
          {
            what: 'UVW, from GVWR and CCC',
            arithmetic: `${show(input.gvwr?.amount ?? 0)} − ${show(input.ccc?.amount ?? 0)} = ${marked(dry)}`,
          },
        ]),
    {
      what: 'Total',
      arithmetic: `${[marked(dry), ...onIt.map(({ label: name, weight }) => `${inText(name)} ${marked(weight)}`)].join(' + ')} = ${hedged(show(value.total), inTotal)}`,
    },
    ...hitchSteps(input, value, dry, system),
    ...value.limits.map(({ label: name, rating, used, left }) => ({
      what: name,
      arithmetic: `${show(rating)} − ${show(used)} = ${hedged(show(left), confidence)}${left < 0 ? ': too much' : ''}`,
    })),
  ];
};

export const hitchWords = (share: number): string => {
  if (share < shareWanted.from) return 'on the light side: below 10% a trailer can sway';
  return share > shareWanted.to
    ? 'heavy for the hitch: aim for 10 to 15%'
    : 'within the usual 10 to 15%';
};

const roomWords = (value: WeightValue, about: Confidence, system: System): string => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const { left, first, limits } = value;
  const limit = limits.find(({ key }) => key === first);
  if (left === undefined || !limit)
    return 'Read a rating first; then we can say how much more it can take.';
  const name = inText(limit.label);
  return left < 0
    ? `It’s ${hedged(show(-left), about)} over the ${name}.`
    : `There’s room for ${hedged(show(left), about)} more; the limit is the ${name}.`;
};

const sentenceFor = (
  input: WeightInput,
  value: WeightValue,
  about: { readonly room: Confidence; readonly share: Confidence },
  system: System,
): string => {
  const room = roomWords(value, about.room, system);
  if (value.share === undefined) {
    const names = wantedForBalance(input).map(({ label: name }) => inText(name));
    return `${room} To figure the hitch weight we still need: ${names.join(' and ')}.`;
  }
  const share = hedged(percent(value.share), about.share);
  return `${room} Hitch weight is ${share}, ${hitchWords(value.share)}.`;
};

/** The figures of `weigh` alone, without a word: for going through a whole yard. Pounds. */
export const weightValue = (input: WeightInput): WeightValue | undefined => {
  const dry = dryOf(input);
  if (!dry || ratingsProblem(input, 'us')) return undefined;
  const [hitch, axle] = [input.hitch?.amount, input.axle?.amount];
  const empty =
    hitch === undefined || axle === undefined ? undefined : { total: dry.amount, hitch, axle };
  const standing = empty && balance(empty, empty.axle, located(input.items));
  const total = input.items.reduce((sum, { weight }) => sum + weight.amount, dry.amount);
  const limits = limitsOf(input, { total, standing });
  const first = tightest(ofTheWhole(limits));
  return {
    total,
    ...(standing ? { ...standing, share: hitchShare(standing) } : {}),
    limits,
    ...(first ? { first: first.key, left: first.left } : {}),
    ...(empty ? fillings(input, empty) : {}),
  };
};

/** What the room that is left rests on, and what the share on the hitch does. */
const restsOn = (input: WeightInput, value: WeightValue, dry: Given) => {
  const onIt = input.items.filter(({ weight }) => weight.amount > 0);
  const weights = [dry, ...onIt.map(({ weight }) => weight)];
  const places = [input.hitch, input.axle, ...onIt.map(({ back }) => back)];
  const limits = onIt.flatMap(({ limit }) => limit ?? []);
  const ratings = [input.gvwr, input.gawr, input.tires, input.coupler, ...limits];
  const room = value.share === undefined ? weights : [...weights, ...places];
  return {
    room: confidenceOf([...room, ...ratings]),
    share: confidenceOf([...weights, ...places]),
  };
};

/**
 * What a trailer weighs as it is loaded, what lies on its hitch and axles, and what may still be loaded. The room below
 * the GVWR needs no place; what lies on hitch and axles does.
 * @returns without a value where no dry weight is known or follows, or the figures contradict one another
 */
export const weigh = (input: WeightInput, system: System): Outcome<WeightValue> => {
  const problem = ratingsProblem(input, system);
  if (problem) return refusedAnswer(problem, source);
  const [dry, value] = [dryOf(input), weightValue(input)];
  const wanted = [{ label: 'UVW', field: 'specs.uvw' }, ...wantedForBalance(input)];
  if (!dry || !value) return withoutAnswer(wanted, source);
  const about = restsOn(input, value, dry);
  const confidence = about.room;
  return {
    value,
    steps: stepsFor(input, value, dry, confidence, system),
    assumptions: assumptionsOf(input, value.share !== undefined),
    source,
    confidence,
    missing: [
      ...(input.uvw ? [] : [{ label: 'UVW', field: 'specs.uvw' }]),
      ...wantedForBalance(input),
      ...wantedForRoom(input),
    ],
    sentence: sentenceFor(input, value, about, system),
  };
};
