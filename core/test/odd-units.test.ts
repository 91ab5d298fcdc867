import { describe, expect, it } from '@jest/globals';
import { pointsOf } from '@fair-gable/core/show/cards';
import {
  wordsFor,
  features,
  isFitted,
  specs,
  wordingsOf,
  type FeatureKey,
  type FeatureState,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import { checkRecord, openObjections, type Objection } from '@fair-gable/core/unit/checks';
import { outlineOf } from '@fair-gable/core/unit/outline';
import { applies, applyChange, type Change, type UnitRecord } from '@fair-gable/core/unit/record';
import { roundOf } from '@fair-gable/core/unit/round';
import { demoRecord, us } from './demo-units.ts';

/** Units that have not what most have, or more of it: nothing may assume that it is there. */
const at = '2026-04-15T09:00:00.000Z';
const look = { system: 'us', today: '2026-04-15' } as const;
/** What was there goes first: this is another unit, not another word of the same one. */
const put = (record: UnitRecord, change: object): UnitRecord => {
  const { part, key } = change as { part: 'specs'; key: SpecKey };
  const make = (from: UnitRecord, value: unknown): UnitRecord => {
    const basedOn = from[part][key]?.version ?? 0;
    const whole = { ...change, value, how: 'read', basedOn } as Change;
    return applyChange(from, whole, 'Ines Rook', at);
  };
  const { value } = change as { value: unknown };
  const gone = record[part][key] ? make(record, null) : record;
  return value === null ? gone : make(gone, value);
};
const is =
  (state: FeatureState, ...keys: readonly FeatureKey[]) =>
  (record: UnitRecord): UnitRecord =>
    keys.reduce((r, key) => put(r, { part: 'features', key, value: { state } }), record);
const unknown =
  (...keys: readonly SpecKey[]) =>
  (record: UnitRecord): UnitRecord =>
    keys.reduce((r, key) => put(r, { part: 'specs', key, value: null }), record);
const value =
  (key: SpecKey, of: object) =>
  (record: UnitRecord): UnitRecord =>
    put(record, { part: 'specs', key, value: of });

interface Odd {
  readonly what: string;
  readonly change: readonly ((record: UnitRecord) => UnitRecord)[];
  /** Not on the unit: neither drawn nor asked for, and no check speaks of it. */
  readonly absent: readonly (SpecKey | FeatureKey)[];
  /** Drawn. */
  readonly drawn?: readonly string[];
  /** Said to the buyer who would ask. */
  readonly says?: RegExp;
}

const odd: readonly Odd[] = [
  {
    what: 'no slide',
    change: [is('none', 'slide', 'secondSlide', 'thirdSlide')],
    absent: [
      'slide',
      'secondSlide',
      'slideMechanism',
      'slideHeight',
      'slideOverride',
      'slideTopper',
    ],
    says: /No slides on this one/,
  },
  {
    what: 'no gray tank',
    change: [
      is('none', 'dumpOutlet', 'galleyOutlet'),
      unknown('grayTank', 'galleyTank', 'dumpOutletCount'),
    ],
    absent: ['grayTank', 'galleyTank', 'dumpOutlet'],
    says: /There’s no dump outlet/,
  },
  {
    what: 'no water heater',
    change: [
      is('none', 'waterHeater'),
      unknown('heaterTank', 'heaterKind', 'heaterFuel', 'heaterElement'),
    ],
    absent: ['waterHeater', 'heaterTank', 'heaterKind', 'heaterGas', 'heaterBypass', 'reliefValve'],
    says: /There’s no water heater/,
  },
  {
    what: 'a tankless heater',
    change: [value('heaterKind', { kind: 'choice', choice: 'tankless' }), unknown('heaterTank')],
    absent: ['heaterTank'],
    drawn: ['waterHeater'],
  },
  {
    what: 'one axle',
    change: [value('axleRating', { kind: 'counted', count: 1, each: 3500 })],
    absent: ['tireDateDoorMiddle', 'tireDateDoorRear', 'tireDateOffDoorRear'],
    drawn: ['axleRating'],
  },
  {
    what: 'two doors',
    change: [is('standard', 'secondDoor')],
    absent: [],
    drawn: ['entryDoor', 'secondDoor'],
    says: /second door|two doors/i,
  },
  {
    what: 'a garage',
    change: [
      is('standard', 'garageSpace', 'ramp'),
      value('garageLength', { kind: 'quantity', amount: 132 }),
    ],
    absent: [],
    says: /The garage is 11 feet clear/,
  },
  {
    what: 'no bath',
    change: [is('none', 'toilet', 'shower'), unknown('blackTank')],
    absent: ['toiletFlush', 'showerSize', 'showerHeight', 'waterSaver'],
    says: /There’s no fixed toilet/,
  },
];

const made = (one: Odd): UnitRecord =>
  one.change.reduce((record, change) => change(record), demoRecord('TQ-0417'));
const open = (record: UnitRecord): readonly Objection[] =>
  openObjections(checkRecord(record, look));

describe.each(odd.map((one) => [one.what, one] as const))('a unit with %s', (_, one) => {
  const record = made(one);
  const before = demoRecord('TQ-0417');

  it('is drawn with what it has alone', () => {
    const keys = outlineOf(record).parts.map(({ key }) => key);
    for (const key of one.absent) expect(keys).not.toContain(key);
    for (const key of one.drawn ?? []) expect(keys).toContain(key);
    const axles = keys.filter((key) => key === 'axleRating').length;
    expect(axles).toBe(one.what === 'one axle' ? 1 : 2);
  });

  it('is not asked for what it has not', () => {
    const asked = roundOf(record).flatMap(({ steps }) => steps.map(({ entry }) => entry.key));
    const gone = one.absent.filter((key) => {
      const entry = [...specs, ...features].find((e) => e.key === key);
      return entry && !applies(record, entry);
    });
    for (const key of gone) expect(asked).not.toContain(key);
    const parts = [...specs, ...features].filter(({ partOf }) =>
      one.absent.some((key) => key === partOf),
    );
    for (const entry of parts)
      expect([entry.key, applies(record, entry)]).toEqual([entry.key, false]);
  });

  it('is objected to by nothing that speaks of what it has not', () => {
    const known = new Set(open(before).map(({ id }) => id));
    const fresh = open(record).filter(({ id }) => !known.has(id));
    for (const { field, title } of fresh)
      expect([title, one.absent.includes(field)]).toEqual([title, false]);
  });

  it('is spoken of rightly', () => {
    const cards = pointsOf(record, us);
    const said = cards.map(({ sentence }) => sentence);
    if (one.says) expect(said.some((sentence) => one.says?.test(sentence))).toBe(true);
    const ids = cards.map(({ id }) => id);
    for (const key of one.absent) {
      expect(ids).not.toContain(`specs.${key}`);
      const feature = features.find((f) => f.key === key);
      for (const wording of wordingsOf(feature && wordsFor(feature.key).say))
        expect(said).not.toContain(wording);
    }
    const claimed = features.filter((f) =>
      wordingsOf(wordsFor(f.key).say).some((words) => said.includes(words)),
    );
    for (const { key } of claimed) {
      expect([key, isFitted(record.features[key]?.value.state)]).toEqual([key, true]);
    }
  });
});

it('a garage is drawn to its length, at the rear, and the rooms stand before it', () => {
  const { furniture, within, body } = outlineOf(made(odd.find(({ what }) => what === 'a garage')!));
  const gear = furniture.find(({ key }) => key === 'garageLength')!.box;
  expect([gear.height, gear.y + gear.height]).toEqual([132, body.y + body.height]);
  for (const peg of within.inside) {
    expect([peg.station, peg.y > gear.y]).toEqual([peg.station, peg.station === 'garage']);
  }
});
