import { z } from 'zod';

/** Where a figure of a vehicle is from; it decides how sure the answer is. */
export const figureSources = [
  { key: 'label', label: 'door label', found: 'off the door label', how: 'read' },
  { key: 'plate', label: 'receiver’s plate', found: 'off the plate', how: 'read' },
  { key: 'guide', label: 'maker’s guide', found: 'in the maker’s guide', how: 'sheet' },
  { key: 'scale', label: 'a scale', found: 'on a scale', how: 'measured' },
  { key: 'told', label: 'the owner says', found: 'by the owner', how: 'told' },
  { key: 'class', label: 'usual of its class', found: 'usual of its class', how: 'assumed' },
] as const;
export type FigureSource = (typeof figureSources)[number]['key'];

/** What may be known of a vehicle, where its real figure stands, and its kind: pounds or inches. */
export const vehicleFigures = [
  { key: 'payload', label: 'Payload', from: 'label', kind: 'weight' },
  { key: 'towRating', label: 'Tow rating', from: 'guide', kind: 'weight' },
  { key: 'gcwr', label: 'Vehicle and trailer together', from: 'guide', kind: 'weight' },
  { key: 'curb', label: 'Empty vehicle', from: 'scale', kind: 'weight' },
  { key: 'receiver', label: 'Receiver, plain ball', from: 'plate', kind: 'weight' },
  {
    key: 'receiverDistributing',
    label: 'Receiver, weight-distributing',
    from: 'plate',
    kind: 'weight',
  },
  { key: 'rearRating', label: 'Rear axle rating', from: 'label', kind: 'weight' },
  { key: 'rearUnladen', label: 'On the rear axle, empty', from: 'scale', kind: 'weight' },
  { key: 'wheelbase', label: 'Wheelbase', from: 'guide', kind: 'length' },
  { key: 'overhang', label: 'Rear axle to the ball', from: 'guide', kind: 'length' },
] as const;
export type VehicleFigureKey = (typeof vehicleFigures)[number]['key'];

const keysOf = <K extends string>(rows: readonly { readonly key: K }[]): [K, ...K[]] =>
  rows.map(({ key }) => key) as [K, ...K[]];

export const figureSchema = z.strictObject({
  amount: z.number().min(1).max(100_000),
  from: z.enum(keysOf<FigureSource>(figureSources)),
});
export type Figure = z.infer<typeof figureSchema>;

/** A vehicle that tows: one of a class, or a buyer’s own. Pounds and inches. */
export const vehicleSchema = z.strictObject({
  key: z.string().regex(/^[a-z0-9-]{3,40}$/),
  label: z.string().trim().min(1).max(60),
  /** What a yard usually meets, or one that a buyer brought. */
  kind: z.enum(['class', 'buyer']),
  figures: z.partialRecord(z.enum(keysOf<VehicleFigureKey>(vehicleFigures)), figureSchema),
});
export interface Vehicle {
  readonly key: string;
  readonly label: string;
  readonly kind: 'class' | 'buyer';
  readonly figures: Readonly<Partial<Record<VehicleFigureKey, Figure>>>;
}
