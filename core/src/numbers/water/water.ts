import { counted, inText } from '../../base/words/index.ts';
import { z } from 'zod';
import {
  confidenceOf,
  outcomeSchema,
  positiveSchema,
  withoutAnswer,
  type Confidence,
  type Outcome,
  type Working,
} from '../../unit/outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { waterRatesSchema, type Trial } from '../../unit/record/index.ts';
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
  /** What these people use, in place of the style's usual figures. */
  rates: waterRatesSchema.optional(),
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
  /** Days that a gallon a day (four liters, for a metric reader) saved by each person buys. */
  saved: z.number(),
});
export type WaterValue = z.infer<typeof waterValueSchema>;
export const waterOutcomeSchema = outcomeSchema(waterValueSchema);

type Tank = z.infer<typeof tankSchema>;

const source = 'Gallons over gallons a day; how much people use: common practice';

/** Gallons a day into each tank and out of the fresh one, by all together. */
const flows = (input: WaterInput, { gray, galleyShare, black, drunk }: WaterStyle) => {
  const galley = input.galley ? gray * galleyShare : 0;
  const { people } = input;
  return {
    fresh: (gray + black + drunk) * people,
    gray: (gray - galley) * people,
    galley: galley * people,
    black: black * people,
  };
};

/** Gallons a day: what takes less fills or empties nothing while anybody looks. */
const least = 0.05;

const labels = { fresh: 'Fresh', gray: 'Gray', galley: 'Galley', black: 'Black' } as const;
const keys = ['fresh', 'gray', 'galley', 'black'] as const;

const tanksOf = (input: WaterInput, style: WaterStyle): Tank[] => {
  const aDay = flows(input, style);
  return keys.flatMap((key) => {
    const gallons = input[key]?.amount;
    if (gallons === undefined || aDay[key] < least) return [];
    return [{ key, label: labels[key], gallons, aDay: aDay[key], days: gallons / aDay[key] }];
  });
};

const shortest = (tanks: readonly Tank[]): Tank =>
  tanks.reduce((least, tank) => (tank.days < least.days ? tank : least));

/** Days where each uses so much less gray water: less out of the fresh tank as well. */
const daysSaving = (input: WaterInput, style: WaterStyle, gallons: number): number => {
  const aDay = flows(input, { ...style, gray: Math.max(style.gray - gallons, 0.1) });
  return Math.min(
    ...keys.map((key) =>
      aDay[key] >= least ? (input[key]?.amount ?? Infinity) / aDay[key] : Infinity,
    ),
  );
};

const stepsFor = (tanks: readonly Tank[], system: System): readonly Working[] => {
  const show = (gallons: number): string => formatQuantity(gallons, 'volume', system);
  return tanks.map(({ label, gallons, aDay, days }) => ({
    what: label,
    arithmetic: `${show(gallons)} ÷ ${show(aDay)} a day = ${days.toFixed(1)} days`,
  }));
};

const nightsWords = (nights: number): string =>
  nights === 0 ? 'Less than one night' : `About ${counted(nights, 'night')}`;

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

/** How water is used: by the style, with the figures that were put in its place. */
const styleOf = ({ style, rates }: WaterInput): WaterStyle | undefined => {
  const usual = waterStyle(style);
  return usual && { ...usual, ...rates };
};

/** The figures of `water` alone, without a word. Gallons, days. */
export const waterValue = (input: WaterInput): WaterValue | undefined => {
  const style = styleOf(input);
  if (!input.fresh || !style) return undefined;
  const tanks = tanksOf(input, style);
  const first = shortest(tanks);
  return {
    nights: Math.floor(first.days),
    days: first.days,
    first: first.key,
    tanks,
    saved: daysSaving(input, style, 1) - first.days,
  };
};

/** Gallons a day that somebody might save: the same handful in either system. */
const lessADay = { us: 1, metric: 4 / 3.785_411_784 } as const;

const savedWords = (saved: number, system: System): string => {
  const less =
    system === 'us' ? 'A gallon' : `${formatQuantity(lessADay.metric, 'volume', system)}`;
  const days = Number(saved.toFixed(1));
  return days > 0
    ? ` ${less} a day less each adds ${days.toFixed(1)} ${days === 1 ? 'day' : 'days'}.`
    : '';
};

/** How long the tanks last without a hookup, and which of them stops it first. */
export const water = (input: WaterInput, system: System): Outcome<WaterValue> => {
  const style = styleOf(input);
  const found = waterValue(input);
  if (!found || !style) {
    return withoutAnswer([{ label: 'The fresh tank', field: 'specs.freshTank' }], source);
  }
  // What a little less buys is reckoned in what the reader saves by: a gallon, or four liters.
  const saved = daysSaving(input, style, lessADay[system]) - found.days;
  const value = { ...found, saved };
  const { tanks, nights } = value;
  const first = tanks.find(({ key }) => key === value.first) as Tank;
  // How much people use is nobody's label: the answer is never more than about so many.
  const confidence: Confidence = 'about';
  const stops = first.key === 'fresh' ? 'runs dry first' : 'is full first';
  const { gray, black } = input;
  const inputs = confidenceOf([input.fresh, gray, input.galley, black]);
  return {
    value,
    steps: stepsFor(tanks, system),
    assumptions: [
      `${style.label}${input.rates ? ', with your own figures' : ''}: ${formatQuantity(style.gray + style.black + style.drunk, 'volume', system)} a person per day.`,
      'You start with the fresh tank full and the others empty; dishes and showers split as usual.',
      ...(inputs === 'about' ? ['A tank’s size is only estimated.'] : []),
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
    sentence: `${nightsWords(nights)} for ${input.people}; the ${inText(first.label)} tank ${stops}.${savedWords(saved, system)}`,
  };
};
