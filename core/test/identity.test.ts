import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { readVin, tidyVin, vinCheckDigit } from '@fair-gable/core';

describe('VIN check digit', () => {
  // The first is the worked example of 49 CFR 565.15(c); seventeen ones is its best known self-check (from memory).
  it.each([
    ['1M8GDM9AXKP042788', 'X'],
    ['11111111111111111', '1'],
  ])('of %s is %s', (vin, digit) => {
    expect(vinCheckDigit(vin)).toBe(digit);
    expect(readVin(vin)).toEqual({ kind: 'good' });
  });

  it('says which digit was asked for', () => {
    expect(readVin('1M8GDM9A1KP042788')).toEqual({
      kind: 'check-digit',
      found: '1',
      expected: 'X',
    });
  });

  it('names the character that no VIN has, and where', () => {
    expect(readVin('1M8GDM9AXKPO42788')).toEqual({
      kind: 'character',
      character: 'O',
      position: 12,
    });
    expect(vinCheckDigit('1M8GDM9AXKPO42788')).toBeUndefined();
  });

  it('counts the characters of a short one', () => {
    expect(readVin('1M8GDM9')).toEqual({ kind: 'length', length: 7 });
  });

  it('reads lower case, spaces and hyphens', () => {
    expect(tidyVin('1m8-gdm9a xkp 042788')).toBe('1M8GDM9AXKP042788');
    expect(readVin('1m8gdm9a-xkp042788')).toEqual({ kind: 'good' });
  });

  it('notices every slip of one digit', () => {
    // Weights other than 0 and no two digits equal modulo 11: any single wrong digit shows (49 CFR 565.15).
    const at = fc.integer({ min: 10, max: 16 });
    fc.assert(
      fc.property(at, fc.integer({ min: 1, max: 9 }), (i, add) => {
        const vin = '1M8GDM9AXKP042788';
        const digit = vin.charAt(i);
        fc.pre(/\d/.test(digit));
        const wrong = vin.slice(0, i) + String((Number(digit) + add) % 10) + vin.slice(i + 1);
        return readVin(wrong).kind === 'check-digit';
      }),
    );
  });
});
