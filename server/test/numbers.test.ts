import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { System } from '@fair-gable/core/base/quantity';
import { tires, tiresInputSchema } from '@fair-gable/core/numbers/tires';
import { drag, dragInputSchema, tow, towInputSchema } from '@fair-gable/core/numbers/tow';
import { water, waterInputSchema } from '@fair-gable/core/numbers/water';
import {
  scale,
  scaleInputSchema,
  usualTrial,
  weigh,
  weightInputOf,
  weightInputSchema,
} from '@fair-gable/core/numbers/weight';
import {
  cargoLabel,
  cargoLabelInputOf,
  cargoLabelInputSchema,
} from '@fair-gable/core/unit/cargo-label';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { asker, bench, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

let b: Bench;
let ask: Asker;
let record: UnitRecord;
beforeAll(async () => {
  b = await bench();
  ask = await signedIn(b.app, 'ines@thornquay.example');
  record = (await unitNamed(ask, 'TQ-0417')).record;
});
afterAll(() => b.close());

const known = (amount: number) => ({ amount, how: 'read' });
/** A body for each engine, and what the core itself answers to it. */
const cases: readonly (readonly [
  string,
  () => unknown,
  (body: unknown, system: System) => unknown,
])[] = [
  [
    'weight',
    () => weightInputOf(record, usualTrial),
    (body, system) => weigh(weightInputSchema.parse(body), system),
  ],
  [
    'tow',
    () => ({ loaded: known(6500), share: known(0.13), payload: known(1700), reserve: 0.2 }),
    (body, system) => tow(towInputSchema.parse(body), system),
  ],
  [
    'tires',
    () => ({
      each: known(2150),
      highest: known(65),
      pressure: known(60),
      gawr: known(7000),
      count: 4,
    }),
    (body, system) => tires(tiresInputSchema.parse(body), system),
  ],
  [
    'water',
    () => ({ fresh: known(47), gray: known(26), people: 3, style: 'usual' }),
    (body, system) => water(waterInputSchema.parse(body), system),
  ],
  [
    'cargo-label',
    () => cargoLabelInputOf(record),
    (body, system) => cargoLabel(cargoLabelInputSchema.parse(body), system),
  ],
  [
    'scale',
    () => ({ vehicle: known(5760), together: known(12_120), trailerAxles: known(5540) }),
    (body, system) => scale(scaleInputSchema.parse(body), system),
  ],
  [
    'drag',
    () => ({
      height: known(118),
      width: known(96),
      otherHeight: known(130),
      otherWidth: known(96),
    }),
    (body, system) => drag(dragInputSchema.parse(body), system),
  ],
];

describe('the numbers over the API', () => {
  it.each(cases)('%s are those of the core, to the letter', async (key, body, core) => {
    const given = body();
    const { status, body: answer } = await ask('POST', `/api/numbers/${key}`, given);
    expect(status).toBe(200);
    expect(answer).toEqual(JSON.parse(JSON.stringify(core(given, 'us'))));
  });

  it.each(cases)('%s are worded in the caller’s own units', async (key, body, core) => {
    const metric = await signedIn(b.app, 'una@other.example');
    const given = body();
    const { body: answer } = await metric('POST', `/api/numbers/${key}`, given);
    expect(answer).toEqual(JSON.parse(JSON.stringify(core(given, 'metric'))));
    expect(answer.sentence).not.toMatch(/\blb\b|\bgal\b/);
  });

  it.each(cases)('%s say what is missing, and give no number in its place', async (key) => {
    const empty = {
      weight: { items: [] },
      tow: {},
      tires: { count: 4 },
      water: { people: 2, style: 'usual' },
      'cargo-label': {},
      scale: {},
      drag: {},
    }[key as 'tow'];
    const { status, body } = await ask('POST', `/api/numbers/${key}`, empty);
    expect(status).toBe(200);
    expect(body.value).toBeUndefined();
    expect(body.missing.length).toBeGreaterThan(0);
    expect(body.sentence).toContain('can’t say yet');
  });

  it.each([
    ['weight', { uvw: known(-1), items: [] }, 'uvw'],
    ['tow', { loaded: known(6000), share: known(7) }, 'share'],
    ['tires', { each: known(2150), count: 0 }, 'count'],
    ['scale', { vehicle: known(6000), together: known(5900) }, 'together'],
    ['water', { fresh: known(40), people: 0, style: 'usual' }, 'people'],
    ['water', { fresh: known(40), people: 2, style: 'like a duck' }, 'style'],
  ])('%s refuse the impossible by its field: %j', async (key, given, field) => {
    const { status, body } = await ask('POST', `/api/numbers/${key}`, given);
    expect([status, body.code]).toEqual([400, 'bad-input']);
    expect(body.detail).toContain(field);
  });

  it('want a sign-in, and nothing more', async () => {
    expect((await asker(b.app)('POST', '/api/numbers/tow', {})).status).toBe(401);
    for (const name of ['ivo', 'osk']) {
      const somebody = await signedIn(b.app, `${name}@thornquay.example`);
      expect((await somebody('POST', '/api/numbers/tow', {})).status).toBe(200);
    }
  });
});
