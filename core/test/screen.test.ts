import { describe, expect, it } from '@jest/globals';
import { pointsOf, type Point } from '@fair-gable/core/show/cards';
import { screenOf, screenViewSchema, type ScreenView } from '@fair-gable/core/show/screen';
import { nextEvent, type WalkEvent, type WalkPlan, type What } from '@fair-gable/core/show/walk';
import {
  features,
  isPublic,
  isPublicTarget,
  publicEntries,
  publicLabel,
  specs,
  type FeatureKey,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import { outlineOf } from '@fair-gable/core/unit/outline';
import { emptyRecord, textOf, type Entry, type UnitRecord } from '@fair-gable/core/unit/record';
import { demoFiles, demoRecord, us } from './demo-units.ts';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const fenlark = demoRecord('TQ-0417');

const give = (...whats: readonly What[]): readonly WalkEvent[] =>
  whats.reduce<readonly WalkEvent[]>(
    (events, what) => [
      ...events,
      nextEvent(events, { id: uuid(events.length + 10), device: uuid(3), elapsed: 0 }, what),
    ],
    [],
  );
const planOf = (points: readonly Point[]): WalkPlan => ({
  id: uuid(1),
  unit: uuid(2),
  minutes: 30,
  points: [...points],
});
const unitOf = (record: UnitRecord, system: 'us' | 'metric' = 'us') => ({
  record,
  points: pointsOf(record, { ...us, system }),
  system,
  today: us.today,
});
const viewOf = (point: Point, record: UnitRecord, system: 'us' | 'metric' = 'us'): ScreenView =>
  screenOf(planOf([point]), give({ kind: 'begin' }), unitOf(record, system));
const cardOf = (record: UnitRecord, id: string): Point => {
  const card = pointsOf(record, us).find((point) => point.id === id);
  if (!card) throw new Error(`no card ${id}`);
  return card;
};

describe('what may be shown to anybody', () => {
  it('is in the catalog, and is all of it but for what is listed here', () => {
    const all = [...specs, ...features];
    expect(publicEntries).toHaveLength(new Set(publicEntries).size);
    const ours = all.filter(({ key }) => !isPublic(key as SpecKey)).map(({ key }) => key);
    expect(ours.toSorted()).toEqual(
      [
        ...['vin', 'stockNumber', 'listPrice', 'askingPrice', 'arrived', 'recallChecked'],
        ...['inspected', 'inspectedBy', 'decor', 'packages', 'slideOverride', 'solarPortKind'],
        ...['tireMake', 'tireDateDoorFront', 'tireDateDoorMiddle', 'tireDateDoorRear'],
        ...['tireDateOffDoorFront', 'tireDateOffDoorMiddle', 'tireDateOffDoorRear'],
        ...['tireDateSpare'],
      ].toSorted(),
    );
  });

  it.each([
    ['specs.gvwr', true, 'GVWR'],
    ['features.awning', true, 'Awning'],
    ['specs.vin', false, undefined],
    ['specs.askingPrice', false, undefined],
    ['specs.nothing', false, undefined],
    ['features.gvwr', false, undefined],
    ['stations.hitch', true, undefined],
    ['stations.papers', false, undefined],
    ['findings.x', true, undefined],
    ['inspection.x', false, undefined],
    ['wheels.Spare', false, undefined],
    ['own.x', false, undefined],
    ['', false, undefined],
  ])('of “%s”: %s', (target, may, label) => {
    expect([isPublicTarget(target), publicLabel(target)]).toEqual([may, label]);
  });
});

describe('the screen that faces the buyer', () => {
  it('waits, follows and ends with the walk', () => {
    const plan = planOf(pointsOf(fenlark, us));
    const state = (...whats: readonly What[]) =>
      screenOf(plan, give(...whats), unitOf(fenlark)).state;
    expect(state()).toBe('waiting');
    expect(state({ kind: 'begin' })).toBe('walking');
    expect(state({ kind: 'begin' }, { kind: 'pause' })).toBe('paused');
    expect(state({ kind: 'begin' }, { kind: 'finish' })).toBe('finished');
  });

  it('is within its schema on every demo unit, and has no sentence, price, number or name of ours', () => {
    for (const { record } of demoFiles) {
      const unit = unitOf(record);
      for (const point of unit.points.filter((_, i) => i % 9 === 0)) {
        const view = screenOf(planOf([point]), give({ kind: 'begin' }), unit);
        expect(screenViewSchema.parse(view)).toEqual(view);
        const sent = JSON.stringify(view);
        expect(sent).not.toContain(point.sentence);
        for (const key of ['vin', 'askingPrice', 'listPrice', 'stockNumber'] as const) {
          const text = textOf(record, key);
          if (text && text.length > 4) expect(sent).not.toContain(text);
        }
        expect(sent).not.toMatch(/Ines|Rook|Bram|"how"|"by"|"at"|"specs"/);
      }
    }
  });

  it('has figures of what somebody read, in the walk’s own units', () => {
    const card = cardOf(fenlark, 'specs.gvwr');
    expect(viewOf(card, fenlark)).toMatchObject({ title: 'GVWR', system: 'us' });
    expect(viewOf(card, fenlark).numbers).toContainEqual({
      label: 'GVWR',
      text: '7,490 lb',
    });
    expect(viewOf(card, fenlark, 'metric').numbers).toContainEqual({
      label: 'GVWR',
      text: expect.stringMatching(/kg$/),
    });
  });
});

/** A record with all that is known of its fields known in another way. */
const knownAs = (record: UnitRecord, how: 'guessed' | 'told'): UnitRecord => {
  const all = <T extends object>(part: T): T =>
    Object.fromEntries(
      Object.entries(part).map(([key, entry]: [string, Entry<unknown>]) => [
        key,
        { ...entry, how, others: undefined },
      ]),
    ) as T;
  return {
    ...record,
    specs: all(record.specs),
    features: all(record.features),
    places: all(record.places),
  };
};

describe('nothing else leaves by it', () => {
  it.each(['guessed', 'told'] as const)('no figure, title or place that was %s', (how) => {
    const record = knownAs(fenlark, how);
    const bare = JSON.stringify(outlineOf(emptyRecord).parts);
    for (const point of unitOf(record).points.filter((_, i) => i % 5 === 0)) {
      const view = viewOf(point, record);
      expect(view.numbers).toEqual([]);
      // Nothing is drawn but what stands on any unit.
      expect(JSON.stringify(view.drawing.parts)).toBe(bare);
      expect(view.drawing.length.known).toBe(false);
      const label = /^(specs|features)\./.test(point.id) ? point.label : '-';
      expect([point.id, view.title === label]).toEqual([point.id, false]);
    }
  });

  it('no word of a lower source beside what is shown', () => {
    const gvwr = fenlark.specs.gvwr as Entry<unknown>;
    const others = [
      { ...gvwr, how: 'guessed' as const, value: { kind: 'quantity', amount: 8123 } },
    ];
    const record = { ...fenlark, specs: { ...fenlark.specs, gvwr: { ...gvwr, others } } };
    const view = viewOf(cardOf(fenlark, 'specs.gvwr'), record as UnitRecord);
    expect(JSON.stringify(view)).not.toMatch(/8,?123/);
  });

  it('no price that somebody typed, wherever they typed it', () => {
    const price = '$21,987';
    const said = <T>(value: T): Entry<T> => ({
      value,
      how: 'read',
      by: `Ines ${price}`,
      at: '2026-03-14T09:00:00.000Z',
      version: 1,
    });
    const text = (t: string) => said({ kind: 'text' as const, text: t });
    const texts = specs.filter(
      ({ key, value }) => value.kind === 'text' && !['series', 'floorPlan'].includes(key),
    );
    const record = {
      ...fenlark,
      specs: {
        ...fenlark.specs,
        ...Object.fromEntries(texts.map(({ key }) => [key, text(price)])),
        askingPrice: said({ kind: 'number' as const, number: 21_987 }),
      },
      wordings: {
        'specs.gvwr': said({ words: `It’s ${price} today.` }),
        'own.x': said({ words: price, station: 'hitch', label: price, wanted: 'always' }),
      },
    } as unknown as UnitRecord;
    const forged: Point = {
      ...cardOf(fenlark, 'specs.gvwr'),
      label: price,
      sentence: price,
      numbers: [{ label: price, text: price, how: 'read' }],
    };
    const cards = [
      ...unitOf(record).points,
      forged,
      { ...forged, id: 'own.x' },
      { ...forged, id: 'trials.x' },
      { ...forged, id: 'specs.askingPrice' },
      { ...forged, id: 'objections.x' },
    ];
    const unit = unitOf(record);
    for (const card of cards) {
      const sent = JSON.stringify(screenOf(planOf([card]), give({ kind: 'begin' }), unit));
      expect([card.id, /21,?987/.test(sent)]).toEqual([card.id, false]);
    }
  });

  it('no objection that nobody has raised', () => {
    const point = { ...cardOf(fenlark, 'specs.gvwr'), id: 'objections.small', label: 'Too small?' };
    const view = viewOf(point, fenlark);
    expect([view.title, view.numbers]).toEqual([undefined, []]);
  });

  it('no figure that a check doubts, drawn or written', () => {
    const overall = fenlark.specs.overallLength as Entry<unknown>;
    const specsOf = {
      ...fenlark.specs,
      overallLength: { ...overall, value: { kind: 'quantity', amount: 30 } },
    };
    const record = { ...fenlark, specs: specsOf } as UnitRecord;
    expect(viewOf(cardOf(fenlark, 'specs.gvwr'), record).drawing.length.known).toBe(false);
  });

  it('no photo that shows a paper or a plate beside what it is shown for', () => {
    const photo = (id: number, ...of: readonly string[]) => [
      uuid(id),
      {
        value: { of, width: 10, height: 10, arrows: [] },
        how: 'seen' as const,
        by: 'Ines',
        at: '2026-03-14T09:00:00.000Z',
        version: 1,
      },
    ];
    const photos = Object.fromEntries([
      photo(1, 'specs.gvwr'),
      photo(2, 'specs.gvwr', 'specs.vin'),
      photo(3, 'stations.labels', 'inspection.brakes'),
      photo(4, 'stations.labels'),
      photo(5, 'stations.hitch'),
    ]);
    const record = { ...fenlark, photos } as unknown as UnitRecord;
    expect(viewOf(cardOf(fenlark, 'specs.gvwr'), record).photos).toEqual([uuid(1), uuid(4)]);
  });

  it('no stock number in place of a name', () => {
    const record = {
      ...emptyRecord,
      specs: { stockNumber: fenlark.specs.stockNumber } as UnitRecord['specs'],
    };
    expect(screenOf(planOf([]), [], unitOf(record)).unit).toBe('Travel trailer');
  });

  it('is known by key: a feature that is seen is drawn', () => {
    const seen = (key: FeatureKey) => fenlark.features[key]?.how;
    expect(['seen', 'read', 'measured', 'sheet']).toContain(seen('slide'));
    const { parts } = viewOf(cardOf(fenlark, 'specs.gvwr'), fenlark).drawing;
    expect(parts.some(({ key, known }) => key === 'slide' && known)).toBe(true);
  });
});
