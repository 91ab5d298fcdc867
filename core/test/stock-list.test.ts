import { describe, expect, it } from '@jest/globals';
import { features, specs } from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  formatSpec,
  statementsOf,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import {
  decimalOf,
  changesByLine,
  columnsOf,
  readLine,
  repeatedLines,
  type Column,
  type Reading,
} from '@fair-gable/core/unit/stock-list';
import { demoFiles } from './demo-units.ts';

const reading = (columns: readonly Column[], more: Partial<Reading> = {}): Reading => ({
  columns,
  system: 'us',
  how: 'told',
  ...more,
});

const taken = (record: UnitRecord, changes: ReturnType<typeof changesByLine>): UnitRecord =>
  changes.reduce((r, change) => applyChange(r, change, 'Ines', '2026-04-15T09:00:00.000Z'), record);

describe('the columns of a list', () => {
  // Headings as lists from elsewhere have them: common practice.
  it.each([
    ['Stock #', 'stockNumber'],
    ['STOCK NO.', 'stockNumber'],
    ['Dry Weight (lbs)', 'uvw'],
    ['GVWR', 'gvwr'],
    ['MSRP', 'listPrice'],
    ['Model Year', 'modelYear'],
    ['Fresh water', 'freshTank'],
    ['rear camera', 'rearCamera'],
    ['rearCamera', 'rearCamera'],
    ['Notes', null],
  ])('“%s” holds %s', (heading, key) => {
    expect(columnsOf([heading])).toEqual([key]);
  });

  it('knows every label and key of our own lists', () => {
    const all = [...specs, ...features];
    // The day of an inspection follows from its signature: no list brings it in.
    const known = [
      ...specs.map((s) => (s.bySignature ? null : s.key)),
      ...features.map(({ key }) => key),
    ];
    expect(columnsOf(all.map(({ label }) => label))).toEqual(known);
    expect(columnsOf(all.map(({ key }) => key))).toEqual(known);
  });

  it('takes a field once', () => {
    expect(columnsOf(['Stock', 'Stock #', 'VIN'])).toEqual(['stockNumber', null, 'vin']);
  });
});

describe('a line of a list', () => {
  const columns = ['stockNumber', 'gvwr', 'overallLength', 'solar', null] as const;

  it('is read cell by cell; an empty one says nothing and “about” is a guess', () => {
    const line = readLine(3, ['TQ-1', '7,490', "about 26'4", 'prep', 'x'], reading(columns));
    expect(line).toMatchObject({ number: 3, stockNumber: 'TQ-1', problems: [] });
    expect(line.values.map((s) => [s.key, s.how])).toEqual([
      ['stockNumber', 'told'],
      ['gvwr', 'told'],
      ['overallLength', 'guessed'],
      ['solar', 'told'],
    ]);
    expect(readLine(1, ['TQ-1', '', '', '', ''], reading(columns)).values).toHaveLength(1);
  });

  it('is read in the list’s units, and undoes what keeps spreadsheets from running cells', () => {
    const line = readLine(
      1,
      ["'=A1", '3400'],
      reading(['stockNumber', 'gvwr'], { system: 'metric' }),
    );
    expect(line.stockNumber).toBe('=A1');
    const value = line.values[1]?.value;
    expect(value && 'amount' in value ? Math.round(value.amount) : 0).toBe(7496);
  });

  it('names the cell that can’t be read, and says what to do', () => {
    const line = readLine(7, ['', 'heavy', '26 lb', 'maybe', ''], reading(columns));
    expect(line.problems.map((p) => [p.line, p.column, p.sentence])).toEqual([
      [7, 1, expect.stringMatching(/^GVWR can’t be read: “heavy”. Type a number/)],
      [7, 2, expect.stringMatching(/^Overall length is in lb, which measures something else/)],
      [
        7,
        3,
        expect.stringMatching(
          /^Solar panel: “maybe” isn’t a choice we know. Write one of standard, /,
        ),
      ],
      [7, -1, expect.stringMatching(/^Stock number: the line has neither one nor a VIN/)],
    ]);
  });

  it('means one unit; a second line of the same is told', () => {
    const lines = ['TQ-1', 'TQ-2', 'tq-1'].map((stock, i) =>
      readLine(i + 1, [stock], reading(['stockNumber'])),
    );
    expect(repeatedLines(lines)).toEqual([
      { line: 3, column: -1, sentence: expect.stringContaining('line 1 has the same') },
    ]);
  });
});

describe('taking a line in', () => {
  it('twice changes nothing the second time', () => {
    const line = readLine(1, ['TQ-1', '7490'], reading(['stockNumber', 'gvwr']));
    const once = taken(emptyRecord, changesByLine(emptyRecord, line));
    expect(changesByLine(once, line)).toEqual([]);
  });

  it('puts what it says otherwise beside what is better known, once', () => {
    const read = readLine(1, ['TQ-1', '7490'], reading(['stockNumber', 'gvwr'], { how: 'read' }));
    const told = readLine(1, ['TQ-1', '7000'], reading(['stockNumber', 'gvwr']));
    const before = taken(emptyRecord, changesByLine(emptyRecord, read));
    const after = taken(before, changesByLine(before, told));
    expect(statementsOf(after.specs.gvwr).map(({ how }) => how)).toEqual(['read', 'told']);
    expect(changesByLine(after, told)).toEqual([]);
  });

  it('of our own list changes nothing, for every value of every demo unit in both systems', () => {
    const columns = specs.map(({ key }) => key);
    for (const system of ['us', 'metric'] as const) {
      for (const { record } of demoFiles) {
        const cells = specs.map(({ key }) => {
          const entry = record.specs[key];
          return entry ? formatSpec(key, entry.value, system, entry.how) : '';
        });
        const line = readLine(1, cells, reading(columns, { system }));
        expect(line.problems).toEqual([]);
        expect(changesByLine(record, line).map(({ key }) => key)).toEqual([]);
      }
    }
  });
});

describe('how a list writes its numbers', () => {
  it.each([
    [['7,490', '5.5'], ['gvwr', 'freshTank'], 'point'],
    [['7.490,5', '47'], ['gvwr', 'freshTank'], 'comma'],
    [['1.234.567'], ['askingPrice'], 'comma'],
    [['2.150', '26'], ['uvw', 'freshTank'], 'comma'],
    [['26.333'], ['overallLength'], 'point'],
    [['12', '47'], ['uvw', 'freshTank'], 'point'],
  ] as const)('%j under %j: %s', (cells, columns, expected) => {
    expect(decimalOf([cells], columns, 'us')).toBe(expected);
  });

  it('is read so, and no text is touched', () => {
    const reading = { columns: ['uvw', 'floorPlan'], system: 'us', how: 'told' } as const;
    const line = readLine(1, ['2.150', '24.5 RK'], { ...reading, decimal: 'comma' });
    expect(line.values.map(({ value }) => value)).toEqual([
      { kind: 'quantity', amount: 2150 },
      { kind: 'text', text: '24.5 RK' },
    ]);
  });
});
