import { z } from 'zod';
import {
  confidenceOf,
  outcomeSchema,
  positiveSchema,
  withoutAnswer,
  type Confidence,
  type Outcome,
  type Working,
} from '../numbers/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';
import type { Trial } from '../record/index.ts';
import { waterStyle, waterStyles, type WaterStyle } from './styles.ts';

/** What goes into the question “How many nights off the hookups?”. US gallons. */
export const waterInputSchema = z.strictObject({
  fresh: positiveSchema.optional(),
  gray: positiveSchema.optional(),
  /** A second gray tank, of the galley. */
  galley: positiveSchema.optional(),
  black: positiveSchema.optional(),
  /** Tanks that this unit has not got: nothing is missing there. */
  without: z
    .array(z.enum(['gray', 'black']))
    .max(2)
    .default([]),
  people: z.number().int().min(1).max(12),
  style: z.enum(waterStyles.map(({ key }) => key) as [string, ...string[]]),
});
export type WaterInput = z.infer<typeof waterInputSchema>;

const tankSchema = z.strictObject({
  key: z.string(),
  label: z.string(),
  gallons: z.number(),
  aDay: z.number(),
  days: z.number(),
});
export const waterValueSchema = z.strictObject({
  /** Whole nights before the first tank stops it. */
  nights: z.number(),
  days: z.number(),
  first: z.string(),
  tanks: z.array(tankSchema),
  /** Days that a gallon a day saved by each person buys. */
  saved: z.number(),
});
export type WaterValue = z.infer<typeof waterValueSchema>;
export const waterOutcomeSchema = outcomeSchema(waterValueSchema);

type Tank = z.infer<typeof tankSchema>;

const source = 'Gallons over gallons a day; how much people use: common practice';

const grayParts = (style: WaterStyle, hasGalley: boolean) => ({
  gray: hasGalley ? style.gray * (1 - style.galleyShare) : style.gray,
  galley: hasGalley ? style.gray * style.galleyShare : 0,
});

const tanksOf = (input: WaterInput, style: WaterStyle, saving = 0): readonly Tank[] => {
  const gray = Math.max(style.gray - saving, 0.1);
  const split = grayParts({ ...style, gray }, input.galley !== undefined);
  const rows = [
    { key: 'fresh', label: 'Fresh', tank: input.fresh, each: gray + style.black + style.drunk },
    { key: 'gray', label: 'Gray', tank: input.gray, each: split.gray },
    { key: 'galley', label: 'Galley', tank: input.galley, each: split.galley },
    { key: 'black', label: 'Black', tank: input.black, each: style.black },
  ];
  return rows.flatMap(({ tank, each, ...row }) => {
    if (!tank || each <= 0) return [];
    const aDay = each * input.people;
    return [{ ...row, gallons: tank.amount, aDay, days: tank.amount / aDay }];
  });
};

const shortest = (tanks: readonly Tank[]): Tank | undefined =>
  tanks.toSorted((a, b) => a.days - b.days)[0];

const stepsFor = (tanks: readonly Tank[], system: System): readonly Working[] => {
  const show = (gallons: number): string => formatQuantity(gallons, 'volume', system);
  return tanks.map(({ label, gallons, aDay, days }) => ({
    what: label,
    arithmetic: `${show(gallons)} ÷ ${show(aDay)} a day = ${days.toFixed(1)} days`,
  }));
};

const nightsWords = (nights: number): string =>
  nights === 0 ? 'Not a whole night' : `About ${nights} ${nights === 1 ? 'night' : 'nights'}`;

const tankOf = {
  fresh: 'freshTank',
  gray: 'grayTank',
  galley: 'galleyTank',
  black: 'blackTank',
} as const;

/**
 * How full each tank is after so many days, 0 to 1: the fresh one starts full and falls, the others rise. Nobody goes on
 * past the first that stops it.
 */
export const levelsAfter = (
  { tanks, days: most }: Pick<WaterValue, 'tanks' | 'days'>,
  days: number,
): Trial['levels'] => {
  const gone = Math.min(days, most);
  return Object.fromEntries(
    tanks.flatMap(({ key, gallons, aDay }) => {
      const used = (aDay * gone) / gallons;
      const tank = tankOf[key as keyof typeof tankOf];
      return tank ? [[tank, key === 'fresh' ? 1 - used : used]] : [];
    }),
  );
};

/** How long the tanks last without a hookup, and which of them stops it first. */
export const water = (input: WaterInput, system: System): Outcome<WaterValue> => {
  const style = waterStyle(input.style);
  if (!input.fresh || !style) {
    return withoutAnswer([{ label: 'The fresh tank', field: 'specs.freshTank' }], source);
  }
  const tanks = tanksOf(input, style);
  const first = shortest(tanks) as Tank;
  const saving = shortest(tanksOf(input, style, 1)) as Tank;
  const nights = Math.floor(first.days);
  // How much people use is nobody's label: the answer is never more than about so many.
  const confidence: Confidence = 'about';
  const stops = first.key === 'fresh' ? 'runs dry first' : 'is full first';
  const { gray, black } = input;
  const inputs = confidenceOf([input.fresh, gray, input.galley, black]);
  return {
    value: {
      nights,
      days: first.days,
      first: first.key,
      tanks: [...tanks],
      saved: saving.days - first.days,
    },
    steps: stepsFor(tanks, system),
    assumptions: [
      `${style.label}: ${formatQuantity(style.gray + style.black + style.drunk, 'volume', system)} a person and day.`,
      'Tanks empty and the fresh one full at the start; what dishes and showers use is shared out as usual.',
      ...(inputs === 'about' ? ['A tank’s size is only guessed.'] : []),
    ],
    source,
    confidence,
    missing: [
      ...(gray || input.without.includes('gray')
        ? []
        : [{ label: 'The gray tank', field: 'specs.grayTank' }]),
      ...(black || input.without.includes('black')
        ? []
        : [{ label: 'The black tank', field: 'specs.blackTank' }]),
    ],
    sentence: `${nightsWords(nights)} for ${input.people}; the ${first.label.toLowerCase()} tank ${stops}. A gallon a day less each buys ${(saving.days - first.days).toFixed(1)} days.`,
  };
};
