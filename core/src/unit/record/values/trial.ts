import { z } from 'zod';
import { wheelPlaces, type SpecKey, type WheelKey } from '../../catalog/index.ts';
import { day, keysOf } from './spot.ts';
import { vehicleSchema, type Vehicle } from './vehicle.ts';

export const tankKeys = [
  'freshTank',
  'grayTank',
  'galleyTank',
  'blackTank',
] as const satisfies readonly SpecKey[];
export type TankKey = (typeof tankKeys)[number];

/** The buyer’s questions that can be tried. */
export const questionKeys = ['load', 'tow', 'nights', 'tires', 'label', 'scale'] as const;
export type QuestionKey = (typeof questionKeys)[number];

const pounds = z.number().min(0).max(100_000);
const psi = z.number().min(1).max(200);

/** Three weighings, as far as they are made. Pounds. */
export const weighingsSchema = z.strictObject({
  vehicle: pounds.optional(),
  together: pounds.optional(),
  trailerAxles: pounds.optional(),
});
export type Weighings = z.infer<typeof weighingsSchema>;

const gallons = z.number().min(0).max(60);

/** What people use without a hookup, gallons a person and day, in place of a style's usual figures. */
export const waterRatesSchema = z.strictObject({
  /** Into the gray tanks; nobody gets by with none. */
  gray: gallons.min(0.1),
  /** Of the gray, at the galley's sink. */
  galleyShare: z.number().min(0).max(1),
  black: gallons,
  drunk: gallons,
});
export type WaterRates = z.infer<typeof waterRatesSchema>;

/** What is tried on a unit’s benches; the record stays as it is. Pounds, psi, shares from 0 to 1. */
export const trialSchema = z.strictObject({
  levels: z.partialRecord(z.enum(tankKeys), z.number().min(0).max(1)),
  /** By the place it lies at. */
  gear: z.record(z.string().max(20), pounds),
  propane: z.boolean(),
  people: z.number().int().min(1).max(12),
  style: z.string().max(20),
  /** What these people use, gallons a person and day, in place of the style's usual figures. */
  rates: waterRatesSchema.optional(),
  /** Days since the tanks were filled and emptied. */
  days: z.number().min(0).max(30),
  vehicle: vehicleSchema,
  aboard: pounds,
  hardware: pounds,
  distributing: z.boolean(),
  reserve: z.number().min(0).max(0.5),
  pressures: z.partialRecord(z.enum(keysOf<WheelKey>(wheelPlaces)), psi),
  weighings: weighingsSchema,
});
export interface Trial {
  readonly levels: Readonly<Partial<Record<TankKey, number>>>;
  readonly gear: Readonly<Record<string, number>>;
  readonly propane: boolean;
  readonly people: number;
  readonly style: string;
  readonly rates?: WaterRates | undefined;
  readonly days: number;
  readonly vehicle: Vehicle;
  readonly aboard: number;
  readonly hardware: number;
  readonly distributing: boolean;
  readonly reserve: number;
  readonly pressures: Readonly<Partial<Record<WheelKey, number>>>;
  readonly weighings: Readonly<Weighings>;
}

/** A trial kept under a name. */
export const keptTrialSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  question: z.enum(questionKeys),
  /** Whether the walk has a card of its answer. */
  card: z.boolean(),
  on: day,
  trial: trialSchema,
});
export interface KeptTrial {
  readonly name: string;
  readonly question: QuestionKey;
  readonly card: boolean;
  readonly on: string;
  readonly trial: Trial;
}
