import { z } from 'zod';
import {
  confidenceOf,
  outcomeSchema,
  positiveSchema,
  said,
  withoutAnswer,
  type Confidence,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';

/** What goes into the question “Are the tyres enough?”. Pounds, psi. */
export const tyresInputSchema = z.strictObject({
  /** What one carries at its highest pressure. */
  each: positiveSchema.optional(),
  /** The cold pressure at which it carries that. */
  highest: positiveSchema.optional(),
  /** The cold pressure they have. */
  pressure: positiveSchema.optional(),
  count: z.number().int().min(2).max(12),
  /** Of all axles together. */
  gawr: positiveSchema.optional(),
  /** On the axles as it is loaded; by default what they are rated for. */
  onAxles: positiveSchema.optional(),
  /** Whole years of the oldest. */
  oldest: z.number().int().min(0).max(60).optional(),
  /** Wheels whose tyre is of another make, or much newer or older than the others. */
  odd: z.array(z.string().min(1).max(60)).max(12).optional(),
});
export type TyresInput = z.infer<typeof tyresInputSchema>;

export const tyresValueSchema = z.strictObject({
  /** One of them, at the pressure it has. */
  each: z.number(),
  all: z.number(),
  /** Of what lies on them, 0.1 is ten per cent. */
  reserve: z.number(),
  enough: z.boolean(),
});
export type TyresValue = z.infer<typeof tyresValueSchema>;
export const tyresOutcomeSchema = outcomeSchema(tyresValueSchema);

/** Wanted in hand over the axle rating; common practice. */
export const reserveWanted = 0.1;
const watchFrom = 5;
const replaceBy = 7;

const source =
  'Load at the highest pressure off the sidewall; at less in proportion, which is on the safe side; ten per cent in hand: common practice';

const ageWords = (oldest: number | undefined): string => {
  if (oldest === undefined) return ' Nobody has read their dates.';
  if (oldest >= replaceBy)
    return ` The oldest is ${oldest} years old: to be replaced, whatever it carries.`;
  return oldest >= watchFrom ? ` The oldest is ${oldest} years old: watch it.` : '';
};

const oddWords = (odd: readonly string[] = []): string =>
  odd.length === 0
    ? ''
    : ` Not like the others: ${odd.join(', ')}; find out why before it is towed far.`;

/** What one tyre carries at the pressure it has: in proportion, and no more past its highest. */
const eachAt = ({ each, highest, pressure }: TyresInput): number => {
  const share = highest && pressure ? Math.min(pressure.amount / highest.amount, 1) : 1;
  return (each?.amount ?? 0) * share;
};

const pressureStep = (input: TyresInput, one: number, system: System): readonly Working[] => {
  const { each, highest, pressure } = input;
  if (!each || !highest || !pressure) return [];
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const psi = (amount: number): string => formatQuantity(amount, 'pressure', system);
  return [
    {
      what: 'One tyre at the pressure it has',
      arithmetic: `${show(each.amount)} × ${psi(pressure.amount)} ÷ ${psi(highest.amount)} = ${show(one)}`,
    },
  ];
};

const verdictOf = (
  { all, reserve, enough }: TyresValue,
  load: number,
  confidence: Confidence,
  system: System,
): string => {
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  if (reserve < 0) return `They carry ${said(show(load - all), confidence)} too little.`;
  const hand = said(`${Math.round(reserve * 100)} %`, confidence);
  return `They carry ${said(show(all), confidence)}, ${hand} more than lies on them${enough ? '' : '; ten is wanted'}.`;
};

/** The figures of `tyres` alone, without a word. Pounds. */
export const tyresValue = (input: TyresInput): TyresValue | undefined => {
  const load = input.onAxles ?? input.gawr;
  if (!input.each || !load) return undefined;
  const each = eachAt(input);
  const all = each * input.count;
  const reserve = all / load.amount - 1;
  return { each, all, reserve, enough: reserve >= reserveWanted };
};

/** What the tyres carry at the pressure they have, and what is left of it. */
export const tyres = (input: TyresInput, system: System): Outcome<TyresValue> => {
  const { each, highest, pressure, count, oldest } = input;
  const load = input.onAxles ?? input.gawr;
  const missing = [
    ...(each ? [] : [{ label: 'What one tyre carries', field: 'specs.tyreLoad' }]),
    ...(load ? [] : [{ label: 'The axle ratings', field: 'specs.axleRating' }]),
  ];
  const value = tyresValue(input);
  if (!each || !load || !value) return withoutAnswer(missing, source);
  const { each: one, all, reserve } = value;
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const confidence = confidenceOf([each, load, highest, pressure]);
  const undated = [{ label: 'The tyres’ dates', field: 'specs.tyreDateDoorFront' }];
  return {
    value,
    steps: [
      ...pressureStep(input, one, system),
      { what: 'All of them', arithmetic: `${count} × ${show(one)} = ${show(all)}` },
      {
        what: 'In hand',
        arithmetic: `${show(all)} ÷ ${show(load.amount)} − 1 = ${Math.round(reserve * 100)} %`,
      },
    ],
    assumptions: [
      ...(highest && pressure ? [] : ['They have the pressure at which they carry most.']),
      'Every tyre carries the same.',
    ],
    source,
    confidence,
    missing: oldest === undefined ? undated : [],
    sentence: `${verdictOf(value, load.amount, confidence, system)}${ageWords(oldest)}${oddWords(input.odd)}`,
  };
};
