// Held against general-purpose libraries of the registry, on seeded values.
import convert from 'convert-units';
import fc from 'fast-check';
import vinValidator from 'vin-validator';
import { describe, expect, it } from '@jest/globals';
import { fromInternal, toInternal, type UnitKey } from '@fair-gable/core/base/quantity';
import { vinCheckDigit } from '@fair-gable/core/unit/identity';

const characters = [...'0123456789ABCDEFGHJKLMNPRSTUVWXYZ'];
const seventeen = fc
  .array(fc.constantFrom(...characters), { minLength: 17, maxLength: 17 })
  .map((all) => all.join(''));

describe('the check digit of a VIN', () => {
  // 49 CFR 565.15(c); the library knows good from bad.
  it('is the only one of eleven that a VIN library takes, for two thousand VINs', () => {
    fc.assert(
      fc.property(seventeen, (vin) => {
        const withDigit = (digit: string): string => vin.slice(0, 8) + digit + vin.slice(9);
        const taken = [...'0123456789X'].filter((digit) => vinValidator.validate(withDigit(digit)));
        expect(taken).toEqual([vinCheckDigit(vin)]);
      }),
      { seed: 565, numRuns: 2000 },
    );
  });
});

/** Our unit, the library's name of it, and its name of our internal unit. */
const pairs: readonly (readonly [UnitKey, string, string])[] = [
  ['ft', 'ft', 'in'],
  ['mm', 'mm', 'in'],
  ['cm', 'cm', 'in'],
  ['m', 'm', 'in'],
  ['kg', 'kg', 'lb'],
  ['L', 'l', 'gal'],
  ['ft³', 'ft3', 'gal'],
  ['kPa', 'kPa', 'psi'],
  ['bar', 'bar', 'psi'],
  ['kW', 'kW', 'W'],
  ['°F', 'F', 'K'],
  ['°C', 'C', 'K'],
  ['km/h', 'km/h', 'm/h'],
];

describe('units', () => {
  // The library's own factors have six or seven figures.
  it.each(pairs)(
    '%s are those of a conversion library, there and back',
    (unit, theirs, internal) => {
      fc.assert(
        fc.property(fc.double({ min: 1, max: 10_000, noNaN: true }), (amount) => {
          const there = convert(amount).from(theirs).to(internal);
          const ours = toInternal(amount, unit);
          expect(Math.abs(ours - there) / Math.abs(there)).toBeLessThan(2e-5);
          expect(fromInternal(ours, unit)).toBeCloseTo(amount, 6);
        }),
        { seed: 811, numRuns: 200 },
      );
    },
  );
});
