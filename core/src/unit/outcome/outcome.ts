import { inText } from '../../base/words/index.ts';
import { z } from 'zod';
import type { HowKnown } from '../catalog/index.ts';

/*
 * The pattern of an engine: a pure function over named quantities. It gives a value with the arithmetic that led to it,
 * what it assumed, where its rule comes from, how sure it can be, what is missing, and a sentence to say.
 */

/** How an input is known: as in the record, tried on the bench, or assumed where nobody knows better. */
export const inputHows = [
  'read',
  'measured',
  'seen',
  'sheet',
  'told',
  'guessed',
  'tried',
  'assumed',
] as const;
export type InputHow = HowKnown | 'tried' | 'assumed';

/** A quantity that goes into an engine, in the internal unit of its kind. */
export const givenSchema = z.strictObject({
  amount: z.number().finite(),
  how: z.enum(inputHows).default('tried'),
});
export interface Given {
  readonly amount: number;
  readonly how: InputHow;
}

/** A quantity of a kind that cannot be below nought. */
export const measureSchema = givenSchema.extend({ amount: z.number().min(0).max(1_000_000) });
/** One that cannot be nought either; what is smaller is no weight, length or pressure of a trailer. */
export const positiveSchema = givenSchema.extend({ amount: z.number().min(0.01).max(1_000_000) });

/** A line of the arithmetic, with the values put in. */
export interface Working {
  readonly what: string;
  /** “7,490 lb − 5,572 lb − 392 lb = 1,526 lb”. */
  readonly arithmetic: string;
}

/** Something that has to be known first, and the field of the record that holds it. */
export interface Missing {
  readonly label: string;
  readonly field?: string | undefined;
}

/** No better than the worst input: `stated`, `told` where something we were told went in, `about` where a guess or an assumption did. */
export type Confidence = 'stated' | 'told' | 'about';

/** What an engine answers. Without a value it says what is missing, never a silent default. */
export interface Outcome<V> {
  readonly value: V | undefined;
  readonly steps: readonly Working[];
  readonly assumptions: readonly string[];
  readonly source: string;
  readonly confidence: Confidence;
  readonly missing: readonly Missing[];
  readonly sentence: string;
  /** The inputs contradict one another; the sentence says which. */
  readonly refused?: true;
}

/** How sure an answer can be, by what went into it. */
export const confidenceOf = (inputs: readonly (Given | undefined)[]): Confidence => {
  const hows = new Set(inputs.flatMap((input) => input?.how ?? []));
  if (hows.has('guessed') || hows.has('assumed')) return 'about';
  return hows.has('told') || hows.has('sheet') ? 'told' : 'stated';
};

const sureness: Readonly<Record<InputHow, number>> = {
  tried: 0,
  read: 0,
  measured: 0,
  seen: 0,
  sheet: 1,
  told: 2,
  assumed: 3,
  guessed: 3,
};

/** How several things together are known: as the worst of them. */
export const worstHow = (first: InputHow, ...more: readonly InputHow[]): InputHow =>
  more.reduce((worst, how) => (sureness[how] > sureness[worst] ? how : worst), first);

/** A figure as it is said by how sure it is: a guess in, “about” out. */
export const hedged = (text: string, confidence: Confidence): string =>
  confidence === 'about' ? `about ${text}` : text;

/** How an input is known that another answer was worked out for: no better than that answer. */
export const howOfAnswer = (confidence: Confidence): InputHow =>
  ({ about: 'assumed', told: 'told', stated: 'tried' })[confidence] as InputHow;

/** Something that cannot be so: the field, and a sentence that names it and says what to do. */
export interface Impossible {
  readonly field: string;
  readonly label: string;
  readonly sentence: string;
}

/** The answer where the inputs contradict one another: none, and the sentence that says which. */
export const refusedAnswer = (
  { field, label, sentence }: Impossible,
  source: string,
): Outcome<never> => ({
  value: undefined,
  steps: [],
  assumptions: [],
  source,
  confidence: 'stated',
  missing: [{ label, field }],
  sentence,
  refused: true,
});

/** The answer where something has to be known first. */
export const withoutAnswer = (missing: readonly Missing[], source: string): Outcome<never> => ({
  value: undefined,
  steps: [],
  assumptions: [],
  source,
  confidence: 'stated',
  missing,
  sentence: `We can’t say yet: ${missing.map(({ label }) => inText(label)).join(', ')} ${missing.length === 1 ? 'is' : 'are'} not known.`,
});

export const outcomeSchema = <V extends z.ZodType>(value: V) =>
  z.strictObject({
    value: value.optional(),
    steps: z.array(z.strictObject({ what: z.string(), arithmetic: z.string() })),
    assumptions: z.array(z.string()),
    source: z.string(),
    confidence: z.enum(['stated', 'told', 'about']),
    missing: z.array(z.strictObject({ label: z.string(), field: z.string().optional() })),
    sentence: z.string(),
    refused: z.literal(true).optional(),
  });
