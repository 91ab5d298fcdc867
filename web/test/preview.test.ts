import { describe, expect, it } from '@jest/globals';
import {
  countsOf,
  problemAt,
  understoodAt,
  unmatched,
  withColumn,
  type Preview,
} from '../src/unit/stock-list/preview.ts';

const preview: Preview = {
  rows: 2,
  fresh: 1,
  changed: 1,
  same: 0,
  problems: [{ line: 2, column: 1, sentence: 'Line 2, Dry weight: “heavy” is no weight.' }],
  problemCount: 1,
  badCells: 1,
  badLines: 0,
  headings: ['Stock #', 'Dry weight', 'Mood'],
  columns: ['stockNumber', 'uvw', null],
  sample: [
    ['TQ-0500', '5200', 'good'],
    ['TQ-0501', 'heavy', ''],
  ],
  decimal: 'point',
  understood: [
    [
      { says: 'TQ-0500', before: null },
      { says: '5,200 lb', before: '5,100 lb' },
      { says: null, before: null },
    ],
    [
      { says: 'TQ-0501', before: null },
      { says: null, before: null },
      { says: null, before: null },
    ],
  ],
};

describe('a list before it is taken in', () => {
  it('takes a field once: the column chosen last has it', () => {
    const columns = ['stockNumber', 'uvw', null] as const;
    expect(withColumn(columns, 2, 'uvw')).toEqual(['stockNumber', null, 'uvw']);
    // Left out may be as many as there are.
    expect(withColumn(columns, 1, null)).toEqual(['stockNumber', null, null]);
  });

  it('says of a cell what was understood where that is news', () => {
    expect(understoodAt(preview, 0, 0)).toEqual([]);
    expect(understoodAt(preview, 0, 1)).toEqual(['understood: 5,200 lb', 'so far: 5,100 lb']);
    expect(understoodAt(preview, 1, 1)).toEqual([]);
    expect(understoodAt(preview, 9, 9)).toEqual([]);
  });

  it('tells what is left out, cell by cell and column by column', () => {
    expect(problemAt(preview, 2, 1)).toMatch(/no weight/);
    expect(problemAt(preview, 1, 1)).toBeUndefined();
    expect(unmatched(preview, preview.columns)).toEqual(['Mood']);
    expect(countsOf(preview)).toEqual({ good: 2, bad: 1 });
  });
});
