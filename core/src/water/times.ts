import { poundsPerGallon } from '../quantity/index.ts';

/*
 * Times and levels of water. Gallons are US, power in watts, temperatures in kelvin differences.
 */

/** A BTU heats a pound of water by one degree Fahrenheit: by its definition. */
const wattsPerBtuHour = 0.293_071_07;
const fahrenheitPerKelvin = 1.8;

/**
 * Minutes to fill a tank by a hose.
 * @param flow gallons a minute; a yard's tap gives 3 to 6, common practice
 */
export const fillMinutes = (gallons: number, flow: number): number => gallons / flow;

/** Gallons a minute by gravity through an open valve of so many inches, with the head of a tank; common practice. */
const drainFlow = { 1: 5, 1.5: 12, 3: 40 } as const;
export type DrainSize = keyof typeof drainFlow;

/** Minutes to drain a tank by gravity. */
export const drainMinutes = (gallons: number, inches: DrainSize): number =>
  gallons / drainFlow[inches];

/**
 * What a panel of three lamps says: between how many gallons the tank holds. A sensor lies at each third, so that
 * “two thirds” is anything from there to the next one.
 * @param lit 0 to 3
 */
export const betweenThirds = (
  gallons: number,
  lit: 0 | 1 | 2 | 3,
): { readonly from: number; readonly to: number } => ({
  from: (gallons * lit) / 3,
  to: lit === 3 ? gallons : (gallons * (lit + 1)) / 3,
});

/**
 * Minutes until a heater's tank is hot again.
 * @param watts what the burner or element takes
 * @param efficiency of it that reaches the water: about 0.75 by gas, 1 by element, common practice
 * @param rise kelvin; 33 is 60 °F
 * @example recoveryMinutes(6, 3517, 0.75, 33.3) // 20.0: 6 gal, 12,000 BTU/h
 */
export const recoveryMinutes = (
  gallons: number,
  watts: number,
  efficiency: number,
  rise: number,
): number => {
  const wanted = gallons * poundsPerGallon * rise * fahrenheitPerKelvin;
  const given = (watts / wattsPerBtuHour) * efficiency;
  return (wanted / given) * 60;
};
