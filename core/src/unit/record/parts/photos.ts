import { z } from 'zod';
import { isMadeKey, words } from '../values/spot.ts';
import { part } from './part.ts';

const share = z.number().min(0).max(1);
const point = z.tuple([share, share]);

/**
 * What a photo shows: `specs.gvwr`, `findings.<id>`, `wheels.Spare`, `inspection.breakaway`, `stations.hitch`.
 */
export const photoTarget = z
  .string()
  .regex(/^(specs|features|places|findings|wheels|moisture|inspection|stations)\.[\w-]{1,60}$/);

/** A photo of a unit: what it shows, and the arrows drawn on it. The picture itself lies beside the record. */
export const photoSchema = z.strictObject({
  of: z.array(photoTarget).min(1).max(12),
  /** Pixels, upright. */
  width: z.number().int().min(1).max(20_000),
  height: z.number().int().min(1).max(20_000),
  caption: words.optional(),
  /** From and to, as shares of width and height. */
  arrows: z
    .array(z.strictObject({ from: point, to: point }))
    .max(12)
    .optional(),
});
export type Photo = z.infer<typeof photoSchema>;

/** Photos: what each shows; the pictures lie beside the record under the same ids. */
export const photos = part({
  schema: photoSchema,
  isKey: isMadeKey,
  label: () => 'A photo',
  text: ({ of, caption }, { called }) => caption ?? `of ${of.map(called).join(', ')}`,
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    { of: ['specs.gvwr'], width: 1600, height: 1200 },
  ],
});
