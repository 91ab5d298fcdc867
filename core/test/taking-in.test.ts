import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { routeOf } from '@fair-gable/core/unit/route';
import { parseQuantity } from '@fair-gable/core/base/quantity';
import { changesToFit, fittedPounds, looseItems } from '@fair-gable/core/unit/aboard';
import { features, labelKinds, specEntry, specs } from '@fair-gable/core/unit/catalog';
import { openObjections, checkRecord } from '@fair-gable/core/unit/checks';
import { readScanned } from '@fair-gable/core/unit/identity';
import {
  changesToAnswer,
  isOverdue,
  modelKeyOf,
  ofSameModel,
  questionsAbout,
  questionsIn,
} from '@fair-gable/core/unit/questions';
import {
  applyChange,
  changeProblem,
  emptyRecord,
  fieldText,
  inverseOf,
  targetLabel,
  typedSpec,
  type Change,
  type Question,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import {
  countOf,
  keypadFor,
  nextStop,
  roundOf,
  stopsLeft,
  wantedAt,
} from '@fair-gable/core/unit/round';
import { leftIn, leftInOrder } from '@fair-gable/core/yard/to-do';
import { demoFiles, demoRecord } from './demo-units.ts';

const at = '2026-04-10T10:00:00.000Z';
const id = (n: number): string => `0f1d0000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const put = (record: UnitRecord, change: object): UnitRecord =>
  applyChange(record, { how: 'seen', basedOn: 0, ...change } as Change, 'Ines Rook', at);
const text = (words: string) => ({ kind: 'text', text: words });
const model = (series: string, plan: string, year: number): UnitRecord =>
  [
    ['series', text(series)],
    ['floorPlan', text(plan)],
    ['modelYear', { kind: 'number', number: year }],
  ].reduce<UnitRecord>((r, [key, value]) => put(r, { part: 'specs', key, value }), emptyRecord);

describe('the round', () => {
  it('goes the way of the walk, with what is wanted first at every station', () => {
    for (const { record } of demoFiles) {
      const round = roundOf(record);
      const stations = round.map(({ station }) => station);
      expect(stations).toEqual(routeOf(record).filter((key) => stations.includes(key)));
      for (const { steps } of round) {
        const musts = steps.map(({ must }) => must);
        expect(musts).toEqual(musts.toSorted((a, b) => Number(b) - Number(a)));
      }
    }
  });

  it('asks for the place of what is there and can be placed, and of nothing else', () => {
    const bare = roundOf(emptyRecord).flatMap(({ steps }) => steps);
    expect(bare.filter(({ part }) => part === 'places')).toEqual([]);
    const one = put(emptyRecord, {
      part: 'features',
      key: 'shoreInlet',
      value: { state: 'standard' },
    });
    const places = roundOf(one)
      .flatMap(({ steps }) => steps)
      .filter(({ part }) => part === 'places');
    expect(places.map(({ entry }) => entry.key)).toEqual(['shoreInlet']);
  });

  it('counts what only the sheet says apart from what somebody saw', () => {
    const seen = put(emptyRecord, {
      part: 'features',
      key: 'coupler',
      value: { state: 'standard' },
    });
    const sheet = put(seen, {
      part: 'specs',
      key: 'ballSize',
      value: { kind: 'choice', choice: '2' },
      how: 'sheet',
    });
    const hitch = roundOf(sheet).find(({ station }) => station === 'hitch')?.steps ?? [];
    const one = (key: string) => hitch.filter(({ entry }) => entry.key === key);
    expect(countOf(one('coupler'))).toEqual({ seen: 1, offered: 0, open: 0 });
    expect(countOf(one('ballSize'))).toEqual({ seen: 0, offered: 1, open: 0 });
  });

  it('asks neither for papers nor for the yard’s own figures', () => {
    const keys: string[] = roundOf(emptyRecord).flatMap(({ steps }) =>
      steps.map(({ entry }) => entry.key),
    );
    expect(keys).not.toContain('stockNumber');
    expect(keys.filter((key) => specs.some((s) => s.key === key && s.ours))).toEqual([]);
  });

  it('leads round to every station where something is wanted, and ends', () => {
    const { record } = { record: demoRecord('TQ-0411') };
    const round = roundOf(record);
    const left = stopsLeft(round).map(({ station }) => station);
    const visited = new Set<string>();
    let here = round[0]?.station ?? 'hitch';
    for (let i = 0; i < round.length; i++) {
      here = nextStop(round, here)?.station ?? here;
      visited.add(here);
    }
    expect([...visited].toSorted()).toEqual(left.toSorted());
    const all = round.map((stop) => ({
      ...stop,
      steps: stop.steps.map((s) => ({ ...s, state: 'seen' as const })),
    }));
    expect(nextStop(all, 'hitch')).toBeUndefined();
    expect(all.flatMap(wantedAt)).toEqual([]);
  });
});

describe('the keypad', () => {
  it('has keys with which every number of the catalog can be typed, in both systems', () => {
    for (const system of ['us', 'metric'] as const) {
      for (const spec of specs) {
        const pad = keypadFor(spec.value, system);
        if (!pad) continue;
        const times = pad.keys.find(({ label }) => label === '×')?.writes[0];
        const unit =
          pad.keys.find(({ label, writes }) => label !== '×' && !/[/.]/.test(writes[0] ?? ''))
            ?.writes[0] ?? '';
        const sides = spec.value.kind === 'size' ? spec.value.sides.length : 1;
        const typed =
          spec.value.kind === 'counted'
            ? `2${times}30${unit}`
            : Array.from({ length: sides }, () => `12${unit}`).join(times ?? '');
        const read = typedSpec(spec.key, typed, system);
        expect([spec.key, system, typed, read.ok]).toEqual([spec.key, system, typed, true]);
      }
    }
  });

  it('writes feet, inches and fractions that are read', () => {
    const pad = keypadFor(specEntry('overallLength').value, 'us');
    expect(pad?.keys.map(({ label }) => label)).toEqual(['ft', 'in', '½ ¼ ⅛']);
    const [ft, inch, part] = pad?.keys ?? [];
    for (const fraction of part?.writes ?? []) {
      const typed = `21${ft?.writes[0]}9${fraction}${inch?.writes[0]}`;
      const [over = 0, under = 1] = fraction.trim().split('/').map(Number);
      expect(parseQuantity(typed, 'feet', 'us')).toEqual({ ok: true, value: 261 + over / under });
    }
  });

  it('stays away where words are typed or chosen', () => {
    expect(keypadFor(specEntry('vin').value, 'us')).toBeUndefined();
    expect(keypadFor(specEntry('ballSize').value, 'us')).toBeUndefined();
  });
});

describe('a scanned code', () => {
  it.each([
    ['1M8GDM9AXKP042788', { kind: 'vin', vin: '1M8GDM9AXKP042788' }],
    ['I1M8GDM9AXKP042788', { kind: 'vin', vin: '1M8GDM9AXKP042788' }],
    ['https://yard.example/u/TQ-0460', { kind: 'stock-number', stockNumber: 'TQ-0460' }],
    ['tq-0460', { kind: 'stock-number', stockNumber: 'TQ-0460' }],
    ['8412345678905', { kind: 'other', text: '8412345678905' }],
    ['', { kind: 'other', text: '' }],
  ])('%s', (code, meaning) => {
    expect(readScanned(code)).toEqual(meaning);
  });

  it('never makes a VIN of something with I, O or Q in it', () => {
    const letters = fc.stringMatching(/^[A-Z0-9]{17}$/);
    fc.assert(
      fc.property(letters, (code) => {
        const read = readScanned(code);
        if (read.kind === 'vin') expect(read.vin).not.toMatch(/[IOQ]/);
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it('labels settle fields that there are', () => {
    for (const { settles } of labelKinds) {
      for (const key of settles) expect(specEntry(key).key).toBe(key);
    }
  });
});

describe('what is aboard', () => {
  it('is every loose item of the catalog, as looked at', () => {
    const record = put(
      put(emptyRecord, { part: 'features', key: 'cranks', value: { state: 'standard' } }),
      { part: 'stowed', key: 'cranks', value: { where: 'pass-through, door side' } },
    );
    const items = looseItems(record);
    expect(items.find(({ feature }) => feature.key === 'cranks')).toMatchObject({
      state: 'standard',
      isHere: true,
      where: 'pass-through, door side',
    });
    expect(items.filter(({ state }) => state === undefined)).toHaveLength(items.length - 1);
  });

  it('adds up what was fitted, on the papers too, and takes it back whole', () => {
    const fit = (record: UnitRecord, n: number, weight: number | null): UnitRecord =>
      changesToFit(
        record,
        id(n),
        weight === null ? null : { what: 'Battery', weight, on: '2026-04-01' },
      ).reduce((now, change) => applyChange(now, change, 'Bram Oake', at), record);
    const two = fit(fit(emptyRecord, 1, 62), 2, 48);
    expect(fittedPounds(two)).toBe(110);
    expect(two.specs.fittedWeight?.value).toEqual({ kind: 'quantity', amount: 110 });
    const one = fit(two, 1, null);
    expect(one.specs.fittedWeight?.value).toEqual({ kind: 'quantity', amount: 48 });
    expect(fit(one, 2, null).specs.fittedWeight).toBeUndefined();
  });

  // 49 CFR 571.110 S10 (from memory): the lesser of 100 lb and 1.5% of the GVWR.
  it.each([
    [7600, 101, true],
    [7600, 99, false],
    [5000, 76, true],
    [5000, 74, false],
  ])('on a gross of %s lb, %s lb fitted ask for a label: %s', (gross, pounds, asked) => {
    const rated = put(
      put(emptyRecord, {
        part: 'specs',
        key: 'gvwr',
        value: { kind: 'quantity', amount: gross },
        how: 'read',
      }),
      { part: 'specs', key: 'condition', value: { kind: 'choice', choice: 'new' } },
    );
    const fitted = changesToFit(rated, id(1), {
      what: 'Rack',
      weight: pounds,
      on: '2026-04-01',
    }).reduce((now, change) => applyChange(now, change, 'Bram Oake', at), rated);
    const open = openObjections(checkRecord(fitted, { system: 'us', today: '2026-04-10' }));
    expect(open.some(({ id: key }) => key.startsWith('weight-label-after-fitting'))).toBe(asked);
  });

  it('says that a feature was fitted here', () => {
    const changes = changesToFit(emptyRecord, id(1), {
      what: 'Camera',
      feature: 'rearCamera',
      weight: 2,
      on: '2026-04-01',
    });
    expect(changes.at(-1)).toMatchObject({
      part: 'features',
      key: 'rearCamera',
      value: { state: 'ours' },
    });
  });

  it('says of any feature only what its kind can be: of a label that it is there', () => {
    const said = features.map(({ key }) => {
      const line = { what: 'It', feature: key, weight: 2, on: '2026-04-01' };
      const changes = changesToFit(emptyRecord, id(1), line);
      expect([key, changes.map(changeProblem).find(Boolean)]).toEqual([key, undefined]);
      return [key, (changes.at(-1)?.value as { readonly state?: string }).state] as const;
    });
    const states = new Map<string, string | undefined>(said);
    expect([states.get('weightCorrection'), states.get('wheelChocks')]).toEqual([
      'standard',
      'ours',
    ]);
  });
});

describe('questions', () => {
  const question = (more: Partial<Question> = {}): Question => ({
    text: 'What is the second switch?',
    scope: 'model',
    ...more,
  });
  const ask = (record: UnitRecord, n: number, value: Question): UnitRecord =>
    put(record, { part: 'questions', key: id(n), value, how: 'told' });
  const units = [
    {
      id: 'a',
      record: ask(
        model('Fenlark', '24 RKD', 2026),
        1,
        question({ about: 'specs.furnace', due: '2026-04-20' }),
      ),
    },
    { id: 'b', record: model('FENLARK', '24RKD', 2026) },
    { id: 'c', record: model('Fenlark', '24 RKD', 2025) },
    { id: 'd', record: ask(model('Tarn', '19 RB', 2026), 2, question({ scope: 'unit' })) },
  ] as const;

  it('of a model are found at every unit of it, however its name is written', () => {
    expect(modelKeyOf(units[0].record)).toBe(modelKeyOf(units[1].record));
    expect(ofSameModel(units[0], units).map((u) => u.id)).toEqual(['a', 'b']);
    expect(questionsAbout(units[1], units).map((q) => q.id)).toEqual([id(1)]);
    expect(questionsAbout(units[2], units)).toEqual([]);
    expect(questionsAbout(units[3], units).map((q) => q.id)).toEqual([id(2)]);
  });

  it('of units whose model nobody knows concern that unit alone', () => {
    const nameless = { id: 'x', record: ask(emptyRecord, 3, question()) };
    const other = { id: 'y', record: emptyRecord };
    expect(ofSameModel(nameless, [nameless, other]).map((u) => u.id)).toEqual(['x']);
  });

  it('are answered for every unit of the model, as told', () => {
    const [asked] = questionsAbout(units[0], units);
    if (!asked) throw new Error('no question');
    const value = {
      part: 'specs',
      key: 'furnace',
      value: { kind: 'quantity', amount: 5800 },
    } as const;
    const all = changesToAnswer(asked, 'It lights the steps.', units, value);
    expect(all.map(({ unit, changes }) => [unit, changes.length])).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
    expect(all.flatMap(({ changes }) => changes).every(({ how }) => how === 'told')).toBe(true);
    const after = all[0]?.changes.reduce(
      (now, change) => applyChange(now, change, 'Bram Oake', at),
      units[0].record,
    );
    expect(after?.questions[id(1)]?.value.answer).toBe('It lights the steps.');
  });

  it('an answer never takes the place of what was read', () => {
    const read = put(units[0].record, {
      part: 'specs',
      key: 'furnace',
      value: { kind: 'quantity', amount: 7326 },
      how: 'read',
    });
    const unit = { id: 'a', record: read };
    const [asked] = questionsAbout(unit, [unit]);
    if (!asked) throw new Error('no question');
    const value = {
      part: 'specs',
      key: 'furnace',
      value: { kind: 'quantity', amount: 5800 },
    } as const;
    const after = changesToAnswer(asked, 'Twenty thousand.', [unit], value)
      .flatMap(({ changes }) => changes)
      .reduce((now, change) => applyChange(now, change, 'Bram Oake', at), read);
    expect(after.specs.furnace).toMatchObject({ how: 'read', others: [{ how: 'told' }] });
  });

  it('are overdue from the day after', () => {
    const [asked] = questionsIn(units);
    if (!asked) throw new Error('no question');
    expect(isOverdue(asked, '2026-04-20')).toBe(false);
    expect(isOverdue(asked, '2026-04-21')).toBe(true);
  });

  it('stand on the list of what is left once, with all the units that wait for them', () => {
    const rows = leftIn(units).filter(({ chore }) => chore === 'ask');
    expect(rows.map(({ unit, why }) => [unit, why])).toEqual([
      ['a', 'nobody’s been asked yet, for 2 units'],
      ['d', 'nobody’s been asked yet'],
    ]);
  });
});

describe('what is left', () => {
  const units = demoFiles;

  it('is the same list in both orders', () => {
    const rows = leftIn(units);
    const names = (list: typeof rows): string[] =>
      list.map((r) => `${r.unit} ${r.target}`).toSorted();
    expect(names(leftInOrder(rows, 'weight'))).toEqual(names(leftInOrder(rows, 'walk')));
    const weights = leftInOrder(rows, 'weight').map(({ weight }) => weight);
    expect(weights).toEqual(weights.toSorted((a, b) => b - a));
  });

  it('walks one unit after another, and never comes back to one', () => {
    const order = leftInOrder(leftIn(units), 'walk').map(({ unit }) => unit);
    const changes = order.filter((unit, i) => unit !== order[i - 1]).length;
    expect(changes).toBe(new Set(order).size);
  });
});

describe('new parts of a record', () => {
  const values: readonly (readonly [string, string, object, RegExp])[] = [
    [
      'findings',
      id(1),
      { kind: 'rust', gravity: 'worn', station: 'hitch', saidFirst: true },
      /^Rust, hitch, worn but works$/,
    ],
    [
      'wheels',
      'Spare',
      { make: 'Corvane', tread: [0.25, 0.25, 0.21875], wear: 'even' },
      /^Corvane, 8, 8, 7 thirty-seconds of tread, worn even$/,
    ],
    [
      'moisture',
      id(2),
      { at: { layer: 'inside', x: 3, y: 90 }, percent: 18.5, dry: false },
      /^18.5%$/,
    ],
    ['photos', id(3), { of: ['specs.gvwr'], width: 800, height: 600 }, /^of GVWR$/],
    ['inspection', 'battery-volts', { result: 'pass', measured: 12.6 }, /^passed, 12.6 V$/],
    ['signatures', 'inspection', { verdict: 'inspected', inputs: 'x' }, /^inspected$/],
    ['stowed', 'cranks', { where: 'under the bed' }, /^under the bed$/],
    ['fitted', id(4), { what: 'Rack', weight: 40, on: '2026-04-01' }, /^Rack, 40 lb$/],
    [
      'questions',
      id(5),
      { text: 'Why two?', scope: 'unit', answer: 'One is spare.' },
      /^Why two\? Answer: One is spare\.$/,
    ],
  ];

  it.each(values)('%s are changed, told in words and taken back', (part, key, value, words) => {
    const change = { part, key, value, how: 'seen', basedOn: 0 } as Change;
    const after = applyChange(emptyRecord, change, 'Ines Rook', at);
    expect(fieldText(change.part, key, change.value, 'seen', 'us')).toMatch(words);
    const back = applyChange(after, inverseOf(emptyRecord, change, 1), 'Ines Rook', at);
    expect(back).toEqual(emptyRecord);
  });

  it('name what a photo shows', () => {
    expect(targetLabel('stations.hitch')).toBe('Hitch');
    expect(targetLabel('wheels.Spare')).toBe('Wheel, spare');
  });
});
