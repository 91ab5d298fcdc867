import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { knownBy, specs, type HowKnown, type SpecKey } from '@fair-gable/core/unit/catalog';
import { checkRecord, openObjections } from '@fair-gable/core/unit/checks';
import {
  agree,
  applyChange,
  emptyRecord,
  formatSpec,
  inverseOf,
  statedBy,
  statementsOf,
  typedSpec,
  writtenOut,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { hangingOn, toConfirm } from '@fair-gable/core/yard/to-do';

const at = '2026-04-15T09:00:00.000Z';
const look = { system: 'us', today: '2026-04-15' } as const;

const saying = (key: SpecKey, text: string, how: HowKnown, record?: UnitRecord): Change => {
  const read = typedSpec(key, text, 'us');
  if (!read.ok) throw new Error(text);
  const basedOn = record?.specs[key]?.version ?? 0;
  return { part: 'specs', key, value: read.value, how, basedOn };
};

/** A record of which one field was said, time after time. */
const said = (key: SpecKey, ...words: readonly (readonly [string, HowKnown, string?])[]) =>
  words.reduce(
    (record, [text, how, by = 'Ines Rook']) =>
      applyChange(record, saying(key, text, how, record), by, at),
    emptyRecord,
  );

const told = (record: UnitRecord, key: SpecKey) =>
  statementsOf(record.specs[key]).map(
    ({ value, how }) => `${formatSpec(key, value, 'us', 'read')} ${how}`,
  );

describe('what several sources say of one field', () => {
  const rows: readonly (readonly [string, UnitRecord, readonly string[]])[] = [
    [
      'two that disagree are kept, the better first',
      said('gvwr', ['7000', 'told'], ['7490', 'read']),
      ['7,490 lb read', '7,000 lb told'],
    ],
    [
      'a worse one that comes later stands beside',
      said('gvwr', ['7490', 'read'], ['7000', 'told']),
      ['7,490 lb read', '7,000 lb told'],
    ],
    [
      'a source corrects itself',
      said('gvwr', ['7490', 'read'], ['7940', 'read']),
      ['7,940 lb read'],
    ],
    [
      'a better one that agrees takes its place',
      said('gvwr', ['7490', 'told'], ['7490', 'read']),
      ['7,490 lb read'],
    ],
    [
      'rounding is no disagreement',
      said('overallLength', ['8.03 m', 'sheet'], ["26'4", 'measured']),
      ['26 ft 4 in measured'],
    ],
    [
      'a worse one that agrees adds nothing',
      said('gvwr', ['7490', 'read'], ['7490', 'told']),
      ['7,490 lb read'],
    ],
    ['a guess gives way', said('gvwr', ['7000', 'guessed'], ['7490', 'told']), ['7,490 lb told']],
    [
      'a source that comes to agree is no longer kept apart',
      said('gvwr', ['7490', 'read'], ['7000', 'told'], ['7490', 'told']),
      ['7,490 lb read'],
    ],
  ];
  it.each(rows)('%s', (_name, record, expected) => {
    expect(told(record, 'gvwr').concat(told(record, 'overallLength'))).toEqual(expected);
  });

  it('keeps who said what when somebody else speaks', () => {
    const record = said('gvwr', ['7490', 'read', 'Ines Rook'], ['7000', 'told', 'Bram Oake']);
    expect(statementsOf(record.specs.gvwr).map(({ by }) => by)).toEqual(['Ines Rook', 'Bram Oake']);
    expect(record.specs.gvwr?.version).toBe(2);
  });

  it('does not let two features agree because both were tried', () => {
    expect(agree({ state: 'none' }, { state: 'none', tried: 'works' })).toBe(true);
    expect(agree({ state: 'none' }, { state: 'standard' })).toBe(false);
  });

  it('has one word of each source, best first, whatever is said in whatever order', () => {
    const ways = knownBy.map((row) => row.key);
    const word = fc.tuple(
      fc.constantFrom('7000', '7490', '7490', '8000'),
      fc.constantFrom(...ways),
    );
    fc.assert(
      fc.property(fc.array(word, { minLength: 1, maxLength: 12 }), (words) => {
        const all = statementsOf(said('gvwr', ...words).specs.gvwr);
        const hows = all.map(({ how }) => how);
        expect(new Set(hows).size).toBe(hows.length);
        expect(hows).toEqual(ways.filter((how) => hows.includes(how)));
        const [last] = words.slice(-1);
        const value = typedSpec('gvwr', last?.[0] ?? '', 'us');
        expect(all.some((s) => value.ok && agree(s.value, value.value))).toBe(true);
      }),
      { seed: 41 },
    );
  });

  it('is written out for the queue, and comes to the same', () => {
    const before = said('gvwr', ['7490', 'read']);
    const change = saying('gvwr', '7000', 'told', before);
    const written = writtenOut(before, change);
    expect(written.others).toHaveLength(1);
    expect([written.how, statedBy(written)]).toEqual([
      'read',
      { value: change.value, how: 'told' },
    ]);
    expect(applyChange(before, written, 'Bram', at)).toEqual(
      applyChange(before, change, 'Bram', at),
    );
  });

  it('comes back whole when a change is undone', () => {
    const before = said('gvwr', ['7490', 'read'], ['7000', 'told']);
    const decide: Change = { ...saying('gvwr', '7000', 'told', before), others: [] };
    const after = applyChange(before, decide, 'Maren', at);
    expect(told(after, 'gvwr')).toEqual(['7,000 lb told']);
    const back = applyChange(after, inverseOf(before, decide, 3), 'Maren', at);
    expect(told(back, 'gvwr')).toEqual(told(before, 'gvwr'));
  });

  it('is objected to until somebody decides, and comes back when another word is added', () => {
    const record = said('gvwr', ['7490', 'read'], ['7000', 'told']);
    const [objection] = checkRecord(record, look).filter((o) => o.rule === 'sources-in-conflict');
    expect(objection?.sentence).toBe(
      '2 sources disagree on GVWR: the label says 7,490 lb (Ines); we were told 7,000 lb (Ines). We show the surest one. Pick the one that’s right.',
    );
    const settled = applyChange(
      record,
      {
        part: 'settlements',
        key: objection?.id ?? '',
        value: { reason: 'The seller misremembered', inputs: objection?.inputs ?? '' },
        how: 'told',
        basedOn: 0,
      },
      'Ines',
      at,
    );
    const stillOpen = (r: UnitRecord) =>
      openObjections(checkRecord(r, look)).filter((o) => o.rule === 'sources-in-conflict');
    expect(stillOpen(settled)).toEqual([]);
    const more = applyChange(settled, saying('gvwr', '7200', 'measured', settled), 'Bram', at);
    expect(stillOpen(more)).toHaveLength(1);
  });

  it('is decided by any of its buttons', () => {
    const record = said('gvwr', ['7490', 'read'], ['7000', 'told']);
    const [objection] = checkRecord(record, look).filter((o) => o.rule === 'sources-in-conflict');
    const ways = objection?.ways.flatMap((w) => (w.kind === 'enter' ? [w] : [])) ?? [];
    expect(ways.map((w) => w.label)).toEqual([
      'Use 7,490 lb (read off the label)',
      'Use 7,000 lb (told)',
    ]);
    for (const way of ways) {
      const after = way.changes.reduce((r, c) => applyChange(r, c, 'Maren', at), record);
      expect(statementsOf(after.specs.gvwr)).toHaveLength(1);
    }
  });
});

describe('a guess', () => {
  it('is named by every objection that rests on it', () => {
    const record = said('gvwr', ['5000', 'guessed']);
    const both = applyChange(record, saying('uvw', '5200', 'read'), 'Ines', at);
    const [objection] = checkRecord(both, look).filter((o) => o.rule === 'empty-over-gross');
    expect(objection?.guesses).toEqual(['gvwr']);
  });

  it('leaves as “about” in words, for every spec there is', () => {
    for (const { key, value } of specs) {
      if (value.kind !== 'quantity') continue;
      expect(
        formatSpec(key, { kind: 'quantity', amount: value.plausible.from }, 'metric', 'guessed'),
      ).toMatch(/^about /);
    }
  });
});

describe('what is to be measured or confirmed', () => {
  it('comes by how much hangs on it', () => {
    const record = ['gvwr', 'counterSize'].reduce(
      (r, key) =>
        applyChange(
          r,
          saying(key as SpecKey, key === 'gvwr' ? '7000' : '20 x 40', 'guessed'),
          'Ines',
          at,
        ),
      emptyRecord,
    );
    const rows = toConfirm(record);
    const weights = rows.map(({ hangs }) => hangs.checks.length + hangs.cards.length);
    expect(weights).toEqual(weights.toSorted((a, b) => b - a));
    expect(rows.find(({ key }) => key === 'gvwr')?.why).toBe('guess');
    expect(rows.find(({ key }) => key === 'counterSize')?.why).toBe('guess');
    expect(rows.findIndex((r) => r.key === 'gvwr')).toBeLessThan(
      rows.findIndex((r) => r.key === 'counterSize'),
    );
  });

  it('says what hangs on it', () => {
    expect(hangingOn('gvwr').checks).toContain('UVW is below GVWR');
    expect(hangingOn('gvwr').checks.length).toBeGreaterThan(8);
  });

  it('has conflicts, but not what only the sheet says otherwise', () => {
    const other = said('gvwr', ['7490', 'read'], ['7000', 'told']);
    const sheet = said('gvwr', ['7490', 'read'], ['7000', 'sheet']);
    const why = (r: UnitRecord) => toConfirm(r).find(({ key }) => key === 'gvwr')?.why;
    expect([why(other), why(sheet)]).toEqual(['conflict', undefined]);
  });
});
