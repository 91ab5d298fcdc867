import { z } from 'zod';
import { measureSchema, positiveSchema } from '../numbers/index.ts';

const length = (from: number, to: number) =>
  positiveSchema.extend({ amount: z.number().min(from).max(to) });

/** What goes into the question “What should tow it?”. Pounds and inches; shares 0 to 1. */
export const towInputSchema = z.strictObject({
  /** The trailer as it is loaded. */
  loaded: positiveSchema.optional(),
  /** Of the loaded weight on the hitch. */
  share: positiveSchema.extend({ amount: z.number().min(0.02).max(0.4) }).optional(),
  /** The trailer's own gross rating. */
  gross: positiveSchema.optional(),
  payload: positiveSchema.optional(),
  towRating: positiveSchema.optional(),
  gcwr: positiveSchema.optional(),
  /** The receiver as it is used: with weight distribution or without. */
  receiver: positiveSchema.optional(),
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
});
export type TowInput = z.infer<typeof towInputSchema>;
