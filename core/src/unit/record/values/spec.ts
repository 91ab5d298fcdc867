import { z } from 'zod';
import type { ValueKind } from '../../catalog/index.ts';
import { textLimit } from './spot.ts';

const amount = z.number().positive().max(1_000_000);

/** How far a figure goes that somebody gave only roughly: about 200, under 3,200, over 60. */
export const bounds = ['about', 'under', 'over'] as const;
export type Bound = (typeof bounds)[number];

/** Quantities are in the internal units of `quantity/units.ts`; dates are `2025-03` or `2026-03-14`. */
export const specValueSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('text'), text: z.string().trim().min(1).max(textLimit) }),
  z.strictObject({ kind: z.literal('number'), number: z.number().int().min(0).max(9_999_999) }),
  z.strictObject({ kind: z.literal('choice'), choice: z.string().min(1).max(40) }),
  z.strictObject({
    kind: z.literal('quantity'),
    /** Nothing only where there can be nothing: a step of 0 in. */
    amount: z.number().min(0).max(1_000_000),
    bound: z.enum(bounds).optional(),
    /** The upper end of a range, 16 to 18 ft. */
    to: amount.optional(),
  }),
  z.strictObject({
    kind: z.literal('counted'),
    count: z.number().int().min(1).max(99),
    /** Left out where they were only counted. */
    each: amount.optional(),
  }),
  z.strictObject({ kind: z.literal('size'), sides: z.array(amount).min(2).max(3) }),
  z.strictObject({
    kind: z.literal('date'),
    date: z.string().regex(/^\d{4}-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01]))?$/),
  }),
]);
export type SpecValue = z.infer<typeof specValueSchema>;

/** A value of one kind. */
export type SpecOf<K extends ValueKind['kind']> = Extract<SpecValue, { kind: K }>;

/** The one figure a quantity is worked with: of a range its middle. */
export const figureOf = ({ amount: from, to }: SpecOf<'quantity'>): number =>
  to === undefined ? from : (from + to) / 2;

/**
 * A quantity in words, with how far it goes: about so much, under it, from here to there.
 * @param write an amount, internal units
 */
export const withBounds = (
  { amount: from, bound, to }: SpecOf<'quantity'>,
  write: (amount: number) => string,
): string => {
  if (to !== undefined) return `${write(from)} to ${write(to)}`;
  return bound ? `${bound} ${write(from)}` : write(from);
};

/** Whether a value says one figure and no more or less: not about, not under, not from here to there. */
export const isExact = (value: SpecValue): boolean =>
  value.kind !== 'quantity' || (value.bound === undefined && value.to === undefined);
