import { z } from 'zod';
import { stations, type StationKey } from '../../catalog/index.ts';

/** Longest text anywhere in a record. */
export const textLimit = 500;

export const words = z.string().trim().min(1).max(textLimit);
export const day = z.string().regex(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/);

/** The drawing on which a spot lies. */
export const spotLayers = ['outside', 'inside', 'roof'] as const;

/**
 * A spot on the unit, inches: x across, the door side positive, 0 on the center line; y back from the coupler,
 * as on the outline.
 */
export const spotSchema = z.strictObject({
  layer: z.enum(spotLayers),
  x: z.number().min(-200).max(200),
  y: z.number().min(-60).max(800),
});
export type Spot = z.infer<typeof spotSchema>;

/** A key of what there may be many of: made on the device that made it. */
const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
export const isMadeKey = (key: string): key is string => uuid.test(key);

/** The keys of rows, as Zod wants them. */
export const keysOf = <K extends string>(rows: readonly { readonly key: K }[]): [K, ...K[]] =>
  rows.map((row) => row.key) as [K, ...K[]];

export const station = z.enum(keysOf<StationKey>(stations));
