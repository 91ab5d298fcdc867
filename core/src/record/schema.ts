import { z } from 'zod';
import {
  featureStates,
  isFeatureKey,
  isLocatedKey,
  isSpecKey,
  knownBy,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type SpecKey,
} from '../catalogue/index.ts';

const keysOf = <K extends string>(rows: readonly { readonly key: K }[]): [K, ...K[]] =>
  rows.map((row) => row.key) as [K, ...K[]];

export const howKnownSchema = z.enum(keysOf<HowKnown>(knownBy));
export const featureStateSchema = z.enum(keysOf<FeatureState>(featureStates));
export const sideSchema = z.enum(['door', 'off-door', 'centre', 'front', 'rear']);

/** Longest text anywhere in a record. */
export const textLimit = 500;

const amount = z.number().positive().max(1_000_000);

/** Quantities are in the internal units of `quantity/units.ts`; dates are `2025-03` or `2026-03-14`. */
export const specValueSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('text'), text: z.string().trim().min(1).max(textLimit) }),
  z.strictObject({ kind: z.literal('number'), number: z.number().int().min(0).max(9_999_999) }),
  z.strictObject({ kind: z.literal('choice'), choice: z.string().min(1).max(40) }),
  z.strictObject({ kind: z.literal('quantity'), amount }),
  z.strictObject({
    kind: z.literal('counted'),
    count: z.number().int().min(1).max(99),
    each: amount,
  }),
  z.strictObject({ kind: z.literal('size'), sides: z.array(amount).min(2).max(3) }),
  z.strictObject({
    kind: z.literal('date'),
    date: z.string().regex(/^\d{4}-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01]))?$/),
  }),
]);
export type SpecValue = z.infer<typeof specValueSchema>;

/** Whether it was only seen, or tried. */
export const triedSchema = z.enum(['works', 'faulty']);

export const featureValueSchema = z.strictObject({
  state: featureStateSchema,
  tried: triedSchema.optional(),
});
export type FeatureValue = z.infer<typeof featureValueSchema>;

const inches = z.number().min(0).max(720);

/** Where something is: inches back from the coupler, its side, and for slides its size. */
export const placeSchema = z.strictObject({
  back: inches,
  side: sideSchema,
  height: inches.optional(),
  length: inches.optional(),
  depth: inches.optional(),
});
export type Place = z.infer<typeof placeSchema>;

/** Why an objection is let stand, and the inputs it was let stand for. */
export const settlementSchema = z.strictObject({
  reason: z.string().trim().min(3).max(textLimit),
  inputs: z.string().max(2000),
});
export type Settlement = z.infer<typeof settlementSchema>;

const statementOf = <T extends z.ZodType>(value: T) => ({
  value,
  how: howKnownSchema,
  by: z.string().min(1).max(80),
  at: z.iso.datetime(),
});

/** Counts the changes of this field, from 1. */
const version = z.number().int().min(1);

const entryOf = <T extends z.ZodType>(value: T) =>
  z.strictObject({ ...statementOf(value), version });

/** A field of which several sources may speak; each way of knowing has one word. */
const disputableOf = <T extends z.ZodType>(value: T) =>
  z.strictObject({
    ...statementOf(value),
    version,
    /** What worse sources say that is not the same, best first. */
    others: z
      .array(z.strictObject(statementOf(value)))
      .max(5)
      .optional(),
  });

export const settlementKeyPattern = /^[a-z][a-z-]{1,40}:[A-Za-z0-9]{1,40}$/;

/** A unit's record: whatever is not here is not known. */
export const recordSchema = z.strictObject({
  specs: z.record(z.string(), disputableOf(specValueSchema)),
  features: z.record(z.string(), disputableOf(featureValueSchema)),
  places: z.record(z.string(), entryOf(placeSchema)),
  settlements: z.record(z.string(), entryOf(settlementSchema)),
});

/** What one source says of a field, who brought it, and when. */
export interface Statement<T> {
  readonly value: T;
  readonly how: HowKnown;
  readonly by: string;
  readonly at: string;
}

/** A field as it is known: what the best source says, and what others say that is not the same. */
export interface Entry<T> extends Statement<T> {
  readonly version: number;
  readonly others?: readonly Statement<T>[] | undefined;
}

export interface UnitRecord {
  readonly specs: Readonly<Partial<Record<SpecKey, Entry<SpecValue>>>>;
  readonly features: Readonly<Partial<Record<FeatureKey, Entry<FeatureValue>>>>;
  readonly places: Readonly<Partial<Record<SpecKey | FeatureKey, Entry<Place>>>>;
  readonly settlements: Readonly<Partial<Record<string, Entry<Settlement>>>>;
}

export const emptyRecord: UnitRecord = { specs: {}, features: {}, places: {}, settlements: {} };

export const keyTests = {
  specs: isSpecKey,
  features: isFeatureKey,
  places: isLocatedKey,
  settlements: (key: string): key is string => settlementKeyPattern.test(key),
} as const;
