import { z } from 'zod';
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
  type Impossible,
  type Missing,
  type Outcome,
  type Working,
} from '../outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import {
  batteryPounds,
  explainDifference,
  explanationWords,
  labelLine,
  labelRounding,
  possibleExplanations,
} from './explain.ts';

/** What goes into the question “Does the label add up?”. Pounds; water in US gallons. */
export const cargoLabelInputSchema = z
  .strictObject({
    gvwr: positiveSchema.optional(),
    /** UVW. */
    uvw: positiveSchema.optional(),
    /** The carrying capacity that the label states. */
    ccc: measureSchema.optional(),
    /** Full cylinders together. */
    propane: measureSchema.optional(),
    /** Whether there is a battery; left out where nobody has looked. */
    battery: z.boolean().optional(),
    /** What the UVW counts already, by its small print. */
    counts: z.enum(['neither', 'propane', 'battery', 'both']).optional(),
    /** Fresh tank and water heater together. */
    water: measureSchema.optional(),
    /** All that was fitted before the first sale, added up. */
    fitted: measureSchema.optional(),
    /** Of a used unit nobody corrects the label. */
    used: z.boolean().default(false),
  })
  .superRefine((input, context) => {
    const found = cargoLabelProblem(input as CargoLabelInput, 'us');
    const field = found?.field.split('.')[1] ?? '';
    if (found)
      context.addIssue({ code: 'custom', message: found.sentence, path: [field, 'amount'] });
  });
export type CargoLabelInput = z.infer<typeof cargoLabelInputSchema>;

export const cargoLabelValueSchema = z.strictObject({
  /** GVWR minus UVW. */
  left: z.number(),
  /** What the label says less; 0 within rounding. */
  difference: z.number(),
  agrees: z.boolean(),
  /** What explains the difference, or could. */
  explained: z.array(
    z.strictObject({ words: z.string(), pounds: z.number(), couldBe: z.literal(true).optional() }),
  ),
  /** Past this the label is corrected; without it, of a used unit. */
  line: z.number().optional(),
  /** What may still be fitted before it; negative is past it. */
  toLine: z.number().optional(),
  /** Which rule the label follows, by the GVWR. */
  rule: z.string(),
});
export type CargoLabelValue = z.infer<typeof cargoLabelValueSchema>;
export const cargoLabelOutcomeSchema = outcomeSchema(cargoLabelValueSchema);

const source =
  'CCC = GVWR − UVW − propane where UVW leaves it out: common practice; the line by 49 CFR 571.110 S9–S10 up to 10,000 lb and 571.120 S10 above, from memory; the rule in force decides';

/** Trailers of more than this follow the other section. Pounds. */
const heavyFrom = 10_000;

const amount = (given: Given | undefined): number => given?.amount ?? 0;

/** What cannot be so, by the field that is most likely wrong; undefined where nothing contradicts. */
export const cargoLabelProblem = (
  { gvwr, uvw, ccc }: CargoLabelInput,
  system: System,
): Impossible | undefined => ratingsProblem({ gvwr, uvw, ccc }, system);

const lineOf = (input: CargoLabelInput, gvwr: number): Pick<CargoLabelValue, 'line' | 'toLine'> => {
  if (input.used) return {};
  const line = labelLine(gvwr);
  return { line, toLine: line - amount(input.fitted) };
};

const stepsFor = (
  { gvwr, uvw, ccc, fitted }: CargoLabelInput,
  { left, difference, agrees, line, toLine }: CargoLabelValue,
  system: System,
): readonly Working[] => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  return [
    {
      what: 'GVWR minus UVW',
      arithmetic: `${show(amount(gvwr))} − ${show(amount(uvw))} = ${hedged(show(left), confidenceOf([gvwr, uvw]))}`,
    },
    {
      what: 'Compared with the label',
      arithmetic: `${show(left)} − ${show(amount(ccc))} = ${hedged(show(difference), confidenceOf([gvwr, uvw, ccc]))}${agrees ? ', within rounding' : ''}`,
    },
    ...(line === undefined || toLine === undefined
      ? []
      : [
          {
            what: 'Before the label is corrected',
            arithmetic: `the lesser of ${show(100)} and 1.5% of ${show(amount(gvwr))} = ${show(line)}; less ${show(amount(fitted))} added here = ${hedged(show(toLine), confidenceOf([gvwr, fitted]))}`,
          },
        ]),
  ];
};

const sentenceFor = (
  value: CargoLabelValue,
  about: { readonly apart: Confidence; readonly line: Confidence },
  system: System,
): string => {
  const { difference, agrees, explained, toLine } = value;
  const bare = (pounds: number): string => formatQuantity(Math.abs(pounds), 'weight', system);
  const apart = hedged(bare(difference), about.apart);
  const because = explanationWords(explained, bare);
  const adds = agrees
    ? `The label adds up${about.apart === 'about' ? ', as far as these figures go' : ''}: CCC is GVWR minus UVW.`
    : because
      ? `CCC on the label is ${apart} less than GVWR minus UVW. That ${because.startsWith('could be') ? because : `is ${because}`}.`
      : `CCC on the label is ${apart} ${difference > 0 ? 'less' : 'more'} than GVWR minus UVW, and nothing usual explains it. Read the labels again.`;
  if (toLine === undefined) return adds;
  const left = hedged(bare(toLine), about.line);
  return toLine < 0
    ? `${adds} What we added here is ${left} over the limit: correct the label before the first sale.`
    : `${adds} ${left.replace(/^./, (first) => first.toUpperCase())} more can be added here before the label needs correcting.`;
};

const explanationsOf = (
  { propane, water, battery, counts }: CargoLabelInput,
  difference: number,
): CargoLabelValue['explained'] => [
  ...explainDifference(
    possibleExplanations({
      propane: propane?.amount,
      hasBattery: battery,
      water: amount(water),
      counts,
    }),
    difference,
  ),
];

/** The figures of `cargoLabel` alone, without a sentence. Pounds. */
export const cargoLabelValue = (input: CargoLabelInput): CargoLabelValue | undefined => {
  const { gvwr, uvw, ccc } = input;
  if (!gvwr || !uvw || !ccc || cargoLabelProblem(input, 'us')) return undefined;
  const left = gvwr.amount - uvw.amount;
  const difference = left - ccc.amount;
  const agrees = Math.abs(difference) <= labelRounding;
  return {
    left,
    difference,
    agrees,
    explained: agrees ? [] : explanationsOf(input, difference),
    ...lineOf(input, gvwr.amount),
    rule: gvwr.amount > heavyFrom ? '49 CFR 571.120 S10' : '49 CFR 571.110 S9–S10',
  };
};

const wanted = ({ gvwr, uvw, ccc }: CargoLabelInput): readonly Missing[] => [
  ...(gvwr ? [] : [{ label: 'GVWR', field: 'specs.gvwr' }]),
  ...(uvw ? [] : [{ label: 'UVW', field: 'specs.uvw' }]),
  ...(ccc ? [] : [{ label: 'CCC', field: 'specs.ccc' }]),
];

/** Whether the capacity on the label follows from rating and weight, what explains it, and how far the line is. */
export const cargoLabel = (input: CargoLabelInput, system: System): Outcome<CargoLabelValue> => {
  const problem = cargoLabelProblem(input, system);
  if (problem) return refusedAnswer(problem, source);
  const value = cargoLabelValue(input);
  if (!value) return withoutAnswer(wanted(input), source);
  const { gvwr, uvw, ccc, propane, water, fitted } = input;
  const isGuessed = value.explained.some(({ couldBe }) => couldBe);
  const explaining: readonly (Given | undefined)[] = value.agrees
    ? []
    : [propane, water, ...(isGuessed ? [{ amount: 0, how: 'assumed' } as const] : [])];
  const apart = confidenceOf([gvwr, uvw, ccc]);
  const line = confidenceOf([gvwr, fitted]);
  const confidence = confidenceOf([gvwr, uvw, ccc, ...explaining, fitted]);
  return {
    value,
    steps: stepsFor(input, value, system),
    assumptions: [
      `Labels round; ${formatQuantity(labelRounding, 'weight', system)} apart doesn’t count.`,
      `A battery weighs ${formatQuantity(batteryPounds, 'weight', system)}; labels count water at ${system === 'us' ? '8.3 lb a gallon' : '1 kg a liter'}.`,
      ...(input.used ? ['A used unit’s label isn’t corrected for what was added.'] : []),
    ],
    source,
    confidence,
    missing: [],
    sentence: sentenceFor(value, { apart, line }, system),
  };
};
