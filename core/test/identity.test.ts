import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  builtOn,
  loadOfIndex,
  modelYearsOf,
  planInWords,
  readDotDate,
  readFloorPlan,
  readTireCode,
  readVin,
  sizeOf,
  speedOfSymbol,
  tableLoad,
  tidyVin,
  tireMonths,
  vinCheckDigit,
} from '@fair-gable/core/unit/identity';

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
      // By table IV of 49 CFR 565.15 nothing else is worth 0.
      fitting: ['0'],
    });
    expect(vinCheckDigit('1M8GDM9AXKPO42788')).toBeUndefined();
  });

  it('names what a smudged ninth character must be, and nothing where two can’t be read', () => {
    // The worked number of 49 CFR 565.15, its check digit X smudged.
    expect(readVin('1M8GDM9A?KP042788')).toMatchObject({ position: 9, fitting: ['X'] });
    expect(readVin('1M8GDM9A?KP?42788')).toMatchObject({ position: 9, fitting: [] });
  });

  it('offers for another place only characters with which the number checks', () => {
    const reading = readVin('1M8GD?9AXKP042788');
    const fitting = reading.kind === 'character' ? reading.fitting : [];
    expect(fitting).toContain('M');
    for (const one of fitting) expect(readVin(`1M8GD${one}9AXKP042788`).kind).toBe('good');
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

describe('the model year of a VIN', () => {
  // 49 CFR 565.15(d), table VII (from memory): A 1980, Y 2000, 1 2001, A again 2010.
  it.each([
    ['A', [1980, 2010]],
    ['K', [1989, 2019]],
    ['Y', [2000, 2030]],
    ['1', [2001, 2031]],
    ['9', [2009, 2039]],
    ['T', [1996, 2026]],
  ])('%s is one of %j', (character, years) => {
    expect(modelYearsOf(`1M8GDM9AX${character}P042788`)).toEqual(years);
  });

  it.each(['U', 'Z', '0', 'O'])('%s stands for none', (character) => {
    expect(modelYearsOf(`1M8GDM9AX${character}P042788`)).toEqual([]);
  });

  it('is not read from a number of another length', () => {
    expect(modelYearsOf('1M8GDM9AXK')).toEqual([]);
  });
});

describe('the date of a tire', () => {
  // Week 01 is the first full calendar week, Sunday to Saturday: 49 CFR 574.5(d); dates by the calendar.
  it.each([
    ['3625', { week: 36, year: 2025 }, '2025-09-07'],
    ['DOT 1LX3 ABCD 0123', { week: 1, year: 2023 }, '2023-01-01'],
    ['0124', { week: 1, year: 2024 }, '2024-01-07'],
    ['XYZ5219', { week: 52, year: 2019 }, '2019-12-29'],
  ])('%s is %j, from %s', (typed, date, day) => {
    expect(readDotDate(typed)).toEqual({ kind: 'good', date });
    expect(builtOn(date)).toBe(day);
  });

  it('tells the last century by its three digits, and what cannot be', () => {
    expect(readDotDate('408')).toEqual({ kind: 'last-century', week: 40, lastDigit: 8 });
    expect(readDotDate('5925')).toEqual({ kind: 'week', week: 59 });
    expect(readDotDate('0025')).toEqual({ kind: 'week', week: 0 });
    expect(readDotDate('ST225')).toEqual({ kind: 'last-century', week: 22, lastDigit: 5 });
    expect(readDotDate('none')).toEqual({ kind: 'no-date' });
  });

  it('ages by whole months', () => {
    expect(tireMonths({ week: 7, year: 2019 }, '2026-04-09')).toBe(85);
    expect(tireMonths({ week: 40, year: 2026 }, '2026-04-09')).toBeLessThan(0);
  });
});

describe('tire codes', () => {
  // ST225/75R15: 15 + 2 × 0.75 × 225 / 25.4 = 28.29 in; makers' tables round it to 28.3 (common practice).
  it.each([
    ['ST225/75R15', { service: 'ST', width: 225, aspect: 75, rim: 15, construction: 'radial' }, 28.29],
    ['st205/75 r14', { service: 'ST', width: 205, aspect: 75, rim: 14, construction: 'radial' }, 26.11],
    ['ST235/80R16 123/119L', { loadIndex: 123, speed: 'L', rim: 16 }, 30.8],
    ['ST175/80D13', { construction: 'bias', rim: 13 }, 24.02],
    ['LT235/85R16', { service: 'LT' }, 31.73],
    ['205/65R15', { service: undefined }, 25.49],
  ])('%s', (typed, parts, diameter) => {
    const read = readTireCode(typed);
    expect(read).toMatchObject(parts);
    expect(read?.diameter).toBeCloseTo(diameter, 1);
  }); // prettier-ignore

  it('reads old sizes in inches, and nothing else', () => {
    expect(readTireCode('4.80-12')).toMatchObject({ rim: 12, construction: 'bias' });
    expect(readTireCode('5.30-12')?.width).toBeCloseTo(134.6, 1);
    expect(readTireCode('fifteen')).toBeUndefined();
    expect(readTireCode('3625')).toBeUndefined();
  });

  it('compares sizes without what stands behind the rim', () => {
    expect(sizeOf('st 225/75 r15 117m')).toBe('ST225/75R15');
    expect(sizeOf('ST225/75R15')).toBe(sizeOf('st225/75r15'));
  });
});

describe('load index and speed symbol', () => {
  // ISO 4000-1, from memory: fixed points that every table prints.
  it.each([
    [60, 250],
    [75, 387],
    [84, 500],
    [91, 615],
    [100, 800],
    [107, 975],
    [113, 1150],
    [121, 1450],
    [126, 1700],
  ])('index %d carries %d kg', (index, load) => {
    expect(loadOfIndex(index)).toBe(load);
  });

  it('rises by about three percent a step, and doubles in twenty-four or so', () => {
    for (let index = 60; index < 126; index++) {
      const step = (loadOfIndex(index + 1) ?? 0) / (loadOfIndex(index) ?? 1);
      expect(step).toBeGreaterThan(1.02);
      expect(step).toBeLessThan(1.045);
    }
    for (let index = 60; index + 24 <= 126; index++) {
      expect((loadOfIndex(index + 24) ?? 0) / (loadOfIndex(index) ?? 1)).toBeCloseTo(2, 0);
    }
  });

  it('says nothing outside its table', () => {
    expect([loadOfIndex(59), loadOfIndex(127)]).toEqual([undefined, undefined]);
    expect([speedOfSymbol('M'), speedOfSymbol('l'), speedOfSymbol('I')]).toEqual([
      130,
      120,
      undefined,
    ]);
  });

  it('agrees with the loads of the trailer-tire tables to the index the sidewall bears', () => {
    // ST225/75R15 E is marked 117 (1285 kg = 2833 lb): TRA table, from memory.
    expect((loadOfIndex(117) ?? 0) / 0.45359237).toBeCloseTo(
      tableLoad('ST225/75R15', 'E') ?? 0,
      -1,
    );
    expect(tableLoad('ST225/75R15', 'G')).toBeUndefined();
  });
});

describe('floor-plan codes', () => {
  it.each([
    ['24 RKD', 24, 'nominally 24 ft, which isn’t its length; RK rear kitchen; D dinette or trim'],
    ['2607BH', 26, 'nominally 26 ft, which isn’t its length; BH bunkhouse'],
    ['18MB', 18, 'nominally 18 ft, which isn’t its length; MB wall bed or mid bunk'],
    ['27-RBX', 27, 'nominally 27 ft, which isn’t its length; RB rear bath or rear bunk; X maybe the trim'],
    ['28DBH', 28, 'nominally 28 ft, which isn’t its length; D dinette or trim; BH bunkhouse'],
  ])('%s', (typed, feet, words) => {
    const read = readFloorPlan(typed);
    expect(read?.feet).toBe(feet);
    expect(read && planInWords(read)).toBe(words);
  }); // prettier-ignore

  it('keeps feet to itself where the number cannot be feet', () => {
    expect(readFloorPlan('99XL')?.feet).toBeUndefined();
    expect(readFloorPlan('Wanderer')).toBeUndefined();
  });

  it('reads by the yard’s own glossary', () => {
    const own = [{ code: 'X', readings: ['an extra axle'] }];
    expect(readFloorPlan('22X', own)?.parts).toEqual([{ code: 'X', readings: ['an extra axle'] }]);
  });
});
