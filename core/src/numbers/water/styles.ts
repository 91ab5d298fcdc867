import { z } from 'zod';
import { waterRatesSchema, type WaterRates } from '../../unit/record/index.ts';

/** How people use water without a hookup: US gallons a person and day, and a day for all together. */
export interface WaterStyle {
  readonly key: 'frugal' | 'usual' | 'home';
  readonly label: string;
  /** Into the gray tanks: sink and shower. */
  readonly gray: number;
  /** Of the gray, at the galley's sink: goes to its own tank where there is one. */
  readonly galleyShare: number;
  /** Into the black tank: flushes and what goes with them. */
  readonly black: number;
  /** Drunk, cooked and spilled: out of the fresh tank and into none. */
  readonly drunk: number;
}

/** Common practice; what a family really uses shows after its first trip. */
export const waterStyles: readonly WaterStyle[] = [
  {
    key: 'frugal',
    label: 'Frugal: wet, off, rinse',
    gray: 2.5,
    galleyShare: 0.5,
    black: 0.8,
    drunk: 0.7,
  },
  {
    key: 'usual',
    label: 'Average: one short shower a day',
    gray: 6,
    galleyShare: 0.35,
    black: 1.2,
    drunk: 0.8,
  },
  { key: 'home', label: 'Like at home', gray: 14, galleyShare: 0.25, black: 2, drunk: 1 },
];

/** A yard's own figures, by style. */
export const yardWaterSchema = z.partialRecord(
  z.enum(['frugal', 'usual', 'home']),
  waterRatesSchema,
);
export type YardWater = z.infer<typeof yardWaterSchema>;

/** The figures of a style, without its name. */
export const ratesOf = ({ gray, galleyShare, black, drunk }: WaterStyle): WaterRates => ({
  gray,
  galleyShare,
  black,
  drunk,
});

export const waterStyle = (key: string): WaterStyle | undefined =>
  waterStyles.find((row) => row.key === key);
