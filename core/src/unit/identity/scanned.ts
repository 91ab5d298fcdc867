import { tidyVin } from './vin.ts';

/** What a code on a label says. */
export type Scanned =
  | { readonly kind: 'vin'; readonly vin: string }
  | { readonly kind: 'stock-number'; readonly stockNumber: string }
  | { readonly kind: 'other'; readonly text: string };

/** Seventeen characters without I, O and Q: 49 CFR 565. Makers put an I before it in bar codes of the trade. */
const vin = /^I?([A-HJ-NPR-Z0-9]{17})$/;
const stockNumber = /^[A-Z]{1,4}-?\d{2,8}[A-Z]?$/;

/**
 * What a scanned code says: a VIN, a stock number, or something else.
 * A code may hold several words or an address; the first that is one of them counts.
 * @example readScanned('I1FGTB2026R1000417') // { kind: 'vin', vin: '1FGTB2026R1000417' }
 */
export const readScanned = (text: string): Scanned => {
  const words = text
    .toUpperCase()
    .split(/[\s/?&=,;]+/)
    .filter(Boolean);
  const found = words.map((word) => vin.exec(tidyVin(word))?.[1]).find(Boolean);
  if (found) return { kind: 'vin', vin: found };
  const stock = words.find((word) => stockNumber.test(word));
  return stock ? { kind: 'stock-number', stockNumber: stock } : { kind: 'other', text };
};
