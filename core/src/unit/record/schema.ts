import { z } from 'zod';
import {
  featureStates,
  isFeatureKey,
  isInspectionKey,
  isLocatedKey,
  isSpecKey,
  isWheelKey,
  knownBy,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type InspectionKey,
  type SpecKey,
  type WheelKey,
} from '../catalog/index.ts';
import { fittedSchema, stowedSchema, type Fitted, type Stowed } from './values/aboard.ts';
import {
  findingSchema,
  signatureKeyPattern,
  signatureSchema,
  type Finding,
  type Signature,
} from './values/finding.ts';
import { inspectedSchema, type Inspected } from './values/inspected.ts';
import { photoSchema, type Photo } from './values/photo.ts';
import { questionSchema, type Question } from './values/question.ts';
import { isWordingKey, wordingSchema, type Wording } from './values/wording.ts';
import { sideSchema } from './values/side.ts';
import { isMadeKey, keysOf, textLimit } from './values/spot.ts';
import { keptTrialSchema, type KeptTrial } from './values/trial.ts';
import { moistureSchema, wheelSchema, type Moisture, type Wheel } from './values/wheel.ts';

export const howKnownSchema = z.enum(keysOf<HowKnown>(knownBy));
export const featureStateSchema = z.enum(keysOf<FeatureState>(featureStates));
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

/** Whether it was only seen, or tried. */
export const triedSchema = z.enum(['works', 'faulty']);

export const featureValueSchema = z.strictObject({
  state: featureStateSchema,
  tried: triedSchema.optional(),
});
export type FeatureValue = z.infer<typeof featureValueSchema>;

/** No travel trailer reaches farther back from its coupler, inches: common practice. */
export const longestPlace = 720;
const inches = z.number().min(0).max(longestPlace);

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
  /** Who and when are as a file says that was taken in: nobody here saw it written. */
  filed: z.literal(true).optional(),
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

/**
 * What each part of a record holds: of a field of the catalogue several sources may speak; all else is one thing
 * at a time, signed by whoever put it there.
 */
export const valueSchemas = {
  specs: specValueSchema,
  features: featureValueSchema,
  places: placeSchema,
  settlements: settlementSchema,
  findings: findingSchema,
  wheels: wheelSchema,
  moisture: moistureSchema,
  photos: photoSchema,
  inspection: inspectedSchema,
  signatures: signatureSchema,
  stowed: stowedSchema,
  fitted: fittedSchema,
  questions: questionSchema,
  trials: keptTrialSchema,
  wordings: wordingSchema,
} as const;

const part = <T extends z.ZodType>(value: T) => z.record(z.string(), entryOf(value)).default({});

/** A unit's record: whatever is not here is not known. */
export const recordSchema = z.strictObject({
  specs: z.record(z.string(), disputableOf(specValueSchema)),
  features: z.record(z.string(), disputableOf(featureValueSchema)),
  places: z.record(z.string(), entryOf(placeSchema)),
  settlements: z.record(z.string(), entryOf(settlementSchema)),
  findings: part(findingSchema),
  wheels: part(wheelSchema),
  moisture: part(moistureSchema),
  photos: part(photoSchema),
  inspection: part(inspectedSchema),
  signatures: part(signatureSchema),
  stowed: part(stowedSchema),
  fitted: part(fittedSchema),
  questions: part(questionSchema),
  trials: part(keptTrialSchema),
  wordings: part(wordingSchema),
});

/** What one source says of a field, who brought it, and when. */
export interface Statement<T> {
  readonly value: T;
  readonly how: HowKnown;
  readonly by: string;
  readonly at: string;
  readonly filed?: true | undefined;
}

/** A field as it is known: what the best source says, and what others say that is not the same. */
export interface Entry<T> extends Statement<T> {
  readonly version: number;
  readonly others?: readonly Statement<T>[] | undefined;
}

type Held<K extends string, V> = Readonly<Partial<Record<K, Entry<V>>>>;

export interface UnitRecord {
  readonly specs: Held<SpecKey, SpecValue>;
  readonly features: Held<FeatureKey, FeatureValue>;
  readonly places: Held<SpecKey | FeatureKey, Place>;
  readonly settlements: Held<string, Settlement>;
  /** Condition, by ids made where the finding was made. */
  readonly findings: Held<string, Finding>;
  readonly wheels: Held<WheelKey, Wheel>;
  readonly moisture: Held<string, Moisture>;
  readonly photos: Held<string, Photo>;
  readonly inspection: Held<InspectionKey, Inspected>;
  /** Of the inspection, and of findings. */
  readonly signatures: Held<string, Signature>;
  readonly stowed: Held<FeatureKey, Stowed>;
  readonly fitted: Held<string, Fitted>;
  readonly questions: Held<string, Question>;
  /** What was tried on the benches and kept under a name. */
  readonly trials: Held<string, KeptTrial>;
  /** Cards of the walk that somebody worded, wants always or never, or wrote; by the card’s id. */
  readonly wordings: Held<string, Wording>;
}

/** The parts of a record, in the order in which they are written. */
export const parts = Object.keys(valueSchemas) as (keyof UnitRecord)[];
export type Part = keyof UnitRecord;

export const emptyRecord = Object.fromEntries(
  parts.map((name) => [name, {}]),
) as unknown as UnitRecord;

/** Which keys a part has. */
export const keyTests: { readonly [P in Part]: (key: string) => boolean } = {
  specs: isSpecKey,
  features: isFeatureKey,
  places: isLocatedKey,
  settlements: (key) => settlementKeyPattern.test(key),
  findings: isMadeKey,
  wheels: isWheelKey,
  moisture: isMadeKey,
  photos: isMadeKey,
  inspection: isInspectionKey,
  signatures: (key) => signatureKeyPattern.test(key),
  stowed: isFeatureKey,
  fitted: isMadeKey,
  questions: isMadeKey,
  trials: isMadeKey,
  wordings: isWordingKey,
};
