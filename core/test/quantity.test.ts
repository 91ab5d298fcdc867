import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  displayRow,
  displays,
  formatCounted,
  formatQuantity,
  fromInternal,
  parseCounted,
  parseQuantity,
  quantityParts,
  readNumber,
  sentence,
  systems,
  toInternal,
  units,
  type Display,
  type System,
} from '@fair-gable/core';

describe('units', () => {
  // NIST SP 811 (2008) appendix B.8, each to the digits printed there.
  it.each([
    [1, 'ft', 'm', 0.3048],
    [1, 'in', 'cm', 2.54],
    [1, 'lb', 'kg', 0.4535924],
    [1, 'gal', 'L', 3.785412],
    [1, 'psi', 'kPa', 6.894757],
    [1, 'BTU/h', 'W', 0.2930711],
    [1, 'bar', 'kPa', 100],
  ] as const)('%d %s is the published number of %s', (amount, from, to, published) => {
    const digits = 7 - Math.ceil(Math.log10(published));
    expect(fromInternal(toInternal(amount, from), to)).toBeCloseTo(published, digits);
  });

  it('has exactly one internal unit for each dimension', () => {
    const dimensions = new Set(units.map((row) => row.dimension));
    for (const dimension of dimensions) {
      const internal = units.filter((row) => row.dimension === dimension && row.factor === 1);
      expect(internal.map((row) => row.key)).toHaveLength(1);
    }
  });

  it('never gives one name to two units', () => {
    const names = units.flatMap((row) => row.names as readonly string[]);
    expect(new Set(names).size).toBe(names.length);
  });
});

describe('what people type', () => {
  // Handbook 5 and common practice on a lot.
  it.each([
    ["26'4", 'feet', 'us', 316],
    ['26\'4"', 'feet', 'us', 316],
    ['26 ft 4 in', 'feet', 'us', 316],
    ['26ft 4', 'feet', 'us', 316],
    ['26 ft 4 1/2 in', 'feet', 'us', 316.5],
    ['26 ft 4½', 'feet', 'us', 316.5],
    ['26', 'feet', 'us', 312],
    ['316 in', 'feet', 'us', 316],
    ['26.5 ft', 'feet', 'us', 318],
    ['2/3 ft', 'feet', 'us', 8],
    ['8.03 m', 'feet', 'us', 803 / 2.54],
    ['8,03 m', 'feet', 'us', 803 / 2.54],
    ['8.03', 'feet', 'metric', 803 / 2.54],
    ['6,340', 'weight', 'us', 6340],
    ['6340 lb', 'weight', 'us', 6340],
    ['6340lbs', 'weight', 'us', 6340],
    ['6 340 lb', 'weight', 'us', 6340],
    ['1000 kg', 'weight', 'us', 1000 / 0.45359237],
    ['13,500 BTU', 'heat', 'us', (13_500 * 1055.05585262) / 3600],
    ['4 kW', 'heat', 'us', 4000],
    ['.5 bar', 'pressure', 'us', 50 / 6.894757293168361],
    ['30 amps', 'current', 'us', 30],
  ] as const)('“%s” in %s (%s)', (typed, display, system, internal) => {
    const read = parseQuantity(typed, display, system);
    expect(read).toEqual({ ok: true, value: expect.closeTo(internal, 6) });
  });

  it.each([
    ['2 x 30', 2, 30],
    ['2 × 30 lb', 2, 30],
    ['2*30', 2, 30],
    ['2x3,500', 2, 3500],
    ['30', 1, 30],
  ] as const)('counts “%s” apart from its size', (typed, count, each) => {
    expect(parseCounted(typed, 'weight', 'us')).toEqual({ ok: true, value: { count, each } });
  });

  it.each([
    ['', 'empty'],
    ['  ', 'empty'],
    ['-4 lb', 'negative'],
    ['−4', 'negative'],
    ['some', 'not-a-quantity'],
    ['4 lb 3 lb', 'not-a-quantity'],
    ['1.2.3', 'not-a-quantity'],
    ['2 furlongs', 'unknown-unit'],
    ['2 ft', 'other-dimension'],
    ['3 psi', 'other-dimension'],
  ] as const)('refuses “%s” as %s', (typed, code) => {
    const read = parseQuantity(typed, 'weight', 'us');
    expect(read).toMatchObject({ ok: false, problem: { code } });
    if (!read.ok)
      expect(sentence('Gross weight rating', read.problem)).toMatch(/^Gross weight rating .+\.$/);
  });

  it('refuses inches before feet', () => {
    expect(parseQuantity('4 in 3 ft', 'feet', 'us')).toMatchObject({
      problem: { code: 'not-a-quantity' },
    });
  });

  it.each(['0 x 30', '100 x 30'])('refuses the count in “%s”', (typed) => {
    expect(parseCounted(typed, 'weight', 'us')).toMatchObject({
      ok: false,
      problem: { code: 'count' },
    });
  });

  it('reads grouped thousands and decimal commas apart', () => {
    expect([readNumber('6,340'), readNumber('6,34'), readNumber('1,234,567.5')]).toEqual([
      6340, 6.34, 1234567.5,
    ]);
    expect(readNumber('6,34,0')).toBeNaN();
  });

  it('never throws and never reads less than nothing, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 24 }), fc.constantFrom(...systems), (typed, system) => {
        const read = parseQuantity(typed, 'feet', system);
        return !read.ok || read.value >= 0;
      }),
    );
  });
});

describe('what is shown', () => {
  it.each([
    [316, 'feet', 'us', '26 ft 4 in'],
    [316.5, 'feet', 'us', '26 ft 4½ in'],
    [312, 'feet', 'us', '26 ft'],
    [5.25, 'feet', 'us', '5¼ in'],
    [0.5, 'feet', 'us', '½ in'],
    [335.99, 'feet', 'us', '28 ft'],
    [316, 'feet', 'metric', '8.03 m'],
    [7490, 'weight', 'us', '7,490 lb'],
    [7490, 'weight', 'metric', '3,397 kg'],
    [47, 'volume', 'us', '47 gal'],
    [toInternal(13_500, 'BTU/h'), 'heat', 'us', '13,500 BTU/h'],
    [toInternal(13_500, 'BTU/h'), 'heat', 'metric', '3.96 kW'],
    [65, 'pressure', 'metric', '448 kPa'],
  ] as const)('%d internal as %s (%s) is “%s”', (internal, display, system, text) => {
    expect(formatQuantity(internal, display, system)).toBe(text);
  });

  it('writes counts before sizes, also of one', () => {
    expect(formatCounted({ count: 2, each: 30 }, 'weight', 'us')).toBe('2 × 30 lb');
    expect(formatCounted({ count: 1, each: 30 }, 'weight', 'us')).toBe('1 × 30 lb');
  });

  it('keeps number and unit apart', () => {
    expect(quantityParts(316, 'feet', 'us')).toEqual([
      { number: '26', unit: 'ft' },
      { number: '4', unit: 'in' },
    ]);
  });

  it('reads back what it shows, to the last figure shown', () => {
    const anyDisplay = fc.constantFrom(...(Object.keys(displays) as Display[]));
    const amounts = fc.double({ min: 1, max: 20_000, noNaN: true });
    fc.assert(
      fc.property(
        anyDisplay,
        fc.constantFrom<System>(...systems),
        amounts,
        (display, system, amount) => {
          const read = parseQuantity(formatQuantity(amount, display, system), display, system);
          const { unit, decimals } = displayRow(display)[system];
          const isFeet = unit === 'ft';
          const step = isFeet ? 1 / 16 : toInternal(0.5 * 10 ** -decimals, unit);
          return read.ok && Math.abs(read.value - amount) <= step + 1e-9;
        },
      ),
    );
  });
});
