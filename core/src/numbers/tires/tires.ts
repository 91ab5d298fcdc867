import { percent } from '../../base/words/index.ts';
import { z } from 'zod';
import {
  confidenceOf,
  measureSchema,
  outcomeSchema,
  positiveSchema,
  hedged,
  withoutAnswer,
  type Confidence,
  type Missing,
  type Outcome,
  type Working,
} from '../../unit/outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';

/** What goes into the question “Are the tires enough?”. Pounds, psi. */
export const tiresInputSchema = z.strictObject({
  /** What one carries at its highest pressure: off the sidewall, else by the tables, which is an assumption. */
  each: positiveSchema.optional(),
  /** The cold pressure at which it carries that. */
  highest: positiveSchema.optional(),
  /** The cold pressure of the softest. */
  pressure: positiveSchema.optional(),
  /** Wheels of which nobody has read the gauge: they are taken to have what the label asks for. */
  unread: z.array(z.string().min(1).max(60)).max(12).optional(),
  count: z.number().int().min(2).max(12),
  /** Of all axles together. */
  gawr: positiveSchema.optional(),
  /** On the axles as it is loaded; by default what they are rated for. */
  onAxles: positiveSchema.optional(),
  /** Whole years of the oldest. */
  oldest: measureSchema.extend({ amount: z.number().int().min(0).max(60) }).optional(),
  /** Wheels whose tire is of another make, or much newer or older than the others. */
  odd: z.array(z.string().min(1).max(60)).max(12).optional(),
});
export type TiresInput = z.infer<typeof tiresInputSchema>;

export const tiresValueSchema = z.strictObject({
  /** One of them, at the pressure it has. */
  each: z.number(),
  all: z.number(),
  /** Over what the axles are rated for, 0.1 is ten percent; over the load where no rating is known. */
  reserve: z.number(),
  /** Over what lies on them as it is loaded, where that is known. */
  overLoad: z.number().optional(),
  /** Ten percent or more over the axle ratings, and no less than nothing over the load. */
  enough: z.boolean(),
});
export type TiresValue = z.infer<typeof tiresValueSchema>;
export const tiresOutcomeSchema = outcomeSchema(tiresValueSchema);

/** Wanted in hand over the axle rating; common practice. */
export const reserveWanted = 0.1;
const watchFrom = 5;
const replaceBy = 7;

const source =
  'Load at the highest pressure off the sidewall; at less in proportion, which is on the safe side; margin = tires ÷ GAWR − 1, ten percent wanted: common practice';

const ageWords = (oldest: TiresInput['oldest']): string => {
  if (oldest === undefined) return ' Their dates haven’t been read.';
  const years = hedged(`${oldest.amount} years`, confidenceOf([oldest]));
  if (oldest.amount >= replaceBy)
    return ` The oldest is ${years} old: replace it, whatever it carries.`;
  return oldest.amount >= watchFrom ? ` The oldest is ${years} old: watch it.` : '';
};

const oddWords = (odd: readonly string[] = []): string =>
  odd.length === 0
    ? ''
    : ` Not like the others: ${odd.join(', ')}; find out why before it is towed far.`;

/** Whether the pressure is past the one at which they carry most: more air carries no more. */
const isCapped = ({ highest, pressure }: TiresInput): boolean =>
  highest !== undefined && pressure !== undefined && pressure.amount > highest.amount;

/** What one tire carries at the pressure it has: in proportion, and no more past its highest. */
const eachAt = ({ each, highest, pressure }: TiresInput): number => {
  const share = highest && pressure ? Math.min(pressure.amount / highest.amount, 1) : 1;
  return (each?.amount ?? 0) * share;
};

const pressureStep = (input: TiresInput, one: number, system: System): readonly Working[] => {
  const { each, highest, pressure } = input;
  if (!each || !highest || !pressure) return [];
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const psi = (amount: number): string => formatQuantity(amount, 'pressure', system);
  const about = confidenceOf([each, highest, pressure]);
  const sum = isCapped(input)
    ? `${show(each.amount)} at ${psi(highest.amount)}, its highest; ${psi(pressure.amount)} carries no more = ${hedged(show(one), about)}`
    : `${show(each.amount)} × ${psi(pressure.amount)} ÷ ${psi(highest.amount)} = ${hedged(show(one), about)}`;
  return [{ what: 'One tire at the pressure it has', arithmetic: sum }];
};

const stepsFor = (
  input: TiresInput,
  { each, all, reserve, overLoad }: TiresValue,
  system: System,
): readonly Working[] => {
  const { count, gawr, onAxles, highest, pressure } = input;
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const tires = [input.each, highest, pressure];
  const over = (what: string, load: TiresInput['gawr'], share: number): readonly Working[] =>
    load
      ? [
          {
            what,
            arithmetic: `${show(all)} ÷ ${show(load.amount)} − 1 = ${hedged(percent(share), confidenceOf([...tires, load]))}`,
          },
        ]
      : [];
  return [
    ...pressureStep(input, each, system),
    {
      what: 'All of them',
      arithmetic: `${count} × ${show(each)} = ${hedged(show(all), confidenceOf(tires))}`,
    },
    ...over('Margin over the axle ratings', gawr, reserve),
    ...over('Margin over the load on them', onAxles, overLoad ?? 0),
  ];
};

/** How much is in hand, in words: over the rating, which is wanted, and over the load. */
const verdictOf = (input: TiresInput, value: TiresValue, system: System): string => {
  const { gawr, onAxles } = input;
  const { all, reserve, overLoad } = value;
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const tires = [input.each, input.highest, input.pressure];
  const [ofRating, ofLoad] = [confidenceOf([...tires, gawr]), confidenceOf([...tires, onAxles])];
  const carry = `They carry ${hedged(show(all), confidenceOf(tires))}`;
  if (onAxles && (overLoad ?? 0) < 0)
    return `${carry}, ${hedged(show(onAxles.amount - all), ofLoad)} too little for the load on them.`;
  if (gawr && reserve < 0)
    return `${carry}, ${hedged(show(gawr.amount - all), ofRating)} less than the axles are rated for: the tires aren’t enough.`;
  const rated = gawr
    ? `, ${hedged(percent(reserve), ofRating)} more than the axles are rated for${reserve >= reserveWanted ? '' : '; ten percent is wanted'}`
    : '';
  const loaded =
    overLoad === undefined
      ? ''
      : `${gawr ? '; ' : ', '}${hedged(percent(overLoad), ofLoad)} more than the load on them`;
  return `${carry}${rated}${loaded}.`;
};

/** The figures of `tires` alone, without a word. Pounds. */
export const tiresValue = (input: TiresInput): TiresValue | undefined => {
  const { gawr, onAxles, count } = input;
  if (!input.each || !(gawr ?? onAxles)) return undefined;
  const each = eachAt(input);
  const all = each * count;
  const overLoad = onAxles && all / onAxles.amount - 1;
  const reserve = gawr ? all / gawr.amount - 1 : (overLoad ?? 0);
  return {
    each,
    all,
    reserve,
    ...(overLoad === undefined ? {} : { overLoad }),
    enough: reserve >= reserveWanted && (overLoad ?? 0) >= 0,
  };
};

const assumptionsOf = ({ each, highest, pressure, unread = [] }: TiresInput): readonly string[] => [
  ...(each?.how === 'assumed'
    ? [
        'What one tire carries comes from the tables for its size and load range; read the sidewall.',
      ]
    : []),
  ...(highest && pressure ? [] : ['They’re at the pressure where they carry the most.']),
  ...(unread.length > 0 && pressure
    ? [`Not measured, so we used the label’s pressure: ${unread.join(', ')}.`]
    : []),
  'Every tire carries the same.',
];

/** What the tires carry at the pressure they have, and what is left of it over the axle ratings and over the load. */
export const tires = (input: TiresInput, system: System): Outcome<TiresValue> => {
  const { each, highest, pressure, gawr, onAxles, oldest, unread = [] } = input;
  const value = tiresValue(input);
  const wanted: readonly Missing[] = [
    ...(each ? [] : [{ label: 'What one tire carries', field: 'specs.tireLoad' }]),
    ...(gawr ? [] : [{ label: 'The axle ratings', field: 'specs.axleRating' }]),
  ];
  if (!value) return withoutAnswer(wanted, source);
  const confidence: Confidence = confidenceOf([each, gawr, onAxles, highest, pressure, oldest]);
  const age = ageWords(oldest);
  return {
    value,
    steps: stepsFor(input, value, system),
    assumptions: assumptionsOf(input),
    source,
    confidence,
    missing: [
      ...wanted,
      ...(each?.how === 'assumed'
        ? [{ label: 'What one tire carries, off its sidewall', field: 'specs.tireLoad' }]
        : []),
      ...(unread.length > 0 ? [{ label: `Cold pressure, ${unread.join(', ')}` }] : []),
      ...(oldest === undefined
        ? [{ label: 'The tires’ dates', field: 'specs.tireDateDoorFront' }]
        : []),
    ],
    sentence: `${verdictOf(input, value, system)}${age}${oddWords(input.odd)}`,
  };
};
