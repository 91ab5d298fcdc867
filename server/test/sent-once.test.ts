import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { pointsOf } from '@fair-gable/core/show/cards';
import type { WalkPlan } from '@fair-gable/core/show/walk';
import {
  bench,
  editOf,
  signedIn,
  specChange,
  unitNamed,
  type Answer,
  type Asker,
  type Bench,
} from './support.ts';

let b: Bench;
let ines: Asker;
let unit: string;
let sheet: string;
let plan: WalkPlan;
beforeAll(async () => {
  b = await bench();
  ines = await signedIn(b.app, 'ines@thornquay.example');
  const { id, record } = await unitNamed(ines, 'TQ-0417');
  unit = id;
  sheet = (await ines('GET', '/api/model-sheets')).body.sheets[0].sheet.id;
  plan = {
    id: randomUUID(),
    unit: id,
    minutes: 15,
    points: [...pointsOf(record, { system: 'us', today: '2026-04-15' })].slice(0, 4),
  };
  await ines('PUT', `/api/walks/${plan.id}`, plan);
  const buyer = { id: randomUUID(), name: 'Asa Moor', email: 'asa@buyer.example' };
  await ines('PUT', `/api/buyers/${buyer.id}`, buyer);
  await ines('PUT', `/api/walks/${plan.id}/buyer`, { buyer: buyer.id });
});
afterAll(() => b.close());

const octets = { 'content-type': 'application/octet-stream' };
const sound = (fill: number): Buffer =>
  Buffer.concat([Buffer.from('1a45dfa3', 'hex'), Buffer.alloc(200, fill)]);
const picture = (side: number): Promise<Buffer> =>
  sharp({ create: { width: side, height: side, channels: 3, background: '#204060' } })
    .jpeg()
    .toBuffer();

/** Each thing that a device sends under an id of its own, in as many ways as asked for. */
const things: Readonly<Record<string, (id: string, way: number) => Promise<Answer>>> = {
  'a unit': (id, way) =>
    ines('POST', '/api/units', { id, changes: [specChange('gvwr', 7000 + way)] }),
  'an edit': (id, way) =>
    ines('POST', `/api/units/${unit}/edits`, {
      id,
      changes: [
        {
          part: 'settlements',
          key: 'ccc-identity:ccc',
          value: { reason: `way ${way}`, inputs: '' },
          how: 'told',
          basedOn: 0,
        },
      ],
    }),
  'a walk': (id, way) => ines('PUT', `/api/walks/${id}`, { ...plan, id, minutes: 20 + way }),
  'an event': (id, way) =>
    ines('POST', `/api/walks/${plan.id}/events`, {
      events: [
        { id, device: unit, counter: 1 + way, elapsed: 1000 * way, what: { kind: 'begin' } },
      ],
    }),
  'a voice memo': (id, way) => ines('PUT', `/api/walks/${plan.id}/memos/${id}`, sound(way), octets),
  'a letter': (id, way) =>
    ines('PUT', `/api/letters/${id}`, { id, walk: plan.id, subject: `Way ${way}`, text: 'Hello' }),
  'an offer to a sheet': (id, way) =>
    ines('POST', `/api/model-sheets/${sheet}/offers`, {
      id,
      part: 'specs',
      key: 'gvwr',
      spec: { kind: 'quantity', amount: 7000 + way },
      unit,
      unitName: 'Fenlark 24 RKD',
    }),
  'a photo': async (id, way) => {
    const bytes = await picture(40 + way);
    const path = `/api/units/${unit}/photos/${id}/upload?from=0&of=${bytes.length}`;
    return ines('PUT', path, bytes, octets);
  },
};

describe.each(Object.entries(things))('%s', (_, send) => {
  it('sent twice is taken once, and answered as well', async () => {
    const id = randomUUID();
    expect((await send(id, 1)).status).toBeLessThan(300);
    expect((await send(id, 1)).status).toBeLessThan(300);
  });

  it('is not replaced, and not silently dropped, where another comes under its id', async () => {
    const id = randomUUID();
    await send(id, 1);
    const { status, body } = await send(id, 2);
    expect([status, body.code]).toEqual([409, 'other-body']);
    expect(body.detail).toMatch(/nothing was saved\.$/);
    expect((await send(id, 1)).status).toBeLessThan(300);
  });

  it('of ten sent at once under one id keeps one, and says so to nine', async () => {
    const id = randomUUID();
    const ways = Array.from({ length: 10 }, (__, way) => way);
    const answers = await Promise.all(ways.map((way) => send(id, way)));
    const statuses = answers.map(({ status }) => status).toSorted();
    expect(statuses.slice(1)).toEqual(Array.from({ length: 9 }, () => 409));
    expect(statuses[0]).toBeLessThan(300);
  });
});

describe('a new unit', () => {
  it('is told apart from one that was there', async () => {
    const id = randomUUID();
    const body = { id, changes: [specChange('gvwr', 6000)] };
    const first = await ines('POST', '/api/units', body);
    const second = await ines('POST', '/api/units', body);
    expect([first.status, second.status]).toEqual([201, 200]);
    expect(second.body).toEqual(first.body);
  });

  it('under the id of one that a file brought is told so', async () => {
    const file = (await ines('GET', `/api/units/${unit}/file`)).body;
    const id = randomUUID();
    const { stockNumber, vin, ...specs } = file.record.specs;
    await ines('POST', '/api/unit-files', { ...file, id, record: { ...file.record, specs } });
    const made = await ines('POST', '/api/units', { id, changes: [specChange('gvwr', 6000)] });
    expect([made.status, made.body.code]).toEqual([409, 'already-here']);
  });
});

describe('what was sent before this was noted', () => {
  it('is known by its id', async () => {
    const settled = { part: 'settlements', key: 'ccc-identity:uvw', how: 'told', basedOn: 0 };
    const edit = editOf([{ ...settled, value: { reason: 'long ago', inputs: '' } }]);
    await ines('POST', `/api/units/${unit}/edits`, edit);
    await b.source.query(`UPDATE sent_once SET digest = NULL WHERE id = $1`, [edit.id]);
    const again = { ...edit, changes: [specChange('gvwr', 1, 99)] };
    expect((await ines('POST', `/api/units/${unit}/edits`, again)).status).toBe(200);
  });
});

describe('whoever was forgotten', () => {
  const mark = (id: string, memo: string) => ({
    events: [
      {
        id,
        device: unit,
        counter: 9,
        elapsed: 9000,
        what: { kind: 'mark', point: plan.points[0]?.id, mark: 'liked', note: 'Asa Moor’s', memo },
      },
    ],
  });

  it('stays forgotten, whatever a device sends again or only now', async () => {
    const [sent, late, memo, lateMemo] = [0, 1, 2, 3].map(() => randomUUID()) as [
      string,
      string,
      string,
      string,
    ];
    const events = `/api/walks/${plan.id}/events`;
    await ines('POST', events, mark(sent, memo));
    const keep = (id: string) =>
      ines('PUT', `/api/walks/${plan.id}/memos/${id}`, sound(50), octets);
    expect((await keep(memo)).status).toBe(204);
    const [buyer] = (await ines('GET', '/api/buyers')).body.buyers;
    expect((await ines('DELETE', `/api/buyers/${buyer.buyer.id}`)).status).toBe(204);
    // Again, and for the first time.
    expect((await ines('POST', events, mark(sent, memo))).status).toBe(204);
    expect((await ines('POST', events, mark(late, lateMemo))).status).toBe(204);
    expect((await keep(memo)).status).toBe(404);
    const { status, body } = await keep(lateMemo);
    expect([status, body.detail]).toEqual([404, expect.stringContaining('was forgotten')]);
    for (const table of ['walk_event', 'memo', 'letter', 'buyer']) {
      const rows = await b.source.query(`SELECT t::text AS text FROM "${table}" t`);
      expect([table, JSON.stringify(rows).includes('Asa Moor')]).toEqual([table, false]);
    }
    expect((await ines('GET', `/api/walks/${plan.id}/memos/${memo}`)).status).toBe(404);
    const kept = (await ines('GET', `/api/walks/${plan.id}`)).body.events;
    expect(kept.filter(({ id }: { id: string }) => [sent, late].includes(id))).toHaveLength(2);
    const [{ digest }] = await b.source.query(`SELECT digest FROM sent_once WHERE id = $1`, [sent]);
    expect(digest).toBeNull();
  });
});
