import type { WheelKey } from '@fair-gable/core/unit/catalog';

/*
 * What a yard would connect. Each is a small port with a stand-in that ships with the program and is offered in the demo
 * only; every figure can be typed by hand instead.
 */

/** A public scale: one weighing at a time, pounds. */
export interface Scale {
  readonly weigh: (what: Weighing) => number;
}
export const weighings = ['vehicle', 'together', 'trailerAxles'] as const;
export type Weighing = (typeof weighings)[number];

/** A tire gauge: the cold pressure of one wheel, psi. */
export interface TireGauge {
  readonly read: (wheel: WheelKey) => number;
}

/** A number that is always the same for the same text, 0 to 1. */
const drawnFrom = (text: string): number => {
  const sum = [...text].reduce((hash, letter) => (hash * 31 + letter.charCodeAt(0)) % 9973, 7);
  return sum / 9973;
};

const scaleStep = 20;
const rounded = (pounds: number): number => Math.round(pounds / scaleStep) * scaleStep;
/** Aboard that nobody told the record: cups, tools, a wet awning. Pounds. */
const forgotten = { least: 40, most: 220 } as const;

/**
 * The stand-in of a scale: the unit as figured, and what nobody told, rounded as scales do.
 * @param rig pounds: the vehicle with all in it, the trailer's whole and axle load
 */
export const standInScale = (
  unit: string,
  rig: { readonly vehicle: number; readonly total: number; readonly axles: number },
): Scale => {
  const extra = forgotten.least + drawnFrom(unit) * (forgotten.most - forgotten.least);
  const weights: Readonly<Record<Weighing, number>> = {
    vehicle: rig.vehicle,
    together: rig.vehicle + rig.total + extra,
    trailerAxles: rig.axles + extra * 0.9,
  };
  return { weigh: (what) => rounded(weights[what]) };
};

/** The stand-in of a gauge: near what the label asks for, one or another a little low. */
export const standInGauge = (unit: string, asked: number): TireGauge => ({
  read: (wheel) => Math.round(asked - drawnFrom(`${unit} ${wheel}`) ** 3 * 14),
});
