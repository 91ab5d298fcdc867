import { z } from 'zod';
import {
  confidenceOf,
  outcomeSchema,
  positiveSchema,
  withoutAnswer,
  type Outcome,
} from '../../unit/outcome/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';

/** What goes into the comparison “What does a lower box save?”. Inches, miles an hour. */
export const dragInputSchema = z.strictObject({
  /** Height of the box above the road, and its width. */
  height: positiveSchema.optional(),
  width: positiveSchema.optional(),
  /** Of the box that it is held against. */
  otherHeight: positiveSchema.optional(),
  otherWidth: positiveSchema.optional(),
  speed: z.number().min(10).max(90).default(60),
});
export type DragInput = z.infer<typeof dragInputSchema>;

export const dragValueSchema = z.strictObject({
  /** Pounds-force on each. */
  force: z.number(),
  other: z.number(),
  /** Less than the other, 0 to 1; below 0 it is more. */
  saved: z.number(),
});
export type DragValue = z.infer<typeof dragValueSchema>;
export const dragOutcomeSchema = outcomeSchema(dragValueSchema);

/** Air at sea level and 59 °F, kg/m³: ISO 2533. */
const airDensity = 1.225;
/** Of a blunt box behind a vehicle; common practice. In the comparison it falls out. */
const dragCoefficient = 0.8;
const squareMeters = 0.0254 ** 2;
const metersPerSecond = 0.447_04;
const poundsForce = 4.448_222;

/**
 * F = ½ ρ C_d A v².
 * @param area square inches
 * @param speed miles an hour
 * @returns pounds-force
 */
export const dragForce = (area: number, speed: number): number =>
  (0.5 * airDensity * dragCoefficient * area * squareMeters * (speed * metersPerSecond) ** 2) /
  poundsForce;

const source = 'F = ½ρC_dAv²; ρ by ISO 2533, C_d of a blunt box 0.8: common practice';

/** The force of the air on two boxes, as a comparison only: wind, shape and vehicle are not in it. */
export const drag = (input: DragInput, system: System): Outcome<DragValue> => {
  const { height, width, otherHeight, otherWidth, speed } = input;
  const missing = [
    ...(height ? [] : [{ label: 'Height above the road', field: 'specs.heightWithAc' }]),
    ...(width ? [] : [{ label: 'Width of the box', field: 'specs.width' }]),
    ...(otherHeight && otherWidth ? [] : [{ label: 'The other box' }]),
  ];
  if (!height || !width || !otherHeight || !otherWidth) return withoutAnswer(missing, source);
  const force = dragForce(height.amount * width.amount, speed);
  const other = dragForce(otherHeight.amount * otherWidth.amount, speed);
  const saved = 1 - force / other;
  const show = (pounds: number): string => formatQuantity(pounds, 'weight', system);
  const feet = (inches: number): string => formatQuantity(inches, 'feet', system);
  const part = `${Math.round(Math.abs(saved) * 100)}%`;
  return {
    value: { force, other, saved },
    steps: [
      {
        what: 'Front of each',
        arithmetic: `${feet(height.amount)} × ${feet(width.amount)} against ${feet(otherHeight.amount)} × ${feet(otherWidth.amount)}`,
      },
      {
        what: 'Air on each',
        arithmetic: `½ × ${airDensity} × ${dragCoefficient} × front × (${speed} mph)² = ${show(force)} against ${show(other)}`,
      },
    ],
    assumptions: [
      'Both the same shape, in still air, and the tow vehicle shields both alike. It’s a comparison, not a fuel forecast.',
    ],
    source,
    confidence: confidenceOf([
      height,
      width,
      otherHeight,
      otherWidth,
      { amount: 0, how: 'assumed' },
    ]),
    missing: [],
    sentence:
      saved >= 0
        ? `It has about ${part} less air drag than the other.`
        : `It has about ${part} more air drag than the other.`,
  };
};
