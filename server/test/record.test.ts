import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Change } from '@fair-gable/core/unit/record';
import {
  asker,
  bench,
  editOf,
  signedIn,
  specChange,
  unitNamed,
  type Asker,
  type Bench,
  unitsInDemo,
} from './support.ts';

let b: Bench;
let ask: Asker;
let bram: Asker;
beforeAll(async () => {
  b = await bench();
  ask = await signedIn(b.app, 'ines@thornquay.example');
  bram = await signedIn(b.app, 'bram@thornquay.example');
});
afterAll(() => b.close());

const create = (changes: readonly Change[], id = randomUUID()) =>
  ask('POST', '/api/units', { id, changes });
const change = (id: string, changes: readonly unknown[], by = ask) =>
  by('POST', `/api/units/${id}/edits`, editOf(changes));

describe('units', () => {
  it('are those of the demo yard', async () => {
    const { body } = await ask('GET', '/api/units');
    expect(body.units).toHaveLength(unitsInDemo);
  });

  it('are made from what the labels say, with who and when', async () => {
    const { status, body } = await create([
      specChange('gvwr', 7000),
      specChange('stockNumber', 'TQ-0500'),
    ]);
    expect(status).toBe(201);
    expect(body.record.specs.gvwr).toMatchObject({ how: 'read', by: 'Ines Rook', version: 1 });
    expect((await ask('GET', `/api/units/${body.id}`)).body).toEqual(body);
  });

  it('sent twice are made once', async () => {
    const id = randomUUID();
    const first = await create([specChange('gvwr', 7000)], id);
    const second = await create([specChange('gvwr', 7000)], id);
    expect(second.body).toEqual(first.body);
  });

  it.each([
    ['stockNumber', 'TQ-0417', 'stock-number-taken', 'Stock number:'],
    ['stockNumber', 'tq-0417', 'stock-number-taken', 'Stock number:'],
    ['vin', '9tprk-2466T1000417', 'vin-taken', 'VIN:'],
  ] as const)('cannot share a %s, and nothing is half-saved', async (key, text, code, words) => {
    const { record } = await unitNamed(ask, 'TQ-0417');
    const vin = record.specs.vin?.value.kind === 'text' ? record.specs.vin.value.text : '';
    const id = randomUUID();
    const { status, body } = await create(
      [specChange('gvwr', 7000), specChange(key, key === 'vin' ? vin.toLowerCase() : text)],
      id,
    );
    expect([status, body.code]).toEqual([409, code]);
    expect(body.detail).toContain(words);
    expect((await ask('GET', `/api/units/${id}`)).status).toBe(404);
  });

  it('with a wrong VIN are recorded all the same', async () => {
    expect((await create([specChange('vin', 'HOME BUILT 7')])).status).toBe(201);
  });
});

describe('changes', () => {
  it('go field by field and leave an audit row each', async () => {
    const { body: unit } = await create([specChange('gvwr', 7000)]);
    const { body } = await change(unit.id, [specChange('gvwr', 7100, 1), specChange('uvw', 5000)]);
    expect(body.record.specs.gvwr).toMatchObject({
      value: { amount: 7100 },
      how: 'read',
      version: 2,
    });
    const rows = await b.source.query(
      'SELECT key, from_value, to_value, by FROM record_change WHERE unit_id = $1 ORDER BY at, key',
      [unit.id],
    );
    expect(rows).toEqual([
      {
        key: 'gvwr',
        from_value: null,
        to_value: { kind: 'quantity', amount: 7000 },
        by: 'Ines Rook',
      },
      {
        key: 'gvwr',
        from_value: { kind: 'quantity', amount: 7000 },
        to_value: { kind: 'quantity', amount: 7100 },
        by: 'Ines Rook',
      },
      {
        key: 'uvw',
        from_value: null,
        to_value: { kind: 'quantity', amount: 5000 },
        by: 'Ines Rook',
      },
    ]);
  });

  it('that come too late are refused with both values, and none of the others is made', async () => {
    const { body: unit } = await create([specChange('gvwr', 7000)]);
    await change(unit.id, [specChange('gvwr', 7100, 1)]);
    const late = [specChange('uvw', 5000), specChange('gvwr', 7200, 1)];
    const { status, body } = await change(unit.id, late, bram);
    expect([status, body.code]).toEqual([409, 'stale']);
    expect(body.conflicts).toEqual([
      {
        part: 'specs',
        key: 'gvwr',
        yours: { kind: 'quantity', amount: 7200 },
        theirs: expect.objectContaining({ value: { kind: 'quantity', amount: 7100 }, version: 2 }),
      },
    ]);
    const now = (await ask('GET', `/api/units/${unit.id}`)).body.record.specs;
    expect(now.uvw).toBeUndefined();
  });

  it('of two people on one field at once: one wins, one is told', async () => {
    const { body: unit } = await create([specChange('gvwr', 7000)]);
    const both = await Promise.all([
      change(unit.id, [specChange('gvwr', 7100, 1)]),
      change(unit.id, [specChange('gvwr', 7200, 1)], bram),
    ]);
    expect(both.map((a) => a.status).toSorted()).toEqual([200, 409]);
  });

  it('of one’s own are never in one’s way, on whatever device and however late', async () => {
    const { body: unit } = await create([specChange('gvwr', 7000)]);
    await change(unit.id, [specChange('gvwr', 7100, 1)]);
    await change(unit.id, [specChange('gvwr', null, 2)]);
    const late = await change(unit.id, [specChange('gvwr', 7200, 1)]);
    expect(late.status).toBe(200);
    expect(late.body.record.specs.gvwr).toMatchObject({
      value: { kind: 'quantity', amount: 7200 },
      version: 4,
    });
    // Somebody else among them, and it is a matter for two again.
    await change(unit.id, [specChange('gvwr', 7300, 4)], bram);
    await change(unit.id, [specChange('gvwr', 7400, 5)]);
    expect((await change(unit.id, [specChange('gvwr', 7500, 4)])).status).toBe(409);
    const { changes } = (await ask('GET', `/api/units/${unit.id}/history`)).body;
    expect(changes).toHaveLength(6);
  });

  it('take a value back, and put one in again', async () => {
    const { body: unit } = await create([
      specChange('gvwr', 7000),
      specChange('stockNumber', 'TQ-0501'),
    ]);
    const gone = await change(unit.id, [
      specChange('gvwr', null, 1),
      specChange('stockNumber', null, 1),
    ]);
    expect(gone.body.record.specs).toEqual({});
    expect((await create([specChange('stockNumber', 'TQ-0501')])).status).toBe(201);
    const back = await change(unit.id, [specChange('gvwr', 7000, 0)]);
    expect(back.body.record.specs.gvwr.version).toBe(3);
  });

  it.each([
    ['a number that cannot be', specChange('gvwr', -5), /amount/],
    [
      'a field there is not',
      { ...specChange('gvwr', 1), key: 'wingspan' },
      /specs\.wingspan” isn’t a field in this version/,
    ],
    [
      'the wrong kind',
      { ...specChange('gvwr', 1), value: { kind: 'text', text: 'heavy' } },
      /^GVWR has the wrong kind/,
    ],
    [
      'an over-long text',
      specChange('vin', 'X'.repeat(40)),
      /^VIN is 40 characters long; there’s room for 24/,
    ],
    [
      'a state there is not',
      { part: 'features', key: 'awning', value: { state: 'perhaps' }, how: 'seen', basedOn: 0 },
      /^Awning can’t be “perhaps”/,
    ],
    [
      'a place off the trailer',
      {
        part: 'places',
        key: 'awning',
        value: { back: 9000, side: 'door' },
        how: 'measured',
        basedOn: 0,
      },
      /^Awning can’t be 750 ft from the coupler/,
    ],
    ['somebody else’s name', { ...specChange('gvwr', 1), by: 'Osk' }, /by/],
  ])('to %s are refused in a sentence, nothing saved', async (_, bad, words) => {
    const { body: unit } = await create([specChange('gvwr', 7000)]);
    const { status, body } = await change(unit.id, [specChange('uvw', 5000), bad]);
    expect(status).toBe(400);
    expect(body).toMatchObject({ code: 'bad-input', detail: expect.stringMatching(words) });
    expect((await ask('GET', `/api/units/${unit.id}`)).body).toEqual(unit);
  });

  it('of nothing, or of far too much, are refused', async () => {
    const { body: unit } = await create([specChange('gvwr', 7000)]);
    expect((await change(unit.id, [])).status).toBe(400);
    const huge = {
      part: 'settlements',
      key: 'vin:vin',
      value: { reason: 'x'.repeat(2_100_000), inputs: '' },
    };
    expect((await change(unit.id, [huge])).body.code).toBe('too-large');
  });

  it('of a unit that is not there answer 404 in a sentence', async () => {
    const { status, body } = await change(randomUUID(), [specChange('gvwr', 1)]);
    expect([status, body.code]).toEqual([404, 'not-found']);
  });
});

describe('the database itself', () => {
  const refuses = (sql: string) => expect(b.source.query(sql)).rejects.toThrow();

  it('refuses what the code should never write', async () => {
    await refuses(`UPDATE record_field SET how = 'hearsay'`);
    await refuses(`UPDATE record_field SET version = 0`);
    await refuses(
      `INSERT INTO record_field SELECT yard_id, gen_random_uuid(), part, key, value, how, by, at, version FROM record_field LIMIT 1`,
    );
    await refuses(`UPDATE unit SET stock_number = 'TQ-0417'`);
  });
});

describe('two yards', () => {
  it('may both have the same stock number', async () => {
    const una = await signedIn(b.app, 'una@other.example');
    const id = randomUUID();
    const answer = await una('POST', '/api/units', {
      id,
      changes: [specChange('stockNumber', 'TQ-0417')],
    });
    expect(answer.status).toBe(201);
  });
});

it('answers nothing to nobody', async () => {
  expect((await asker(b.app)('GET', '/api/units')).body.code).toBe('not-signed-in');
});
