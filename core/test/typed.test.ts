import { describe, expect, it } from '@jest/globals';
import { sentence } from '@fair-gable/core/base/problems';
import { toInternal, type System } from '@fair-gable/core/base/quantity';
import { specEntry, type SpecKey } from '@fair-gable/core/unit/catalog';
import { checkRecord } from '@fair-gable/core/unit/checks';
import {
  formatSpec,
  typedSpec,
  applyChange,
  emptyRecord,
  type Change,
  type SpecValue,
} from '@fair-gable/core/unit/record';
import { us } from './demo-units.ts';

/*
 * What people type on a lot, and how it is understood: as it is shown back. Common practice; the typed forms are our own.
 */
const taken: readonly (readonly [SpecKey, string, string, System?])[] = [
  ['listPrice', '$52,897.00', '52,897'],
  ['listPrice', '52897', '52,897'],
  ['askingPrice', '$38,900', '38,900'],
  ['askingPrice', '38.9k', '38,900'],
  ['ballSize', '2 5/16', '2 5⁄16 in'],
  ['ballSize', '2 5/16"', '2 5⁄16 in'],
  ['ballSize', '2-5/16 in', '2 5⁄16 in'],
  ['ballSize', '2 in', '2 in'],
  ['ballSize', '1 7/8 inch', '1 ⅞ in'],
  ['awningLength', '16–18 ft', '16 ft to 18 ft'],
  ['awningLength', '16-18 ft', '16 ft to 18 ft'],
  ['awningLength', '16 to 18 ft', '16 ft to 18 ft'],
  ['awningLength', 'about 16 ft', 'about 16 ft'],
  ['awningLength', "16'6", '16 ft 6 in'],
  ['rearRackRating', 'about 200', 'about 200 lb'],
  ['rearRackRating', '~200 lb', 'about 200 lb'],
  ['rearRackRating', '200ish', 'about 200 lb'],
  ['rearRackRating', 'around 200 lbs', 'about 200 lb'],
  ['rearRackRating', 'approx. 200', 'about 200 lb'],
  ['rearRackRating', 'up to 300 lb', '300 lb'],
  ['rearRackRating', '300 lb max', '300 lb'],
  ['uvw', 'under 3,200', 'under 3,200 lb'],
  ['uvw', 'less than 3200 lb', 'under 3,200 lb'],
  ['uvw', '<3200', 'under 3,200 lb'],
  ['uvw', 'over 5,000', 'over 5,000 lb'],
  ['uvw', '5000+', 'over 5,000 lb'],
  ['uvw', 'at least 5,000 lb', 'over 5,000 lb'],
  ['uvw', '5,572#', '5,572 lb'],
  ['uvw', '5572lbs', '5,572 lb'],
  ['uvw', '5572 pounds', '5,572 lb'],
  ['uvw', '2,500 kg', '5,512 lb'],
  ['uvw', '5 572', '5,572 lb'],
  ['fridgeSize', '10 cubic foot', '10 ft³'],
  ['fridgeSize', '10 cubic feet', '10 ft³'],
  ['fridgeSize', '10 cu ft', '10 ft³'],
  ['fridgeSize', '10 cu. ft.', '10 ft³'],
  ['fridgeSize', '10 cuft', '10 ft³'],
  ['fridgeSize', '10', '10 ft³'],
  ['furnace', '35k', '35,000 BTU/h'],
  ['furnace', '35K BTU', '35,000 BTU/h'],
  ['furnace', '35,000 BTU', '35,000 BTU/h'],
  ['furnace', '35000 btu/hr', '35,000 BTU/h'],
  ['furnace', '20 kBTU', '20,000 BTU/h'],
  ['furnace', '10 kW', '34,121 BTU/h'],
  ['acUnits', '15K BTU', '1 × 15,000 BTU/h'],
  ['acUnits', '13.5k', '1 × 13,500 BTU/h'],
  ['acUnits', '2 x 13,500', '2 × 13,500 BTU/h'],
  ['acUnits', 'two 15k', '2 × 15,000 BTU/h'],
  ['acUnits', '2', '2 × ?'],
  ['lpCylinders', 'two 20', '2 × 20 lb'],
  ['lpCylinders', 'two 30s', '2 × 30 lb'],
  ['lpCylinders', 'two 30-pound', '2 × 30 lb'],
  ['lpCylinders', '2-30#', '2 × 30 lb'],
  ['lpCylinders', '2 30', '2 × 30 lb'],
  ['lpCylinders', '2x20lb', '2 × 20 lb'],
  ['lpCylinders', '2 @ 30 lb', '2 × 30 lb'],
  ['lpCylinders', '30', '1 × 30 lb'],
  ['lpCylinders', 'two', '2 × ?'],
  ['lpCylinders', '2 × ?', '2 × ?'],
  ['axleRating', '2 x 3500', '2 × 3,500 lb'],
  ['axleRating', '2 3,500', '2 × 3,500 lb'],
  ['axleRating', 'two 3500 lb', '2 × 3,500 lb'],
  ['axleRating', '2', '2 × ?'],
  ['tieDowns', '12', '12 × ?'],
  ['tieDowns', '6 x 1,200', '6 × 1,200 lb'],
  ['batteryCharge', '2', '2 × ?'],
  ['batteryCharge', '2 x 100 amp hours', '2 × 100 Ah'],
  ['solarPanels', '2', '2 × ?'],
  ['solarPanels', '2 x 200 watts', '2 × 200 W'],
  ['bedSize', '60 x 80', '60 × 80 in'],
  ['bedSize', '60" x 80"', '60 × 80 in'],
  ['bedSize', '60 by 80', '60 × 80 in'],
  ['overallLength', "26'4", '26 ft 4 in'],
  ['overallLength', '26 ft 4 1/2 in', '26 ft 4½ in'],
  ['overallLength', '8.03 m', '26 ft 4⅛ in'],
  ['overallLength', '26-1/2 ft', '26 ft 6 in'],
  ['tubThreshold', '0 in', '0 in'],
  ['tubThreshold', '4', '4 in'],
  ['tireTread', '7/32', '7⁄32 in'],
  ['wallThickness', '1 1/2 in', '1 ½ in'],
  ['wallThickness', '2-1/4"', '2 ¼ in'],
  ['wallR', 'R-9', 'R-9'],
  ['wallR', 'R 9', 'R-9'],
  ['flooringCold', '-10 °F', '-10 °F'],
  ['flooringCold', '-10 degrees F', '-10 °F'],
  ['fridgeAmbient', '32 F', '32 °F'],
  ['shoreAmps', '30 amp', '30 A'],
  ['coldPressure', '65psi', '65 psi'],
  ['coldPressure', '450 kPa', '65 psi'],
  ['lugTorque', '100 ft-lb', '100 lb·ft'],
  ['awningWindLimit', '20 mph', '20 mph'],
  ['bunkCount', 'three', '3'],
  ['stepCount', '3', '3'],
  ['modelYear', '2021', '2021'],
  ['buildDate', '3/25', 'Mar 2025'],
  ['freshTank', '180 L', '180 L', 'metric'],
  ['overallLength', '8,03 m', '8.03 m', 'metric'],
  ['uvw', 'under 1,500', 'under 1,500 kg', 'metric'],
];

/** What cannot be taken: a sentence names the field, and says what to do. */
const refused: readonly (readonly [SpecKey, string, RegExp])[] = [
  ['modelYear', '2021.5', /whole number/],
  ['modelYear', '', /is empty/],
  ['bedSize', '60', /2 sides/],
  ['passThroughSize', '92 x 15', /3 sides/],
  ['uvw', '5,572 ft', /measures something else/],
  ['uvw', '5,572 stone', /unit we don’t know/],
  ['uvw', 'heavy', /can’t be read/],
  ['uvw', '0', /can’t be 0/],
  ['uvw', '-500', /less than zero/],
  ['awningLength', '18-16 ft', /runs backward/],
  ['ballSize', '2 1/4', /Choose one of/],
  ['lpCylinders', '0 x 30', /count that can’t be right/],
  ['stepCount', '2 or 3', /whole number/],
  ['buildDate', 'last spring', /isn’t a date/],
];

describe('what people type', () => {
  it('is a table of a hundred', () => {
    expect(taken.length + refused.length).toBeGreaterThanOrEqual(100);
  });

  it.each(taken)('%s: “%s” is understood as %s', (key, typed, shown, system = 'us') => {
    const read = typedSpec(key, typed, system);
    expect(
      read.ok ? formatSpec(key, read.value, system, 'read') : sentence(key, read.problem),
    ).toBe(shown);
    // What is shown back is understood the same.
    const again = typedSpec(key, shown, system);
    expect(again.ok && formatSpec(key, again.value, system, 'read')).toBe(shown);
  });

  it.each(refused)('%s: “%s” is refused in a sentence', (key, typed, why) => {
    const read = typedSpec(key, typed, 'us');
    if (read.ok) throw new Error(`taken as ${formatSpec(key, read.value, 'us', 'read')}`);
    const words = sentence(specEntry(key).label, read.problem);
    expect(words).toMatch(why);
    expect(words.startsWith(specEntry(key).label)).toBe(true);
  });
});

/** What each slip of the hand or tongue is taken for: its own sentence, and a button for each reading. */
const slips: readonly (readonly [string, SpecKey, string, RegExp, readonly string[]])[] = [
  ['a thousand', 'acUnits', '1 x 13.5', /in thousands/, ['Use 1 × 13,500 BTU/h']],
  ['a thousand', 'furnace', '20', /in thousands, it’s 20,000/, ['Use 20,000 BTU/h']],
  ['a shifted point', 'gvwr', '749', /decimal point 1 place right/, ['Use 7,490 lb']],
  ['a shifted point', 'freshTank', '470', /decimal point 1 place left/, ['Use 47 gal']],
  [
    'a count run into a size',
    'lpCylinders',
    '230',
    /count and size ran together/,
    ['Use 2 × 30 lb'],
  ],
  [
    'a count run into a size',
    'lpCylinders',
    '220',
    /count and size ran together/,
    ['Use 2 × 20 lb'],
  ],
  [
    'hundreds run together',
    'uvw',
    '50,210',
    /[Ww]ithout the extra 0, it’s 5,210 lb/,
    ['Use 5,210 lb'],
  ],
  ['both told as each', 'axleRating', '2 x 7000', /all of them together/, ['Use 2 × 3,500 lb']],
  ['both told as each', 'lpCylinders', '60', /all of them together/, ['Use 2 × 30 lb']],
  [
    'inches as feet',
    'overallLength',
    '316 ft',
    /Read as inches, it’s 26 ft 4 in/,
    ['Use 26 ft 4 in'],
  ],
  ['a count alone', 'tieDowns', '14', /it’s 14 with the size still unknown/, ['Use 14 × ?']],
];

describe('a slip', () => {
  const objection = (key: SpecKey, value: SpecValue) => {
    const change = { part: 'specs', key, value, how: 'read', basedOn: 0 } as Change;
    const record = applyChange(emptyRecord, change, 'Ines Rook', '2026-04-15T09:00:00.000Z');
    return checkRecord(record, us).find(
      ({ field, rule }) => field === key && /range|count/.test(rule),
    );
  };

  it.each(slips)('%s: %s typed as %s', (_, key, typed, words, offers) => {
    const read = typedSpec(key, typed, 'us');
    if (!read.ok) throw new Error(sentence(key, read.problem));
    const found = objection(key, read.value);
    expect(found?.sentence).toMatch(words);
    const labels = found?.ways.flatMap((way) => (way.kind === 'enter' ? [way.label] : []));
    expect(labels).toEqual(expect.arrayContaining([...offers]));
  });

  it('of several readings offers each, and of none offers none', () => {
    // 900 lb of axle: a nought lost, or nothing at all that fits.
    const several = objection('lpCylinders', { kind: 'counted', count: 1, each: 400 });
    const offers = several?.ways.filter(({ kind }) => kind === 'enter').map(({ label }) => label);
    expect(offers?.length).toBeGreaterThan(0);
    const none = objection('wheelSize', { kind: 'quantity', amount: toInternal(41, 'in') });
    expect(none?.sentence).toMatch(/Read it again\.$/);
    expect(none?.ways.some(({ kind }) => kind === 'enter')).toBe(false);
  });

  it('never makes a rating up of a count', () => {
    for (const key of [
      'tieDowns',
      'axleRating',
      'lpCylinders',
      'batteryCharge',
      'solarPanels',
      'acUnits',
    ] as const) {
      const { value } = specEntry(key);
      const count = value.kind === 'counted' ? value.counts.to : 0;
      const read = typedSpec(key, String(count), 'us');
      expect([key, read]).toEqual([key, { ok: true, value: { kind: 'counted', count } }]);
      expect(objection(key, { kind: 'counted', count })).toBeUndefined();
    }
  });
});
