/**
 * Tire sizes as they are molded on sidewalls.
 * Source: common practice; the dimensions follow from the code itself (width in millimeters, aspect in percent of
 * it, rim in inches).
 */
export interface TireCode {
  /** ST for trailers, LT for light trucks, P for cars; a car or metric code may bear none. */
  readonly service: 'ST' | 'LT' | 'P' | undefined;
  readonly construction: 'radial' | 'bias';
  /** Millimeters. */
  readonly width: number;
  /** Height of the sidewall in percent of the width; undefined where the code does not say. */
  readonly aspect: number | undefined;
  /** Inches. */
  readonly rim: number;
  /** Outside diameter when new, inches; undefined where the code does not say. */
  readonly diameter: number | undefined;
  readonly loadIndex: number | undefined;
  readonly speed: string | undefined;
}

const metric =
  /^(ST|LT|P)?\s*(\d{3})\s*\/\s*(\d{2})\s*([RDB-])\s*(\d{2}(?:\.\d)?)(?:\s*(\d{2,3})?(?:\/\d{2,3})?\s*([A-Z])?)?$/;
const inches = /^(ST|LT)?\s*(\d{1,2}\.\d{1,2})\s*([R-])\s*(\d{1,2})(?:\s*(?:ST|LT))?$/;

const millimetersPerInch = 25.4;

const constructionOf = (letter: string): TireCode['construction'] =>
  letter === 'R' ? 'radial' : 'bias';

const fromMetric = (m: RegExpExecArray): TireCode => {
  const [, service, width, aspect, letter = '', rim, index, speed] = m;
  const wall = (Number(width) * Number(aspect)) / 100;
  return {
    service: service as TireCode['service'],
    construction: constructionOf(letter),
    width: Number(width),
    aspect: Number(aspect),
    rim: Number(rim),
    diameter: Number(rim) + (2 * wall) / millimetersPerInch,
    loadIndex: index === undefined ? undefined : Number(index),
    speed,
  };
};

const fromInches = (m: RegExpExecArray): TireCode => {
  const [, service, width, letter = '', rim] = m;
  return {
    service: service as TireCode['service'],
    construction: constructionOf(letter),
    width: Number(width) * millimetersPerInch,
    aspect: undefined,
    rim: Number(rim),
    diameter: undefined,
    loadIndex: undefined,
    speed: undefined,
  };
};

const longestCode = 60;

/**
 * A size code read into its parts.
 * @returns undefined when it is no size that trailers ride on
 * @example readTireCode('ST225/75R15') // width 225, aspect 75, rim 15, diameter 28.3
 */
export const readTireCode = (typed: string): TireCode | undefined => {
  const code = typed.trim().toUpperCase();
  if (code.length > longestCode) return undefined;
  const m = metric.exec(code);
  if (m) return fromMetric(m);
  const n = inches.exec(code);
  return n ? fromInches(n) : undefined;
};

/** The code without its spaces and what stands behind the rim: what two tires must have in common. */
export const sizeOf = (typed: string): string =>
  typed
    .toUpperCase()
    .replaceAll(/\s/g, '')
    .replace(/^((?:ST|LT|P)?\d{3}\/\d{2}[RDB-]\d{2}).*$/, '$1');
