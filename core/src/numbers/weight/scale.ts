import { inText, percent } from '../../base/words/index.ts';
import { z } from 'zod';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import {
  confidenceOf,
  outcomeSchema,
  positiveSchema,
  hedged,
  withoutAnswer,
  type Confidence,
  type Missing,
  type Outcome,
  type Working,
} from '../../unit/outcome/index.ts';
import { hitchShare, type Standing } from './balance.ts';
import { hitchWords, limitOf, limitSchema, type WeightLimit } from './weight.ts';

/** Three weighings on a public scale, weight-distribution bars slack. Pounds. */
export interface Tickets {
  /** The tow vehicle alone, both axles. */
  readonly vehicle: number;
  /** Vehicle and trailer, all axles. */
  readonly together: number;
  /** The trailer's axles alone on the scale, hitched. */
  readonly trailerAxles: number;
}

/**
 * What a trailer weighs by its tickets: all of it, on the hitch, on its axles. By sums of forces.
 * @returns undefined where the tickets cannot belong together
 */
export const byTickets = (tickets: Tickets): Standing | undefined => {
  if (scaleProblem(tickets)) return undefined;
  const { vehicle, together, trailerAxles } = tickets;
  const total = together - vehicle;
  return { total, hitch: total - trailerAxles, axles: trailerAxles };
};

/** What three tickets contradict one another in, and at which of them; undefined when nothing. */
export const scaleProblem = ({
  vehicle,
  together,
  trailerAxles,
}: Partial<Tickets>): { readonly field: keyof Tickets; readonly sentence: string } | undefined => {
  if (together === undefined) return undefined;
  if (vehicle !== undefined && together <= vehicle) {
    return {
      field: 'together',
      sentence:
        'Vehicle and trailer together weigh no more than the vehicle alone. Read the two tickets again.',
    };
  }
  if (vehicle !== undefined && trailerAxles !== undefined && trailerAxles > together - vehicle) {
    return {
      field: 'trailerAxles',
      sentence:
        'The trailer’s axles weigh more than the whole trailer. Were the spring bars off, and the vehicle off the scale?',
    };
  }
  return undefined;
};

/** What goes into the question “What does the scale say?”. Pounds. */
export const scaleInputSchema = z
  .strictObject({
    vehicle: positiveSchema.optional(),
    together: positiveSchema.optional(),
    trailerAxles: positiveSchema.optional(),
    /** What was worked out for the same load. */
    expected: positiveSchema.optional(),
    gvwr: positiveSchema.optional(),
    /** Of all axles together. */
    gawr: positiveSchema.optional(),
  })
  .superRefine(({ vehicle, together, trailerAxles }, context) => {
    const found = scaleProblem({
      ...(vehicle ? { vehicle: vehicle.amount } : {}),
      ...(together ? { together: together.amount } : {}),
      ...(trailerAxles ? { trailerAxles: trailerAxles.amount } : {}),
    });
    if (found) {
      context.addIssue({ code: 'custom', message: found.sentence, path: [found.field, 'amount'] });
    }
  });
export type ScaleInput = z.infer<typeof scaleInputSchema>;

export const scaleValueSchema = z.strictObject({
  total: z.number(),
  hitch: z.number(),
  axles: z.number(),
  share: z.number(),
  /** Heavier than was worked out; what nobody has told the record. */
  unknown: z.number().optional(),
  limits: z.array(limitSchema),
});
export type ScaleValue = z.infer<typeof scaleValueSchema>;
export const scaleOutcomeSchema = outcomeSchema(scaleValueSchema);

const source =
  'Sums of forces over three weighings, weight-distribution bars unhooked: common practice; ratings are the maker’s';

const limitsOf = ({ gvwr, gawr }: ScaleInput, { total, axles }: Standing): WeightLimit[] => [
  ...limitOf('gross', 'GVWR', total, gvwr),
  ...limitOf('axles', 'Axles', axles, gawr),
];

const stepsFor = (
  tickets: Tickets,
  value: ScaleValue,
  expected: number | undefined,
  system: System,
): readonly Working[] => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const { vehicle, together, trailerAxles } = tickets;
  return [
    {
      what: 'Whole trailer',
      arithmetic: `${show(together)} − ${show(vehicle)} = ${show(value.total)}`,
    },
    {
      what: 'Hitch weight',
      arithmetic: `${show(value.total)} − ${show(trailerAxles)} = ${show(value.hitch)}, ${percent(value.share)}`,
    },
    ...(expected === undefined
      ? []
      : [
          {
            what: 'Heavier than figured',
            arithmetic: `${show(value.total)} − ${show(expected)} = ${show(value.total - expected)}`,
          },
        ]),
    ...value.limits.map(({ label, rating, used, left }) => ({
      what: label,
      arithmetic: `${show(rating)} − ${show(used)} = ${show(left)}${left < 0 ? ': too much' : ''}`,
    })),
  ];
};

/** Less than this between scale and record is what scales round to. Pounds. */
const scaleStep = 40;

const sentenceFor = (
  value: ScaleValue,
  about: { readonly weighed: Confidence; readonly limits: Confidence; readonly known: Confidence },
  system: System,
): string => {
  const show = (pounds: number): string => formatQuantity(Math.abs(pounds), 'weight', system);
  const { total, share, unknown, limits } = value;
  const over = limits.find(({ left }) => left < 0);
  const weighed = `On the scale it weighs ${hedged(show(total), about.weighed)}, ${hedged(percent(share), about.weighed)} of it on the hitch; ${hitchWords(share)}.`;
  const known =
    unknown === undefined || Math.abs(unknown) < scaleStep
      ? ''
      : ` That’s ${hedged(show(unknown), about.known)} ${unknown > 0 ? 'more' : 'less'} than we figured: ${unknown > 0 ? 'something in it isn’t in the record' : 'something in the record isn’t in it'}.`;
  return over
    ? `${weighed} It’s ${hedged(show(over.left), about.limits)} over the ${inText(over.label)}: don’t tow it like this.${known}`
    : `${weighed}${known}`;
};

const ticketsOf = ({ vehicle, together, trailerAxles }: ScaleInput): Tickets | undefined =>
  vehicle && together && trailerAxles
    ? {
        vehicle: vehicle.amount,
        together: together.amount,
        trailerAxles: trailerAxles.amount,
      }
    : undefined;

/** The figures of `scale` alone, without a word. Pounds. */
export const scaleValue = (input: ScaleInput): ScaleValue | undefined => {
  const tickets = ticketsOf(input);
  const standing = tickets && byTickets(tickets);
  if (!standing) return undefined;
  return {
    ...standing,
    share: hitchShare(standing),
    ...(input.expected ? { unknown: standing.total - input.expected.amount } : {}),
    limits: limitsOf(input, standing),
  };
};

const wanted = ({ vehicle, together, trailerAxles }: ScaleInput): readonly Missing[] => [
  ...(vehicle ? [] : [{ label: 'The vehicle alone' }]),
  ...(together ? [] : [{ label: 'Vehicle and trailer' }]),
  ...(trailerAxles ? [] : [{ label: 'The trailer’s axles' }]),
];
const contradiction: readonly Missing[] = [{ label: 'Tickets that belong together' }];

/** What a trailer weighs by three tickets, held against its ratings and against what was worked out. */
export const scale = (input: ScaleInput, system: System): Outcome<ScaleValue> => {
  const tickets = ticketsOf(input);
  const value = scaleValue(input);
  if (!tickets || !value) return withoutAnswer(tickets ? contradiction : wanted(input), source);
  const { vehicle, together, trailerAxles, expected, gvwr, gawr } = input;
  const weighings = [vehicle, together, trailerAxles];
  const about = {
    weighed: confidenceOf(weighings),
    limits: confidenceOf([...weighings, gvwr, gawr]),
    known: confidenceOf([...weighings, expected]),
  };
  const confidence = confidenceOf([...weighings, gvwr, gawr, expected]);
  return {
    value,
    steps: stepsFor(tickets, value, expected?.amount, system),
    assumptions: [
      'The spring bars are unhooked, everything’s level, and nobody gets in or out between weighings.',
      'Public scales round, often to 20 lb (10 kg).',
    ],
    source,
    confidence,
    missing: [],
    sentence: sentenceFor(value, about, system),
  };
};
