import { describe, expect, it } from '@jest/globals';
import { explainDifference, possibleExplanations } from '@fair-gable/core/unit/cargo-label';
import { isSpecKey, specEntry, type FeatureKey, type SpecKey } from '@fair-gable/core/unit/catalog';
import { checkRecord, openObjections, rules, type Objection } from '@fair-gable/core/unit/checks';
import {
  applyChange,
  emptyRecord,
  typedSpec,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { demoFiles, demoRecord } from './demo-units.ts';

const at = '2026-04-15T09:00:00.000Z';
/** The demo yard’s opening week. */
const look = { system: 'us', today: '2026-04-15' } as const;
/** Kinds of fields that are figures. */
const figures: ReadonlySet<string> = new Set(['quantity', 'counted', 'number', 'size']);

/** A record of a few fields, as typed. */
const recordOf = (
  typed: Partial<Record<SpecKey, string>>,
  fitted: readonly FeatureKey[] = [],
): UnitRecord => {
  const withSpecs = Object.entries(typed).reduce((record, [key, text]) => {
    const read = typedSpec(key as SpecKey, text, 'us');
    if (!read.ok) throw new Error(`${key}: ${text}`);
    const change: Change = { part: 'specs', key, value: read.value, how: 'read', basedOn: 0 };
    return applyChange(record, change, 'Ines', at);
  }, emptyRecord);
  return fitted.reduce(
    (record, key) =>
      applyChange(
        record,
        { part: 'features', key, value: { state: 'standard' }, how: 'seen', basedOn: 0 },
        'Ines',
        at,
      ),
    withSpecs,
  );
};

const found = (record: UnitRecord, rule: string): Objection | undefined =>
  checkRecord(record, look).find((o) => o.rule === rule);

describe('every check', () => {
  it.each(rules.map((rule) => [rule.key, rule] as const))(
    '%s trips one demo unit and passes another',
    (_, rule) => {
      const tripped = demoFiles.filter((f) => rule.test(f.record, look).length > 0);
      expect(tripped.length).toBeGreaterThan(0);
      expect(tripped.length).toBeLessThan(demoFiles.length);
    },
  );

  it.each(rules.map((rule) => [rule.key, rule] as const))(
    '%s says nothing of a record that knows nothing',
    (_, rule) => {
      expect(rule.test(emptyRecord, look)).toEqual([]);
    },
  );

  it('has numbers or characters in its sentence, a way to settle it, and ends as a sentence', () => {
    for (const { record } of demoFiles) {
      for (const o of checkRecord(record, look)) {
        expect(o.sentence).toMatch(/[.?]$/);
        // What is there or is not has no figure; whatever rests on a figure names it.
        const rule = rules.find(({ key }) => key === o.rule);
        if (rule?.needs.some((key) => isSpecKey(key) && figures.has(specEntry(key).value.kind)))
          expect([o.id, o.sentence]).toEqual([o.id, expect.stringMatching(/\d/)]);
        expect(o.ways.length).toBeGreaterThan(0);
        expect(o.ways.some((w) => w.kind === 'reason')).toBe(true);
      }
    }
  });

  it('speaks in the reader’s units', () => {
    const metric = checkRecord(demoRecord('TQ-0365'), { ...look, system: 'metric' })
      .map((o) => o.sentence)
      .join(' ');
    expect(metric).toContain('kg');
    expect(metric).not.toMatch(/\blb\b/);
  });
});

describe('carrying capacity', () => {
  const label = (
    ccc: string,
    more: Partial<Record<SpecKey, string>> = {},
    fitted: readonly FeatureKey[] = [],
  ) => found(recordOf({ gvwr: '7490', uvw: '5572', ccc, ...more }, fitted), 'ccc-identity');

  // 7,490 − 5,572 = 1,918. Common practice.
  it.each(['1918', '1917', '1921', '870 kg'])('agrees at %s', (ccc) => {
    expect(label(ccc)).toBeUndefined();
  });

  it.each([
    ['1858', { lpCylinders: '2 x 30' }, [], 'full propane cylinders (60 lb)'],
    ['1858', {}, ['battery'], 'one battery (60 lb)'],
    [
      '1798',
      { lpCylinders: '2 x 30' },
      ['battery'],
      'full propane cylinders and one battery (120 lb)',
    ],
    // 40 gal × 8.3 lb/gal of the label text = 332 lb; from memory of labels before 2008.
    [
      '1586',
      { freshTank: '40' },
      [],
      'full load of water, which labels before 2008 subtracted (332 lb)',
    ],
  ] as const)('of %s is explained', (ccc, more, fitted, words) => {
    expect(label(ccc, more, fitted)).toMatchObject({
      severity: 'look',
      sentence: expect.stringContaining(words),
    });
  });

  it('is wrong when nothing explains it, and offers what follows from the weights', () => {
    const o = label('2418');
    expect(o).toMatchObject({
      severity: 'wrong',
      sentence: expect.stringContaining('500 lb more'),
    });
    // The labels are read again before one is overwritten.
    expect(o?.ways[0]).toMatchObject({ kind: 'go' });
    expect(o?.ways).toContainEqual(expect.objectContaining({ label: 'Use 1,918 lb' }));
  });

  it('reads what the dry weight counts: propane is not explained twice', () => {
    const gap = (counts: string) =>
      found(
        recordOf(
          { gvwr: '7490', uvw: '5572', ccc: '1858', lpCylinders: '2 x 30', uvwCounts: counts },
          ['battery'],
        ),
        'ccc-identity',
      )?.sentence ?? '';
    // 60 lb apart: two 30 lb cylinders, or one battery.
    expect(gap('neither')).toContain(
      'could be full propane cylinders (60 lb), or one battery (60 lb)',
    );
    expect(gap('propane')).toContain('60 lb apart: one battery (60 lb)');
    expect(gap('propane')).not.toContain('propane cylinders (60');
    expect(gap('battery')).toContain('60 lb apart: full propane cylinders (60 lb)');
    expect(gap('both')).toContain('propane, battery or water doesn’t explain it');
  });

  it('says what could be, where it rests on something not recorded', () => {
    const o = found(recordOf({ gvwr: '7490', uvw: '5572', ccc: '1858' }), 'ccc-identity');
    expect(o?.sentence).toContain(
      'could be full propane cylinders (60 lb), or one battery (60 lb)',
    );
    expect(o?.sentence).toContain('cylinders aren’t recorded yet');
    // Nothing is overwritten by the first button.
    expect(o?.ways[0]?.kind).not.toBe('enter');
  });

  it('prefers the fewest causes', () => {
    const possible = possibleExplanations({ propane: 30, hasBattery: true, water: 8 });
    expect(explainDifference(possible, 60).map(({ words }) => words)).toEqual(['one battery']);
    expect(explainDifference(possible, 500)).toEqual([]);
  });
});

describe('axles and hitch', () => {
  // Handbook 3: 7,600 on two 3,500 axles asks for at least 600 lb, 7.9%.
  const at7600 = { gvwr: '7600', axleRating: '2 x 3500' };

  it('names the hitch load that the rating leans on', () => {
    const o = found(recordOf({ ...at7600, uvw: '5600', hitchWeight: '400' }), 'axles-and-hitch');
    expect(o).toMatchObject({
      severity: 'doubtful',
      sentence: expect.stringContaining('600 lb (7.9%)'),
    });
  });

  it.each([
    ['a built hitch share above it', { ...at7600, uvw: '5600', hitchWeight: '640' }],
    ['axles that carry it all', { gvwr: '7000', axleRating: '2 x 3500' }],
  ])('has nothing to say with %s', (_, typed) => {
    expect(found(recordOf(typed), 'axles-and-hitch')).toBeUndefined();
  });

  it('says what it asks for where the hitch or dry weight is not known', () => {
    // Handbook: 7,500 lb on two 3,500 axles: at least 500 lb, 6.7%, must ride on the hitch.
    const o = found(recordOf({ gvwr: '7500', axleRating: '2 x 3500' }), 'axles-and-hitch');
    expect(o).toMatchObject({
      severity: 'look',
      sentence: expect.stringMatching(
        /at least 500 lb \(6\.7%\).*Read the hitch weight and the UVW/,
      ),
    });
  });

  it('is wrong above 15%, and offers the axle that was not counted', () => {
    const o = found(recordOf({ gvwr: '7000', axleRating: '1 x 3500' }), 'axles-and-hitch');
    expect(o).toMatchObject({
      severity: 'wrong',
      sentence: expect.stringContaining('3,500 lb (50.0%)'),
    });
    expect(o?.ways[0]).toMatchObject({ kind: 'enter', label: 'Use 2 × 3,500 lb' });
  });
});

describe('plausible ranges', () => {
  it.each([
    ['furnace', '30', 'Use 30,000 BTU/h'],
    ['furnace', '300,000', 'Use 30,000 BTU/h'],
    ['gvwr', '749', 'Use 7,490 lb'],
    ['overallLength', '316', 'Use 26 ft 4 in'],
    ['freshTank', '470', 'Use 47 gal'],
  ] as const)('%s typed as %s: %s', (key, typed, offer) => {
    const o = found(recordOf({ [key]: typed }), 'range');
    expect(o).toMatchObject({ field: key, severity: 'wrong' });
    expect(o?.ways[0]?.label).toBe(offer);
  });

  it('only doubts what no slip explains', () => {
    expect(found(recordOf({ width: '6 ft' }), 'range')).toMatchObject({ severity: 'doubtful' });
  });

  it.each([
    ['width', '7 ft'],
    ['width', '8 ft 6'],
    ['freshTank', '8'],
    ['freshTank', '100'],
  ] as const)('takes the ends of the range: %s %s', (key, typed) => {
    expect(found(recordOf({ [key]: typed }), 'range')).toBeUndefined();
  });
});

describe('count and size', () => {
  it.each([
    ['lpCylinders', '230', 'Use 2 × 30 lb'],
    ['lpCylinders', '220', 'Use 2 × 20 lb'],
    ['lpCylinders', '60', 'Use 2 × 30 lb'],
    ['axleRating', '2 x 7000', 'Use 2 × 3,500 lb'],
    ['axleRating', '23500', 'Use 2 × 3,500 lb'],
    ['acUnits', '13.5', 'Use 1 × 13,500 BTU/h'],
  ] as const)('%s typed as %s: %s', (key, typed, offer) => {
    expect(found(recordOf({ [key]: typed }), 'count-times-size')?.ways[0]?.label).toBe(offer);
  });

  it('doubts a count that is too many', () => {
    expect(found(recordOf({ lpCylinders: '5 x 30' }), 'count-times-size')?.sentence).toContain(
      '5 of them',
    );
  });

  it.each(['2 x 30', '1 x 20', '30'])('has nothing to say of %s', (typed) => {
    expect(found(recordOf({ lpCylinders: typed }), 'count-times-size')).toBeUndefined();
  });
});

describe('tire pressure', () => {
  // C 50, D 65, E 80 psi: common practice for special-trailer sizes.
  it.each([
    ['C', '50', false],
    ['C', '51', true],
    ['D', '65', false],
    ['D', '80', true],
    ['E', '80', false],
    ['E', '65', false],
  ])('load range %s at %s psi objects: %s', (loadRange, coldPressure, objects) => {
    expect(found(recordOf({ loadRange, coldPressure }), 'tire-pressure') !== undefined).toBe(
      objects,
    );
  });
});

describe('VIN', () => {
  it('is objected to, never refused', () => {
    const o = found(recordOf({ vin: '1M8GDM9A1KP042788' }), 'vin');
    expect(o).toMatchObject({
      severity: 'doubtful',
      sentence: expect.stringContaining('it should be X'),
    });
    expect(found(recordOf({ vin: 'HOME-BUILT 7' }), 'vin')?.sentence).toContain(
      'characters, not 17',
    );
  });

  // The worked number of 49 CFR 565.15, 1M8GDM9AXKP042788, with characters that can’t be read; values by its table IV.
  it.each([
    ['1M8GDM9A?KP042788', 'By the other sixteen it should be X.'],
    ['1M8GDM9AXKPO42788', 'With a 0 there, the VIN checks out.'],
    ['1M8GDM9AXKP?42788', 'If the others are right, it’s 0.'],
    ['1M8GD?9AXKP042788', 'If the others are right, it’s one of D, M, U, 4.'],
    ['1M8GD?9AXKP?42788', 'I is often a 1; O and Q are often a 0.'],
  ])('%s: what may stand there is named', (vin, words) => {
    expect(found(recordOf({ vin }), 'vin')?.sentence).toContain(words);
  });
});

describe('bunks without a rating', () => {
  it.each([
    ['1', 'There is 1 bunk and'],
    ['3', 'There are 3 bunks and'],
    ['', 'There are bunks and'],
  ])('“%s” are counted as one says it', (count, words) => {
    const typed: Partial<Record<SpecKey, string>> = count ? { bunkCount: count } : {};
    expect(found(recordOf(typed, ['bunks']), 'bunk-rating')?.sentence).toContain(words);
  });
});

describe('a settled objection', () => {
  const record = demoRecord('TQ-0365');
  const open = checkRecord(record, look).find((o) => o.rule === 'ccc-identity')!;
  const settled = applyChange(
    record,
    {
      part: 'settlements',
      key: open.id,
      value: { reason: 'Label covers an option that was taken out.', inputs: open.inputs },
      how: 'told',
      basedOn: 0,
    },
    'Ines',
    at,
  );
  const again = (r: UnitRecord) => checkRecord(r, look).find((o) => o.id === open.id);

  it('stays in the margin with its reason, and is no longer open', () => {
    expect(again(settled)?.settled).toMatchObject({
      by: 'Ines',
      reason: expect.stringContaining('option'),
    });
    expect(openObjections(checkRecord(settled, look)).some((o) => o.id === open.id)).toBe(false);
  });

  it('stays settled whatever order the keys of its values are written in', () => {
    const turned = (value: unknown): unknown => {
      if (Array.isArray(value)) return value.map(turned);
      if (value === null || typeof value !== 'object') return value;
      const entries = Object.entries(value).map(([key, of]) => [key, turned(of)] as const);
      return Object.fromEntries(entries.toReversed());
    };
    const specs = Object.fromEntries(
      Object.entries(settled.specs).map(([key, entry]) => [key, turned(entry)]),
    ) as UnitRecord['specs'];
    expect(again({ ...settled, specs })?.settled).toBeDefined();

    const entry = settled.settlements[open.id]!;
    const inputs = JSON.stringify(turned(JSON.parse(entry.value.inputs)));
    expect(inputs).not.toBe(entry.value.inputs);
    const written = { ...entry, value: { ...entry.value, inputs } };
    expect(again({ ...settled, settlements: { [open.id]: written } })?.settled).toBeDefined();
  });

  it('comes back when its inputs change, and not when others do', () => {
    const set = (key: SpecKey, amount: number) =>
      applyChange(
        settled,
        { part: 'specs', key, value: { kind: 'quantity', amount }, how: 'read', basedOn: 1 },
        'Ines',
        at,
      );
    expect(again(set('ccc', 3691))?.settled).toBeUndefined();
    expect(again(set('furnace', 9000))?.settled).toBeDefined();
  });
});
