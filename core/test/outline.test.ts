import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { routeOf } from '@fair-gable/core/unit/route';
import { stations } from '@fair-gable/core/unit/catalog';
import { checkRecord } from '@fair-gable/core/unit/checks';
import {
  floorSize,
  isOnRing,
  knownAt,
  outlineOf,
  stationState,
} from '@fair-gable/core/unit/outline';
import {
  applyChange,
  emptyRecord,
  type Change,
  type Place,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { changesByLabelPhotos } from '@fair-gable/core/unit/round';
import { demoFiles, demoRecord } from './demo-units.ts';

const at = '2026-04-15T09:00:00.000Z';
const put = (record: typeof emptyRecord, key: string, value: Place) => {
  const change: Change = { part: 'places', key, value, how: 'measured', basedOn: 0 };
  return applyChange(record, change, 'Ines', at);
};
const fenlark = demoRecord('TQ-0417');

describe('the outline', () => {
  it('is to scale: body, overall length and wheels where they were measured', () => {
    const { length, body, parts } = outlineOf(fenlark);
    expect(length).toEqual({ inches: 335, known: true });
    expect(body).toEqual({ x: -48, y: 45, width: 96, height: 290, known: true });
    const axles = parts.filter((p) => p.shape === 'axle').map((p) => p.box.y + p.box.height / 2);
    expect(axles).toEqual([192, 226]);
  });

  it('draws a slide outwards on its own side by its own size', () => {
    const slide = outlineOf(fenlark).parts.find((p) => p.key === 'slide')!;
    expect(slide.box).toEqual({ x: -77, y: 124, width: 29, height: 104 });
    const moved = put(fenlark, 'slide', { back: 124, side: 'door', length: 104, depth: 29 });
    expect(outlineOf(moved).parts.find((p) => p.key === 'slide')!.box.x).toBe(48);
  });

  it('says what is not measured, and draws it where it usually is', () => {
    const { missing, parts } = outlineOf(fenlark);
    expect(missing).toEqual(['Gray tank', 'Fresh-tank drain', 'Second dump outlet']);
    expect(parts.find((p) => p.key === 'grayTank')).toMatchObject({
      known: false,
      side: 'off-door',
    });
  });

  it('draws a guessed place where it is guessed, dashed', () => {
    const value: Place = { back: 200, side: 'off-door' };
    const guess: Change = { part: 'places', key: 'grayTank', value, how: 'guessed', basedOn: 0 };
    const guessed = outlineOf(applyChange(fenlark, guess, 'Ines', at));
    const tank = guessed.parts.find((p) => p.key === 'grayTank')!;
    expect([tank.known, tank.box.y + tank.box.height / 2]).toEqual([false, 200]);
    expect(guessed.missing).toContain('Gray tank');
  });

  it('draws nothing that the record does not say is there', () => {
    expect(outlineOf(emptyRecord).parts).toEqual([]);
    expect(outlineOf(emptyRecord).length.known).toBe(false);
    const pell = outlineOf(demoRecord('TQ-0402')).parts.map((p) => p.key);
    for (const absent of [
      'slide',
      'grayTank',
      'blackTank',
      'waterHeater',
      'dumpOutlet',
      'secondDoor',
    ]) {
      expect(pell).not.toContain(absent);
    }
    expect(pell.filter((key) => key === 'axleRating')).toHaveLength(1);
  });

  it.each(demoFiles.map((f) => [f.id, f.record] as const))(
    'keeps the pegs of %s apart and in reach',
    (_, record) => {
      const { pegs, path } = outlineOf(record);
      expect(pegs).toHaveLength(stations.filter(isOnRing).length);
      for (const a of pegs) {
        for (const b of pegs) {
          if (a.number < b.number) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(26);
        }
        expect(a.y).toBeGreaterThanOrEqual(path.y - 60);
      }
    },
  );
});

describe('the route', () => {
  it('goes hitch, door side, rear, off-door side, then what is not on the ring', () => {
    expect(routeOf(fenlark)).toEqual([
      'hitch', 'front', 'pass-through', 'door-side', 'entry', 'running-gear', 'outside-kitchen', 'rear',
      'underside', 'utilities', 'labels', 'roof', 'construction', 'control-panel', 'kitchen', 'living',
      'bedroom', 'bunks', 'bath', 'climate', 'safety', 'garage', 'loose-items', 'papers',
    ]); // prettier-ignore
  });

  it('follows the things of the station when they are elsewhere on this unit', () => {
    const doorSide = [
      'shoreInlet',
      'cityWater',
      'freshFill',
      'blackFlush',
      'dumpOutlet',
      'slide',
      'waterHeater',
      'outsideShower',
    ];
    const moved = doorSide.reduce((r, key) => put(r, key, { back: 300, side: 'door' }), fenlark);
    const route = routeOf(moved);
    expect(route.indexOf('utilities')).toBeLessThan(route.indexOf('rear'));
  });

  it('names every station once, wherever things are put', () => {
    const place = fc.record({
      back: fc.integer({ min: 0, max: 400 }),
      side: fc.constantFrom('door', 'off-door', 'rear', 'front', 'center'),
    });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('shoreInlet', 'slide', 'entryDoor', 'awning'), place)),
        (moves) => {
          const record = moves.reduce((r, [key, to]) => put(r, key, to as Place), fenlark);
          const route = routeOf(record);
          return route.length === stations.length && new Set(route).size === route.length;
        },
      ),
    );
  });
});

describe('a station’s state', () => {
  const look = { system: 'us', today: '2026-04-15' } as const;
  const photoOf = (target: string) => ({
    value: { of: [target], width: 800, height: 600 },
    how: 'seen' as const,
    by: 'Ines Rook',
    at: '2026-04-15T09:00:00.000Z',
    version: 1,
  });

  it('is open, partly, done or wrong', () => {
    const state = (stock: string, station: Parameters<typeof stationState>[1]) => {
      const record = demoRecord(stock);
      return stationState(record, station, checkRecord(record, look));
    };
    expect(stationState(emptyRecord, 'hitch', [])).toBe('open');
    expect(state('TQ-0417', 'utilities')).toBe('partly');
    const unit = demoRecord('TQ-0417');
    const photos = {
      a: photoOf('specs.vin'),
      b: photoOf('specs.uvw'),
      c: photoOf('specs.coldPressure'),
    };
    const pictured = { ...unit, photos };
    const record = changesByLabelPhotos(pictured).reduce<UnitRecord>(
      (before, change) => applyChange(before, change, 'Ines Rook', '2026-04-15T09:00:00.000Z'),
      pictured,
    );
    expect(stationState(record, 'labels', checkRecord(record, look))).toBe('done');
    expect(state('TQ-0365', 'labels')).toBe('wrong');
  });

  it('does not count what belongs to something not fitted', () => {
    expect(knownAt(demoRecord('TQ-0402'), 'utilities')).toEqual({ known: 22, taken: 0, of: 22 });
  });

  it('counts apart what only the model sheet says', () => {
    const { known, taken, of } = knownAt(demoRecord('TQ-0403'), 'kitchen');
    expect(taken).toBeGreaterThan(10);
    expect([taken <= known, known <= of]).toEqual([true, true]);
  });

  it('keeps its hitch where the box is as long as the whole', () => {
    const { body } = outlineOf(demoRecord('TQ-0425'));
    expect(body.y).toBeGreaterThan(0);
    expect(body.y + body.height).toBeCloseTo(outlineOf(demoRecord('TQ-0425')).length.inches);
  });

  it('has the stations inside and on the roof within the body, none upon another', () => {
    for (const { record } of demoFiles) {
      const { body, within } = outlineOf(record);
      for (const pegs of [within.inside, within.roof]) {
        for (const peg of pegs) {
          expect(Math.abs(peg.x)).toBeLessThan(body.width / 2);
          expect(peg.y).toBeGreaterThanOrEqual(body.y);
          expect(peg.y).toBeLessThanOrEqual(body.y + body.height);
        }
        for (const [i, a] of pegs.entries()) {
          for (const b of pegs.slice(i + 1)) {
            expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(25);
            // Names stand beside the body, left and right: lines of one side do not run into each other.
            if (a.x < 0 === b.x < 0) expect(Math.abs(a.y - b.y)).toBeGreaterThan(20);
          }
        }
      }
    }
  });
});

describe('the inside', () => {
  const written = (
    record: typeof emptyRecord,
    part: 'specs' | 'features',
    key: string,
    value: object,
  ) => applyChange(record, { part, key, value, how: 'measured', basedOn: 0 } as Change, 'Ines', at);
  const size = (...sides: number[]) => ({ kind: 'size', sides });
  const bare = written(
    written(
      written(emptyRecord, 'specs', 'overallLength', { kind: 'quantity', amount: 300 }),
      'specs',
      'boxLength',
      {
        kind: 'quantity',
        amount: 250,
      },
    ),
    'specs',
    'width',
    { kind: 'quantity', amount: 96 },
  );

  it('draws a bed to its own size, and turned where it lies across', () => {
    const along = written(bare, 'specs', 'bedSize', size(60, 75));
    const [bed] = outlineOf(along).furniture;
    expect(bed).toMatchObject({ key: 'bedSize', size: [60, 75], box: { width: 60, height: 75 } });
    const across = written(along, 'specs', 'bedDirection', { kind: 'choice', choice: 'across' });
    expect(outlineOf(across).furniture[0]?.box).toMatchObject({ width: 75, height: 60 });
  });

  it('ends a garage at the rear wall, and keeps bunks and shower before it', () => {
    const garage = written(bare, 'specs', 'garageLength', { kind: 'quantity', amount: 120 });
    const whole = written(
      written(garage, 'specs', 'bunkSize', size(30, 75)),
      'specs',
      'showerSize',
      size(24, 32),
    );
    const pieces = outlineOf(whole).furniture;
    const gear = pieces.find(({ key }) => key === 'garageLength')!.box;
    expect([gear.y, gear.y + gear.height]).toEqual([180, 300]);
    for (const { box } of pieces.filter(({ key }) => key !== 'garageLength')) {
      expect(box.y).toBeGreaterThanOrEqual(50);
      expect(box.y + box.height).toBeLessThanOrEqual(180);
    }
  });

  it('names the sides that are known alone, and a guess as a guess', () => {
    const long = written(bare, 'specs', 'garageLength', { kind: 'quantity', amount: 120 });
    const [garage] = outlineOf(long).furniture;
    expect(floorSize(garage!, 'us')).toBe('120 in');
    const wide = written(long, 'specs', 'garageWidth', { kind: 'quantity', amount: 84 });
    expect(floorSize(outlineOf(wide).furniture[0]!, 'us')).toBe('84 × 120 in');
    const guess: Change = {
      part: 'specs',
      key: 'bedSize',
      value: size(60, 75) as never,
      how: 'guessed',
      basedOn: 0,
    };
    const [bed] = outlineOf(applyChange(bare, guess, 'Ines', at)).furniture;
    expect(floorSize(bed!, 'us')).toBe('about 60 × 75 in');
  });

  it('draws nothing whose size nobody wrote, nor what is not on the unit', () => {
    expect(outlineOf(bare).furniture).toEqual([]);
    const none = written(
      written(bare, 'specs', 'garageLength', { kind: 'quantity', amount: 120 }),
      'features',
      'garageSpace',
      { state: 'none' },
    );
    expect(outlineOf(none).furniture).toEqual([]);
  });

  it('lies within the body on every demo unit', () => {
    const pieces = demoFiles.flatMap(({ record }: { readonly record: typeof emptyRecord }) => {
      const { body, furniture } = outlineOf(record);
      return furniture.map(({ box }) => ({ box, body }));
    });
    expect(pieces.length).toBeGreaterThan(10);
    for (const { box, body } of pieces) {
      expect(box.x).toBeGreaterThanOrEqual(body.x);
      expect(box.x + box.width).toBeLessThanOrEqual(body.x + body.width);
      expect(box.y).toBeGreaterThanOrEqual(body.y);
      expect(box.y + box.height).toBeLessThanOrEqual(body.y + body.height + 1e-9);
    }
  });
});
