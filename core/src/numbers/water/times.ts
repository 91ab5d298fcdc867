import { poundsPerGallon } from '../../base/quantity/index.ts';

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

/** Of a sharp-edged valve; 0.6 to 0.65 in hydraulics handbooks. */
const dischargeCoefficient = 0.6;
const gravity = 9.806_65;
const cubicMeters = 0.003_785_411_784;
const metersPerInch = 0.0254;

export type DrainSize = 1 | 1.5 | 3;

/**
 * Minutes to drain a tank by gravity: Torricelli's law over a tank with upright walls, whose head falls to nought;
 * t = V √(2 ÷ (g h)) ÷ (C_d a). The hose and what is not water make it longer.
 * @param inches across the outlet
 * @param head inches of water over the outlet when full
 * @example drainMinutes(40, 3, 9) // 0.87
 */
export const drainMinutes = (gallons: number, inches: DrainSize, head: number): number => {
  const outlet = (Math.PI / 4) * (inches * metersPerInch) ** 2;
  const seconds =
    (gallons * cubicMeters * Math.sqrt(2 / (gravity * head * metersPerInch))) /
    (dischargeCoefficient * outlet);
  return seconds / 60;
};

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
 * Gallons an hour that a heater lifts by so much: BTU/h × η ÷ (8.345 × ΔT °F).
 * @param watts what the burner or element takes
 * @param rise kelvin; 55.6 is 100 °F
 * @example recoveryRate(3517, 0.72, 55.56) // 10.4: 12,000 BTU/h
 */
export const recoveryRate = (watts: number, efficiency: number, rise: number): number =>
  ((watts / wattsPerBtuHour) * efficiency) / (poundsPerGallon * rise * fahrenheitPerKelvin);

/**
 * Minutes until a heater's tank is hot again.
 * @param watts what the burner or element takes
 * @param efficiency of it that reaches the water: about 0.72 by gas, 0.98 by element, common practice
 * @param rise kelvin; 33 is 60 °F
 * @example recoveryMinutes(6, 3517, 0.75, 33.3) // 20.0: 6 gal, 12,000 BTU/h
 */
export const recoveryMinutes = (
  gallons: number,
  watts: number,
  efficiency: number,
  rise: number,
): number => (gallons / recoveryRate(watts, efficiency, rise)) * 60;
