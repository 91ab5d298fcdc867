import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { sentence } from '@fair-gable/core/base/problems';
import {
  displayRow,
  displays,
  formatCounted,
  formatSize,
  formatQuantity,
  fromInternal,
  parseCounted,
  parseQuantity,
  parseSize,
  quantityParts,
  readNumber,
  systems,
  toInternal,
  units,
  type Display,
  type System,
} from '@fair-gable/core/base/quantity';

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
    [1, 'ft³', 'L', 28.31685],
    [1, 'lb·ft', 'N·m', 1.355818],
    [1, 'mph', 'km/h', 1.609344],
    [1, 'RSI', 'R', 5.678263],
    [1, 'CFM', 'm³/h', 1.699011],
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
    if (!read.ok) expect(sentence('GVWR', read.problem)).toMatch(/^GVWR .+\.$/);
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

  it('never throws and never reads less than zero, whatever is typed', () => {
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
    [1.5, 'fineInches', 'us', '1 ½ in'],
    [5 / 32, 'fineInches', 'us', '5⁄32 in'],
    [2 / 32, 'fineInches', 'us', '1⁄16 in'],
    [1.5, 'fineInches', 'metric', '38 mm'],
    [9, 'rValue', 'us', 'R-9'],
    [9, 'rValue', 'metric', '1.58 RSI'],
    [toInternal(-10, '°F'), 'temperature', 'us', '-10 °F'],
    [toInternal(-10, '°F'), 'temperature', 'metric', '-23 °C'],
    [toInternal(10.3, 'ft³'), 'cubicFeet', 'us', '10.3 ft³'],
  ] as const)('%d internal as %s (%s) is “%s”', (internal, display, system, text) => {
    expect(formatQuantity(internal, display, system)).toBe(text);
  });

  // The fixed points of the two scales: NIST SP 811 B.8.
  it.each([
    [32, 0],
    [212, 100],
    [-40, -40],
  ])('%d °F is %d °C', (fahrenheit, celsius) => {
    expect(fromInternal(toInternal(fahrenheit, '°F'), '°C')).toBeCloseTo(celsius, 9);
  });

  it.each([
    ['-10', 'us', -10],
    ['-10 °F', 'metric', -10],
    ['−23 °C', 'us', -9.4],
    ['40', 'us', 40],
  ] as const)('%s typed in %s units is %d °F', (typed, system, fahrenheit) => {
    const read = parseQuantity(typed, 'temperature', system);
    expect(read.ok && fromInternal(read.value, '°F')).toBeCloseTo(fahrenheit, 1);
  });

  it.each([
    ['R-9', 'rValue', 9],
    ['r 11', 'rValue', 11],
    ['9', 'rValue', 9],
    ['10.3 cu ft', 'cubicFeet', toInternal(10.3, 'ft³')],
    ['8 ft3', 'cubicFeet', toInternal(8, 'ft³')],
    ['5/32', 'fineInches', 5 / 32],
    ['5⁄32 in', 'fineInches', 5 / 32],
    ['1½', 'fineInches', 1.5],
    ['100 ft-lb', 'torque', 100],
    ['200 W', 'watts', 200],
  ] as const)('reads %s', (typed, display, amount) => {
    const read = parseQuantity(typed, display, 'us');
    expect(read.ok && read.value).toBeCloseTo(amount, 9);
  });

  it.each([
    ['60 x 80', 'us', [60, 80]],
    ['60 × 80 in', 'us', [60, 80]],
    ['60 by 74 1/2', 'us', [60, 74.5]],
    ['152 x 203', 'metric', [152 / 2.54, 203 / 2.54]],
    ["5' x 6'8", 'us', [60, 80]],
  ] as const)('reads the sides of %s', (typed, system, sides) => {
    const read = parseSize(typed, 'inches', 2, system);
    expect(read).toMatchObject({ ok: true });
    if (read.ok) read.value.forEach((side, i) => expect(side).toBeCloseTo(sides[i] ?? 0, 9));
  });

  it.each([
    ['60', 'sides'],
    ['60 x 80 x 90', 'sides'],
    ['60 x wide', 'not-a-quantity'],
    ['60 x 80 lb', 'other-dimension'],
    ['', 'empty'],
  ])('refuses the sides of “%s”: %s', (typed, code) => {
    expect(parseSize(typed, 'inches', 2, 'us')).toMatchObject({ ok: false, problem: { code } });
  });

  it('says the unit of a size once', () => {
    expect(formatSize([60, 74.5], 'inches', 'us')).toBe('60 × 74.5 in');
    expect(formatSize([22, 14, 96], 'inches', 'metric')).toBe('56 × 36 × 244 cm');
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
          const row = displayRow(display);
          const { unit, decimals } = row[system];
          const isFeet = unit === 'ft';
          const part = system === 'us' && row.us.fraction ? 1 / row.us.fraction : 10 ** -decimals;
          const step = isFeet ? 1 / 16 : toInternal(0.5 * part, unit) - toInternal(0, unit);
          return read.ok && Math.abs(read.value - amount) <= step + 1e-9;
        },
      ),
    );
  });
});
