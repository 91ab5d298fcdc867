import { z } from 'zod';
import {
  confidenceOf,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  withoutAnswer,
  type Given,
  type Missing,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';
import {
  batteryPounds,
  explainDifference,
  labelLine,
  labelRounding,
  possibleExplanations,
  type Explanation,
} from './explain.ts';

/** What goes into the question “Does the label add up?”. Pounds; water in US gallons. */
export const cargoLabelInputSchema = z.strictObject({
  gvwr: positiveSchema.optional(),
  /** As built. */
  uvw: positiveSchema.optional(),
  /** The carrying capacity that the label states. */
  ccc: measureSchema.optional(),
  /** Full cylinders together. */
  propane: measureSchema.optional(),
  /** Whether there is a battery. */
  battery: z.boolean().default(false),
  /** Fresh tank and water heater together. */
  water: measureSchema.optional(),
  /** All that was fitted before the first sale, added up. */
  fitted: measureSchema.optional(),
  /** Of a used unit nobody corrects the label. */
  used: z.boolean().default(false),
});
export type CargoLabelInput = z.infer<typeof cargoLabelInputSchema>;

export const cargoLabelValueSchema = z.strictObject({
  /** Rating less weight as built. */
  left: z.number(),
  /** What the label says less; 0 within rounding. */
  difference: z.number(),
  agrees: z.boolean(),
  explained: z.string().optional(),
  /** Past this the label is corrected; without it, of a used unit. */
  line: z.number().optional(),
  /** What may still be fitted before it; negative is past it. */
  toLine: z.number().optional(),
  /** Which rule the label follows, by the gross rating. */
  rule: z.string(),
});
export type CargoLabelValue = z.infer<typeof cargoLabelValueSchema>;
export const cargoLabelOutcomeSchema = outcomeSchema(cargoLabelValueSchema);

const source =
  'CCC = GVWR − UVW − propane where UVW leaves it out: common practice; the line by 49 CFR 571.110 S9–S10 up to 10,000 lb and 571.120 S10 above, from memory; the rule in force decides';

/** Trailers of more than this follow the other section. Pounds. */
const heavyFrom = 10_000;

const amount = (given: Given | undefined): number => given?.amount ?? 0;

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
      what: 'Rating less weight as built',
      arithmetic: `${show(amount(gvwr))} − ${show(amount(uvw))} = ${show(left)}`,
    },
    {
      what: 'Against the label',
      arithmetic: `${show(left)} − ${show(amount(ccc))} = ${show(difference)}${agrees ? ', within rounding' : ''}`,
    },
    ...(line === undefined || toLine === undefined
      ? []
      : [
          {
            what: 'Before the label is corrected',
            arithmetic: `the lesser of ${show(100)} and 1.5 % of ${show(amount(gvwr))} = ${show(line)}; less ${show(amount(fitted))} fitted = ${show(toLine)}`,
          },
        ]),
  ];
};

const sentenceFor = (
  { difference, agrees, explained, toLine }: CargoLabelValue,
  system: System,
): string => {
  const show = (pounds: number): string => formatQuantity(Math.abs(pounds), 'weight', system);
  const adds = agrees
    ? 'The label adds up: its capacity is the rating less the weight as built.'
    : explained
      ? `The label says ${show(difference)} less than rating and weight leave: that is ${explained}.`
      : `The label says ${show(difference)} ${difference > 0 ? 'less' : 'more'} than rating and weight leave, and nothing usual explains it. Read the labels again.`;
  if (toLine === undefined) return adds;
  return toLine < 0
    ? `${adds} What was fitted here is ${show(toLine)} past the line: the label is corrected before the first sale.`
    : `${adds} ${show(toLine)} more may be fitted here before it has to be corrected.`;
};

const explanationOf = (
  { propane, water, battery }: CargoLabelInput,
  difference: number,
): Explanation | undefined =>
  explainDifference(
    possibleExplanations({ propane: amount(propane), hasBattery: battery, water: amount(water) }),
    difference,
  );

/** The figures of `cargoLabel` alone, without a sentence. Pounds. */
export const cargoLabelValue = (input: CargoLabelInput): CargoLabelValue | undefined => {
  const { gvwr, uvw, ccc } = input;
  if (!gvwr || !uvw || !ccc) return undefined;
  const left = gvwr.amount - uvw.amount;
  const difference = left - ccc.amount;
  const agrees = Math.abs(difference) <= labelRounding;
  const explained = agrees ? undefined : explanationOf(input, difference);
  return {
    left,
    difference,
    agrees,
    ...(explained ? { explained: explained.words } : {}),
    ...lineOf(input, gvwr.amount),
    rule: gvwr.amount > heavyFrom ? '49 CFR 571.120 S10' : '49 CFR 571.110 S9–S10',
  };
};

const wanted = ({ gvwr, uvw, ccc }: CargoLabelInput): readonly Missing[] => [
  ...(gvwr ? [] : [{ label: 'Gross rating', field: 'specs.gvwr' }]),
  ...(uvw ? [] : [{ label: 'Weight as built', field: 'specs.uvw' }]),
  ...(ccc ? [] : [{ label: 'Carrying capacity', field: 'specs.ccc' }]),
];

/** Whether the capacity on the label follows from rating and weight, what explains it, and how far the line is. */
export const cargoLabel = (input: CargoLabelInput, system: System): Outcome<CargoLabelValue> => {
  const value = cargoLabelValue(input);
  if (!value) return withoutAnswer(wanted(input), source);
  const { gvwr, uvw, ccc, propane, water, fitted } = input;
  const explaining = value.explained ? [propane, water] : [];
  return {
    value,
    steps: stepsFor(input, value, system),
    assumptions: [
      'Labels round; three pounds are not looked at.',
      `A battery weighs ${formatQuantity(batteryPounds, 'weight', system)}; labels count water at 8.3 lb a gallon, 1 kg a litre.`,
      ...(input.used ? ['A used unit’s label is not corrected for what was fitted.'] : []),
    ],
    source,
    confidence: confidenceOf([gvwr, uvw, ccc, ...explaining, fitted]),
    missing: [],
    sentence: sentenceFor(value, system),
  };
};
