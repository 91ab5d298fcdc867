import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import {
  entryFor,
  featureStates,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import {
  freeKey,
  doubtsOfSheet,
  changesBySheet,
  changesToFollow,
  composed,
  differenceText,
  followsSheet,
  forbiddenPairs,
  inheritedBy,
  isForSheets,
  modelSheetJsonSchema,
  modelSheetVersion,
  noValues,
  packageEffect,
  packagesOn,
  readModelSheetFile,
  seriesSheetOf,
  sheetDifferences,
  sheetFor,
  sheetStatesOf,
  toModelSheetFile,
  unitDifferences,
  type ModelSheet,
  type SheetValues,
} from '@fair-gable/core/unit/model-sheet';
import {
  applyChange,
  emptyRecord,
  statementsOf,
  typedSpec,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { demoFiles, demoRecord } from './demo-units.ts';

const at = '2026-04-15T09:00:00.000Z';
const folder = new URL('../../demo/model-sheets/', import.meta.url);

const contents = readdirSync(folder).map(
  (name) => JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as unknown,
);
const sheets: readonly ModelSheet[] = contents.map((content) => {
  const read = readModelSheetFile(content);
  if (!read.ok) throw new Error(read.message);
  return read.sheet;
});

const spec = (key: SpecKey, text: string) => {
  const read = typedSpec(key, text, 'us');
  if (!read.ok) throw new Error(text);
  return read.value;
};

const values = (
  said: Partial<Record<SpecKey, string>>,
  states: Readonly<Record<string, FeatureState>> = {},
): SheetValues => ({
  specs: Object.fromEntries(
    Object.entries(said).map(([key, text]) => [key, spec(key as SpecKey, text)]),
  ),
  features: states,
  places: {},
});

const sheet: ModelSheet = {
  id: '5e1ec7ed-0000-4000-8000-0000000000aa',
  series: 'Fenlark',
  floorPlan: '24 RKD',
  year: 2026,
  source: '',
  values: values({ gvwr: '7490', fridgeSize: '10' }, { petWindow: 'standard', solar: 'prep' }),
  packages: [
    {
      key: 'slim',
      name: 'Slim fridge',
      standard: false,
      adds: values({ fridgeSize: '8', sleeps: '5' }, { solar: 'option' }),
      replaces: ['petWindow'],
      forbids: ['tip-out'],
    },
    { key: 'tip-out', name: 'Tip-out', standard: false, adds: noValues, replaces: [], forbids: [] },
    {
      key: 'base',
      name: 'Base',
      standard: true,
      adds: values({}, { awning: 'standard' }),
      replaces: [],
      forbids: [],
    },
  ],
  midYear: [
    {
      from: '2026-02',
      says: 'Bigger fridge',
      values: values({ fridgeSize: '11' }),
      without: ['solar'],
    },
  ],
  sisters: [],
  objections: [],
  wouldChange: [],
  wordings: {},
};
const series: ModelSheet = {
  ...sheet,
  id: '5e1ec7ed-0000-4000-8000-0000000000bb',
  floorPlan: '',
  values: values({ gvwr: '9999', width: '8 ft' }),
  packages: [],
  midYear: [],
};

const put = (record: UnitRecord, change: Omit<Change, 'basedOn'>): UnitRecord => {
  const entries = record[change.part] as Readonly<Record<string, { version: number } | undefined>>;
  const basedOn = entries[change.key]?.version ?? 0;
  return applyChange(record, { ...change, basedOn } as Change, 'Ines Rook', at);
};
const withSpec = (record: UnitRecord, key: SpecKey, text: string, how: HowKnown = 'read') =>
  put(record, { part: 'specs', key, value: spec(key, text), how });
const withState = (record: UnitRecord, key: string, state: FeatureState) =>
  put(record, { part: 'features', key, value: { state }, how: 'seen' });
const all = (record: UnitRecord, changes: readonly Change[]): UnitRecord =>
  changes.reduce((r, change) => applyChange(r, change, 'Ines Rook', at), record);

const named = (packages = ''): UnitRecord => {
  const unit = withSpec(withSpec(emptyRecord, 'series', 'FENLARK'), 'floorPlan', '24-rkd');
  const dated = withSpec(unit, 'modelYear', '2026');
  return packages ? withSpec(dated, 'packages', packages) : dated;
};

const fridge = (v: SheetValues) => v.specs.fridgeSize;

describe('all that a sheet says without packages', () => {
  it('has none of them, not even those that every unit has', () => {
    expect(composed(sheet, undefined).features.awning).toBe('standard');
    expect(composed(sheet, undefined, { packages: 'none' }).features.awning).toBeUndefined();
    expect(composed(sheet, series, { packages: 'none' }).specs.width).toBeDefined();
  });
});

describe('a sheet before it is kept', () => {
  const look = { system: 'us' as const, today: '2026-04-15' };

  it('is doubted as the checks would doubt every unit of it, once', () => {
    const wrong = values({ gvwr: '3950', uvw: '5000' });
    const found = doubtsOfSheet(wrong, undefined, look).map(({ rule }) => rule);
    expect(found).toContain('empty-over-gross');
    expect(doubtsOfSheet(wrong, wrong, look)).toEqual([]);
    expect(doubtsOfSheet(values({ gvwr: '7490', uvw: '5480' }), undefined, look)).toEqual([]);
  });

  it('keeps the keys of its packages apart by itself, in a file too', () => {
    expect(freeKey('slim', new Set(['slim', 'slim-2']))).toBe('slim-3');
    const twice = {
      ...sheet,
      packages: [...sheet.packages, { ...sheet.packages[1]!, name: 'Other' }],
    };
    const read = readModelSheetFile(JSON.parse(JSON.stringify(toModelSheetFile(twice))));
    expect(read.ok && read.sheet.packages.map(({ key }) => key)).toEqual([
      'slim',
      'tip-out',
      'base',
      'tip-out-2',
    ]);
  });
});

describe('a unit whose build date nobody has read', () => {
  const heardOf = (built?: string): SheetValues => {
    const unit = built ? withSpec(named(), 'buildDate', built) : named();
    return inheritedBy(unit, [sheet, series])?.values ?? noValues;
  };

  it('has by its sheet what holds whenever it was built, and nothing that changed in mid-year', () => {
    const unknown = heardOf();
    expect([fridge(unknown), unknown.features.solar]).toEqual([undefined, undefined]);
    expect(unknown.specs.gvwr).toEqual(spec('gvwr', '7490'));
    expect(unknown.features.petWindow).toBe('standard');
  });

  it('has what its build says once it is read', () => {
    expect(fridge(heardOf('2026-01'))).toEqual(spec('fridgeSize', '10'));
    expect(fridge(heardOf('2026-03'))).toEqual(spec('fridgeSize', '11'));
    expect(heardOf('2026-03').features.solar).toBe('none');
  });
});

describe('what a unit has by its sheet', () => {
  it('is the series, over it the model, what changed by its build date, and its packages', () => {
    expect(composed(sheet, series).specs).toMatchObject({
      gvwr: spec('gvwr', '7490'),
      width: spec('width', '8 ft'),
    });
    expect(fridge(composed(sheet, series))).toEqual(spec('fridgeSize', '10'));
    expect(fridge(composed(sheet, series, { built: '2026-01' }))).toEqual(spec('fridgeSize', '10'));
    expect(fridge(composed(sheet, series, { built: '2026-02-11' }))).toEqual(
      spec('fridgeSize', '11'),
    );
    const slim = composed(sheet, series, { built: '2026-03', packages: ['slim'] });
    expect(fridge(slim)).toEqual(spec('fridgeSize', '8'));
    expect(slim.features).toMatchObject({
      petWindow: 'none',
      solar: 'option',
      awning: 'standard',
    });
    expect(composed(sheet, undefined, { built: '2026-02' }).features['solar']).toBe('none');
  });

  it('is found by series, floor plan and year, however they are spaced', () => {
    expect(sheetFor(named(), [series, sheet])).toBe(sheet);
    expect(sheetFor(withSpec(named(), 'modelYear', '2025'), [series, sheet])).toBeUndefined();
    expect(sheetFor(emptyRecord, [series, sheet])).toBeUndefined();
    expect(seriesSheetOf(sheet, [sheet, series])).toBe(series);
    expect(seriesSheetOf(series, [sheet, series])).toBeUndefined();
  });

  it('takes packages by the names in the record, and tells those the sheet does not have', () => {
    expect(packagesOn(named('slim  fridge; Sun'), sheet.packages)).toEqual({
      keys: ['slim'],
      strange: ['Sun'],
    });
    const pairs = forbiddenPairs(['slim', 'tip-out'], sheet.packages);
    expect(pairs.map((pair) => pair.map((p) => p.key))).toEqual([['slim', 'tip-out']]);
    expect(forbiddenPairs(['slim'], sheet.packages)).toEqual([]);
  });

  it('tells what a package adds, replaces and shrinks', () => {
    const [pack] = sheet.packages;
    if (!pack) throw new Error('no package');
    const effect = packageEffect(pack, sheet.values);
    expect(effect).toMatchObject({ adds: ['solar'], replaces: ['petWindow'] });
    expect(effect.shrinks.map((d) => differenceText(d, 'us'))).toEqual([
      'Fridge size: 10 ft³ → 8 ft³',
    ]);
    expect(effect.changes.map((d) => d.key)).toEqual(['sleeps']);
  });
});

describe('following a sheet', () => {
  const built = withSpec(named(), 'buildDate', '2026-01');
  const heard = inheritedBy(built, [sheet, series])?.values ?? noValues;

  it('fills what is not known, and says that it is from the sheet', () => {
    const filled = all(named(), changesToFollow(named(), heard));
    expect(filled.specs.gvwr).toMatchObject({ value: spec('gvwr', '7490'), how: 'sheet' });
    expect(filled.features.awning).toMatchObject({ value: { state: 'standard' }, how: 'sheet' });
    expect(followsSheet(filled)).toBe(true);
    expect(changesToFollow(filled, heard)).toEqual([]);
  });

  it('leaves what was read here shown, and keeps the sheet beside it', () => {
    const read = withSpec(named(), 'gvwr', '7000');
    const filled = all(read, changesToFollow(read, heard));
    expect(statementsOf(filled.specs.gvwr).map((s) => [s.how, s.value])).toEqual([
      ['read', spec('gvwr', '7000')],
      ['sheet', spec('gvwr', '7490')],
    ]);
  });

  it('says nothing where what was read is the same, and fills one station alone', () => {
    const read = withSpec(named(), 'gvwr', '7490');
    expect(changesToFollow(read, heard).map((c) => c.key)).not.toContain('gvwr');
    const kitchen = changesToFollow(named(), heard, { station: 'kitchen' });
    expect(kitchen.map((c) => c.key)).toEqual(['fridgeSize']);
  });

  it('lets go what the sheet no longer says, and keeps what was read', () => {
    const filled = all(named(), changesToFollow(named(), heard));
    const mixed = withSpec(filled, 'gvwr', '7000');
    const fewer: SheetValues = { ...heard, specs: {} };
    const after = all(mixed, changesBySheet(mixed, heard, fewer));
    expect(statementsOf(after.specs.gvwr).map((s) => s.how)).toEqual(['read']);
    expect(after.specs.fridgeSize).toBeUndefined();
    expect(after.features.awning).toBeDefined();
  });

  it('brings only what changed, and does not bring up again what somebody decided', () => {
    const filled = all(named(), changesToFollow(named(), heard));
    const read = withSpec(filled, 'gvwr', '7000');
    const decided = applyChange(
      read,
      {
        part: 'specs',
        key: 'gvwr',
        value: spec('gvwr', '7000'),
        how: 'read',
        basedOn: 2,
        others: [],
      },
      'Maren',
      at,
    );
    const other: SheetValues = { ...heard, specs: { ...heard.specs, sleeps: spec('sleeps', '6') } };
    expect(changesBySheet(decided, heard, other).map((c) => c.key)).toEqual(['sleeps']);
    expect(changesBySheet(named(), undefined, heard).length).toBe(
      changesToFollow(named(), heard).length,
    );
  });
});

describe('as ordered against as arrived', () => {
  it('lists what is not as the sheet has it, and how that is known', () => {
    const unit = [
      (r: UnitRecord) => withSpec(r, 'fridgeSize', '8'),
      (r: UnitRecord) => withState(r, 'awning', 'none'),
      (r: UnitRecord) => withState(r, 'solar', 'option'),
      (r: UnitRecord) => withState(r, 'petWindow', 'ours'),
    ].reduce((record, step) => step(record), withSpec(named(), 'buildDate', '2026-01'));
    const heard = inheritedBy(unit, [sheet])?.values ?? noValues;
    expect(unitDifferences(unit, heard).map((d) => [d.key, d.kind, d.unit.how])).toEqual([
      ['fridgeSize', 'other', 'read'],
      ['awning', 'missing', 'seen'],
      ['solar', 'extra', 'seen'],
    ]);
  });

  it('does not take the weight of options for a difference', () => {
    const heard = values({ uvw: '5000' });
    const weighing = (text: string) =>
      unitDifferences(withSpec(named(), 'uvw', text), heard).map((d) => d.key);
    expect([weighing('5590'), weighing('5610')]).toEqual([[], ['uvw']]);
  });

  it('does not send back what we were told', () => {
    const heard = values({ sleeps: '4' });
    const saying = (how: HowKnown) =>
      unitDifferences(withSpec(named(), 'sleeps', '6', how), heard).length;
    expect([saying('told'), saying('guessed'), saying('seen')]).toEqual([0, 0, 1]);
  });

  it('has nothing to send back for what was only taken over', () => {
    const heard = inheritedBy(named(), [sheet])?.values ?? noValues;
    expect(unitDifferences(all(named(), changesToFollow(named(), heard)), heard)).toEqual([]);
  });
});

describe('sheets compared', () => {
  it('are the same but for what differs, in the order of the stations', () => {
    const differences = sheetDifferences(
      values({ gvwr: '7490', width: '8 ft' }, { solar: 'prep' }),
      values({ gvwr: '7700', fridgeSize: '10' }, { solar: 'prep', bunks: 'standard' }),
    );
    expect(differences.map((d) => differenceText(d, 'us'))).toEqual([
      'GVWR: 7,490 lb → 7,700 lb',
      'Width: 8 ft → not said',
      'Fridge size: not said → 10 ft³',
      'Bunks: not said → standard',
    ]);
    expect(sheetDifferences(heardOf('24 RKD'), heardOf('24 RKD'))).toEqual([]);
  });
});

const heardOf = (floorPlan: string): SheetValues => {
  const one = sheets.find((s) => s.floorPlan === floorPlan && s.year === 2026);
  return one ? composed(one, seriesSheetOf(one, sheets)) : noValues;
};

describe('the sheets of the demo yard', () => {
  it('are six models and a series, with packages, a mid-year change, a year before and a sister', () => {
    expect(sheets.filter((s) => s.floorPlan !== '')).toHaveLength(6);
    expect(sheets.some((s) => s.midYear.length > 0 && s.sisters.length > 0)).toBe(true);
    const sister = sheetDifferences(heardOf('24 RKD'), heardOf('24 BHK'));
    expect(sister.length).toBeGreaterThan(5);
    expect(sister.length).toBeLessThan(40);
  });

  it('know only what a sheet can know, and each has a unit that follows it', () => {
    for (const one of sheets) {
      const keys = [...Object.keys(one.values.specs), ...Object.keys(one.values.features)];
      expect(keys.filter((key) => entryFor(key as SpecKey).unitOnly)).toEqual([]);
    }
    const followed = demoFiles
      .filter(({ record }) => followsSheet(record))
      .flatMap(({ record }) => sheetFor(record, sheets)?.id ?? []);
    const models = sheets.filter((s) => s.floorPlan !== '').map((s) => s.id);
    expect(new Set(followed)).toEqual(new Set(models));
  });

  it('come back from their files as they went out', () => {
    for (const one of sheets) {
      const again = readModelSheetFile(JSON.parse(JSON.stringify(toModelSheetFile(one))));
      expect(again).toEqual({ ok: true, sheet: one });
    }
  });

  it('find on TQ-0418 what it was ordered with and came without', () => {
    const record = demoRecord('TQ-0418');
    const heard = inheritedBy(record, sheets)?.values ?? noValues;
    expect(unitDifferences(record, heard).map((d) => `${d.key} ${d.kind}`)).toEqual([
      'wheelMaterial other',
      'galleyTank other',
      'heightWithAc other',
      'tankHeat missing',
    ]);
  });
});

describe('a sheet says what the maker does', () => {
  it('and not what a yard added, or what became of a thing on its lot', () => {
    const offered = (key: FeatureKey) => sheetStatesOf(key).map((state) => state.key);
    expect(offered('industrySeal')).toEqual(['standard', 'none']);
    expect(offered('waterHose')).toEqual(['standard', 'none']);
    expect(offered('awning')).toEqual(['standard', 'option', 'prep', 'room', 'none']);
  });
  it('so nothing of the kind is suggested for it', () => {
    const suggested = featureStates.filter(({ key }) => isForSheets({ state: key }));
    expect(suggested.map(({ key }) => key)).toEqual(['standard', 'option', 'prep', 'room', 'none']);
    expect(isForSheets({ kind: 'text', text: 'gas' })).toBe(true);
  });
});

describe('a sheet that can’t be read', () => {
  const [good] = contents as { sheet: Record<string, unknown> }[];
  const but = (more: object) => ({ ...good, sheet: { ...good?.sheet, ...more } });
  it.each([
    [{ hello: 1 }, 'isn’t a Fair Gable model sheet'],
    [but({ year: 'soon' }), 'sheet.year'],
    [
      but({ values: { specs: { vin: { kind: 'text', text: 'X' } } } }),
      'VIN is each unit’s own: leave it off the sheet.',
    ],
    [but({ values: { features: { wings: 'standard' } } }), 'wings'],
    [
      but({ values: { features: { industrySeal: 'unreadable' } } }),
      '“unreadable” is said of one unit, not of its model. Say what the maker does',
    ],
    [
      { ...but({ values: { features: { industrySeal: 'option' } } }), version: modelSheetVersion },
      'Standards seal can’t be “option”',
    ],
    [
      but({ packages: [{ key: 'a', name: 'A', adds: {}, forbids: ['b'] }] }),
      '“A” forbids a package that isn’t on this sheet.',
    ],
  ])('says so: %#', (content, words) => {
    const read = readModelSheetFile(content);
    expect(read.ok ? '' : read.message).toContain(words);
  });

  it('is described by the published JSON Schema', () => {
    const published = readFileSync(
      new URL(`../../docs/schemas/model-sheet-v${modelSheetVersion}.schema.json`, import.meta.url),
      'utf8',
    );
    expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(modelSheetJsonSchema())));
  });
});
