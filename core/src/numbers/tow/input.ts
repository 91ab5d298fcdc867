import { z } from 'zod';
import {
  measureSchema,
  positiveSchema,
  type Given,
  type Impossible,
} from '../../unit/outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';

const length = (from: number, to: number) =>
  positiveSchema.extend({ amount: z.number().min(from).max(to) });

/** What goes into the question “What should tow it?”. Pounds and inches; shares 0 to 1. */
export const towInputSchema = z
  .strictObject({
    /** The trailer as it is loaded. */
    loaded: positiveSchema.optional(),
    /** How it is loaded, as part of a sentence: “with fresh water full”. */
    as: z.string().trim().min(1).max(80).default('as loaded'),
    /** Of the loaded weight on the hitch. */
    share: positiveSchema.extend({ amount: z.number().min(0.02).max(0.4) }).optional(),
    /** The trailer's own GVWR. */
    gross: positiveSchema.optional(),
    payload: positiveSchema.optional(),
    towRating: positiveSchema.optional(),
    gcwr: positiveSchema.optional(),
    /** The receiver's two ratings: with a plain ball, and with a weight-distributing hitch. */
    receiver: positiveSchema.optional(),
    receiverDistributing: positiveSchema.optional(),
    /** Which of the two holds. */
    distributing: z.boolean().default(false),
    /** The vehicle as it stands, with nobody in it. */
    curb: positiveSchema.optional(),
    /** People and gear in the vehicle. */
    aboard: measureSchema.optional(),
    /** The weight-distribution hitch itself. */
    hardware: measureSchema.optional(),
    /** The vehicle's rear axle: its rating, and what lies on it empty. */
    rearRating: positiveSchema.optional(),
    rearUnladen: positiveSchema.optional(),
    wheelbase: length(60, 260).optional(),
    /** From the rear axle to the ball. */
    overhang: length(10, 120).optional(),
    /** Of each rating kept in hand; schools differ between none and a fifth. */
    reserve: z.number().min(0).max(0.5).default(0),
  })
  .superRefine((input, context) => {
    const found = towProblem(input as TowInput, 'us');
    if (found) {
      context.addIssue({ code: 'custom', message: found.sentence, path: [found.field, 'amount'] });
    }
  });
export type TowInput = z.infer<typeof towInputSchema>;

/** What cannot be so of a vehicle, by the field that is most likely wrong; undefined where nothing contradicts. */
export const towProblem = (
  { curb, gcwr, rearUnladen, rearRating }: TowInput,
  system: System,
): Impossible | undefined => {
  const show = (given: Given): string => formatQuantity(given.amount, 'weight', system);
  if (curb && gcwr && curb.amount >= gcwr.amount) {
    return {
      field: 'curb',
      label: 'Empty vehicle',
      sentence: `The empty vehicle weighs ${show(curb)}, but vehicle and trailer together may weigh ${show(gcwr)}. Check both figures.`,
    };
  }
  if (rearUnladen && rearRating && rearUnladen.amount >= rearRating.amount) {
    return {
      field: 'rearUnladen',
      label: 'On the rear axle, empty',
      sentence: `The empty vehicle’s rear axle carries ${show(rearUnladen)}, but it’s rated for ${show(rearRating)}. Check both figures.`,
    };
  }
  return undefined;
};

/** The receiver's rating that holds: with weight distribution the higher one, where it is known; else the plain one. */
export const receiverOf = (input: TowInput): Given | undefined =>
  input.distributing ? (input.receiverDistributing ?? input.receiver) : input.receiver;
