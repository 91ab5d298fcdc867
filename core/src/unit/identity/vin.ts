/**
 * VIN check digit.
 * Source: 49 CFR 565.15(c), tables IV (transliteration) and V (weights); characters I, O and Q do not occur.
 * A VIN is recorded as it is read and then objected to, never refused: older, foreign and
 * home-built trailers have none or another.
 */
const letterValues: Readonly<Record<string, number>> = {
  A: 1, B: 2, C: 3, D: 4, E: 5, F: 6, G: 7, H: 8,
  J: 1, K: 2, L: 3, M: 4, N: 5, P: 7, R: 9,
  S: 2, T: 3, U: 4, V: 5, W: 6, X: 7, Y: 8, Z: 9,
}; // prettier-ignore

const weights = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2] as const;

export type VinReading =
  | { readonly kind: 'good' }
  | { readonly kind: 'length'; readonly length: number }
  | {
      readonly kind: 'character';
      readonly character: string;
      readonly position: number;
      /** What would stand there if all others are right: one at the ninth, some elsewhere, none where two are unreadable. */
      readonly fitting: readonly string[];
    }
  | { readonly kind: 'check-digit'; readonly found: string; readonly expected: string };

const valueOf = (character: string): number | undefined =>
  /\d/.test(character) ? Number(character) : letterValues[character];

/** A VIN as it is compared: upper case, no spaces or hyphens. */
export const tidyVin = (typed: string): string => typed.toUpperCase().replaceAll(/[\s-]/g, '');

/**
 * What the check digit of a 17-character VIN should be.
 * @returns '0'–'9' or 'X'; undefined when a character cannot occur in a VIN
 * @example vinCheckDigit('1M8GDM9AXKP042788') // 'X'
 */
export const vinCheckDigit = (vin: string): string | undefined => {
  const values = [...vin].map(valueOf);
  if (values.length !== weights.length || values.includes(undefined)) return undefined;
  const sum = weights.reduce<number>((total, weight, i) => total + weight * (values[i] ?? 0), 0);
  return sum % 11 === 10 ? 'X' : String(sum % 11);
};

const characters = [...Object.keys(letterValues), ...'0123456789'];

/** The characters with which a VIN would check, at a place where one cannot be read. */
const fittingAt = (vin: string, place: number): readonly string[] =>
  characters.filter((character) => {
    const tried = vin.slice(0, place) + character + vin.slice(place + 1);
    return vinCheckDigit(tried) === tried[8];
  });

/**
 * What there is to say about a VIN as read.
 * @param typed as typed
 */
export const readVin = (typed: string): VinReading => {
  const vin = tidyVin(typed);
  if (vin.length !== weights.length) return { kind: 'length', length: vin.length };
  const bad = [...vin].findIndex((c) => valueOf(c) === undefined);
  if (bad >= 0) {
    const fitting = fittingAt(vin, bad);
    return { kind: 'character', character: vin[bad] ?? '', position: bad + 1, fitting };
  }
  const expected = vinCheckDigit(vin) ?? '';
  const found = vin[8] ?? '';
  return found === expected ? { kind: 'good' } : { kind: 'check-digit', found, expected };
};
