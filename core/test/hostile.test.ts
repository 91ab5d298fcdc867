import { describe, expect, it } from '@jest/globals';
import { parseDate } from '@fair-gable/core/base/dates';
import {
  parseCounted,
  parseQuantity,
  parseRough,
  parseSize,
  withFigures,
} from '@fair-gable/core/base/quantity';
import { riskyIn } from '@fair-gable/core/show/claims';
import { findEntries, specs } from '@fair-gable/core/unit/catalog';
import { readDotDate, readFloorPlan, readTireCode, readVin } from '@fair-gable/core/unit/identity';
import { emptyRecord, typedSpec } from '@fair-gable/core/unit/record';
import { columnsOf, decimalOf, readLine, withPoint } from '@fair-gable/core/unit/stock-list';
import { isFoundIn } from '@fair-gable/core/yard/list';

/** Whatever somebody brings is read in a time that grows as its length does: ten times the characters, not a hundred times. */
const kinds: Readonly<Record<string, (n: number) => string>> = {
  brackets: (n) => '('.repeat(n),
  'closed brackets': (n) => '()'.repeat(n / 2),
  spaces: (n) => `4${' '.repeat(n)}x`,
  figures: (n) => '9'.repeat(n),
  'figures and points': (n) => '1.'.repeat(n / 2),
  'figures and spaces': (n) => '1 '.repeat(n / 2),
  dashes: (n) => '-'.repeat(n),
  quotes: (n) => '"\''.repeat(n / 2),
  'sides of a bed': (n) => ' x'.repeat(n / 2),
  'one letter': (n) => 'a'.repeat(n),
};

const some = { columns: ['gvwr', 'series', 'vin'] as const, system: 'us', how: 'told' } as const;
const parsers: Readonly<Record<string, (text: string) => unknown>> = {
  'a heading': (text) => columnsOf([text, 'VIN'], [[text, text]]),
  'how numbers are written': (text) => decimalOf([[text]], ['gvwr'], 'us'),
  'a decimal comma': withPoint,
  'a line of a list': (text) => readLine(1, [text, text, text], some),
  'every field': (text) => specs.map(({ key }) => typedSpec(key, text, 'us')),
  'a quantity': (text) => parseQuantity(text, 'feet', 'us'),
  'a rough one': (text) => parseRough(text, 'weight', 'metric'),
  'a counted one': (text) => parseCounted(text, 'weight', 'us'),
  'a number in words': withFigures,
  'a size': (text) => parseSize(text, 'inches', 2, 'us'),
  'a date': (text) => parseDate(text, 'day', 'us'),
  'a VIN': readVin,
  'a tire': readTireCode,
  'its date': readDotDate,
  'a floor plan': readFloorPlan,
  'a search': (text) => isFoundIn('fenlark 24 rkd', text),
  'the finder of fields': findEntries,
  'words to a buyer': (text) => riskyIn(text, { record: emptyRecord, stock: [], system: 'us' }),
};

const spent = (work: () => unknown): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};
/** The least of three: a machine may have something else to do. */
const least = (work: () => unknown): number => Math.min(spent(work), spent(work), spent(work));

/** Ten times as long is ten times the work; a hundred times would be a square. Below this nobody waits. */
const growth = 40;
const nothing = 20;

describe('100,000 hostile characters against 10,000', () => {
  for (const [parser, read] of Object.entries(parsers)) {
    it.each(Object.keys(kinds))(`${parser}: %s`, (kind) => {
      const [short, long] = [kinds[kind]!(10_000), kinds[kind]!(100_000)];
      const [a, b] = [least(() => read(short)), least(() => read(long))];
      expect(b < nothing || b / a < growth ? 'grows with its length' : `${a} ms → ${b} ms`).toBe(
        'grows with its length',
      );
    });
  }
});
