import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { openDB } from 'idb';
import { nextEvent, type WalkEvent, type What } from '@fair-gable/core/show/walk';
import { emptyRecord, type Change } from '@fair-gable/core/unit/record';
import type { WaitingEdit } from '@fair-gable/core/yard/outbox';
import { isOf, openDevice } from '../src/base/device/device.ts';
import { device, forgetPerson, useOutbox } from '../src/base/device/index.ts';
import { fakeServer, keptWalk, newPage, planOf, type FakeServer } from './support.ts';

// The store listens for the network's return; here each test says when to send.
globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const ines = 'person-ines';
const osk = 'person-osk';
const yard = 'yard-1';
let server: FakeServer;

beforeEach(async () => {
  newPage();
  server = fakeServer();
  const db = await device();
  await Promise.all([
    db.clear('outbox'),
    db.clear('walks'),
    db.clear('kept'),
    db.clear('clashes'),
    db.clear('declined'),
  ]);
});
afterEach(() => useOutbox().close());

const event = (n: number, what: What = { kind: 'begin' }): WalkEvent => ({
  ...nextEvent([], { id: crypto.randomUUID(), device: crypto.randomUUID(), elapsed: 0 }, what),
  counter: n,
});

const at = '2026-04-15T09:00:00.000Z';
const unit = '00000000-0000-4000-8000-000000000001';
const gvwr = (amount: number, basedOn = 0): Change => ({
  part: 'specs',
  key: 'gvwr',
  value: { kind: 'quantity', amount },
  how: 'read',
  basedOn,
});
const edit = (changes: readonly Change[]): WaitingEdit => ({
  id: crypto.randomUUID(),
  unit,
  changes,
  what: 'GVWR',
  by: 'Ines',
  at,
  tried: false,
});

const plan = planOf(1);
const walk = keptWalk(plan);

describe('the outbox', () => {
  it('sends plan and events in order, events of one walk together', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    const events = [event(1), event(2), event(3)];
    await outbox.addPlan(walk, plan);
    for (const e of events) await outbox.addEvent({ ...walk, events: [e] }, e);
    await outbox.flush();
    expect(outbox.unsent).toBe(4);

    server.answer = () => ({ status: 204 });
    await outbox.flush();
    expect(server.sent).toEqual([
      { method: 'PUT', path: `/api/walks/${plan.id}`, body: plan },
      { method: 'POST', path: `/api/walks/${plan.id}/events`, body: { events } },
    ]);
    expect(outbox.unsent).toBe(0);
  });

  it('keeps what it has through a closed tab, and sends it from the next page', async () => {
    server.answer = undefined;
    const before = useOutbox();
    await before.openFor(ines, yard);
    await before.addEvent(walk, event(1));
    await before.flush();
    before.close();

    newPage();
    server.answer = () => ({ status: 204 });
    const after = useOutbox();
    await after.openFor(ines, yard);
    expect(server.sent).toHaveLength(1);
    expect(after.unsent).toBe(0);
  });

  it('is on the device with its walk before it is counted as done', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    const e = event(1);
    await outbox.addEvent({ ...walk, events: [e] }, e);
    const db = await device();
    expect((await db.get('walks', plan.id))?.events).toEqual([e]);
    expect(await db.count('outbox')).toBe(1);
  });

  it('never sends what another person did, and keeps it for them', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    outbox.close();
    await forgetPerson();

    server.answer = () => ({ status: 204 });
    await outbox.openFor(osk, yard);
    expect([server.sent.length, outbox.unsent]).toEqual([0, 0]);
    outbox.close();
    await outbox.openFor(ines, yard);
    expect([server.sent.length, outbox.unsent]).toEqual([1, 0]);
  });

  it('forgets walks that are sent, and seals those that are not', async () => {
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addPlan(walk, plan);
    await outbox.flush();
    server.answer = undefined;
    const other = planOf(2);
    await outbox.addPlan(keptWalk(other), other);
    await forgetPerson();
    expect(await (await device()).getAllKeys('walks')).toEqual([other.id]);
  });

  it('keeps all and says what to do when the sign-in has lapsed', async () => {
    server.answer = () => ({
      status: 401,
      body: { code: 'not-signed-in', detail: 'Sign in first.' },
    });
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    expect(outbox.unsent).toBe(1);
    expect(outbox.halt).toEqual({
      why: 'sign-in',
      text: 'Sign in again to send what’s on this device.',
    });
    server.answer = () => ({ status: 204 });
    await outbox.flush();
    expect([outbox.unsent, outbox.halt]).toEqual([0, undefined]);
  });

  it('sets aside what the server will not have, with its sentence, and goes on with the rest', async () => {
    server.answer = (path) =>
      path.includes('/walks/')
        ? {
            status: 404,
            body: { code: 'not-found', detail: 'There is no such walk in this yard.' },
          }
        : { status: 200, body: { id: unit, record: emptyRecord } };
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEvent(walk, event(1));
    await outbox.addEdit(edit([gvwr(7000)]));
    await outbox.flush();
    expect(outbox.unsent).toBe(0);
    expect(outbox.waiting.declined.map((d) => [d.item.kind, d.reason])).toEqual([
      ['event', 'There is no such walk in this yard.'],
    ]);
    server.answer = () => ({ status: 204 });
    await outbox.takeUp(outbox.waiting.declined, true);
    await outbox.flush();
    expect([outbox.unsent, outbox.waiting.declined.length]).toEqual([0, 0]);
    expect(server.sent.at(-1)?.path).toBe(`/api/walks/${plan.id}/events`);
  });

  it('is silent while the server is out of reach', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    expect([outbox.unsent, outbox.halt]).toEqual([1, undefined]);
  });

  it.each([
    [503, 'database-away', 'server'],
    [429, 'too-many', 'server'],
    [507, 'disk-full', 'server'],
    [409, 'other-version', 'version'],
  ])('keeps all while the server answers %d %s', async (status, code, why) => {
    server.answer = () => ({ status, body: { code, detail: 'In a moment.' } });
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEdit(edit([gvwr(7000)]));
    await outbox.flush();
    expect(outbox.unsent).toBe(1);
    expect(outbox.halt).toEqual({ why, text: 'In a moment.' });
    server.answer = () => ({ status: 200, body: { id: unit, record: emptyRecord } });
    await outbox.flush();
    expect([outbox.unsent, outbox.halt]).toEqual([0, undefined]);
  });

  it('keeps what was done at one yard from being sent to another', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEdit(edit([gvwr(7000)]));
    server.answer = () => ({ status: 200, body: { id: unit, record: emptyRecord } });
    await outbox.openFor(ines, 'yard-2');
    expect([outbox.unsent, server.sent.length]).toEqual([0, 0]);
    await outbox.openFor(ines, yard);
    expect([outbox.unsent, server.sent.length]).toEqual([0, 1]);
  });
});

describe('edits of a record', () => {
  it('sends one request for a field that was typed three times, under one id till it is answered', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    await outbox.addEdit(edit([gvwr(7000, 2)]));
    await outbox.addEdit(edit([gvwr(7100, 3)]));
    await outbox.addEdit(edit([gvwr(7200, 3)]));
    await outbox.flush();
    const lost: unknown[] = [];
    server.answer = (_path, _method, body) => {
      lost.push(body);
      return { status: 503, body: { code: 'database-away', detail: 'In a moment.' } };
    };
    await outbox.flush();
    server.answer = () => ({ status: 200, body: { id: unit, record: emptyRecord } });
    await outbox.flush();
    expect(server.sent.map((s) => s.body)).toEqual([lost[0], lost[0]]);
    expect(lost[0]).toMatchObject({ changes: [{ value: { amount: 7200 }, basedOn: 2 }] });
  });

  it('keeps both values when somebody was faster, and sends the rest by itself', async () => {
    const theirs = {
      value: { kind: 'quantity', amount: 9 },
      how: 'told',
      by: 'Osk',
      at,
      version: 7,
    };
    server.answer = (_path, _method, body) => {
      const { changes } = body as { changes: Change[] };
      return changes.some((c) => c.key === 'gvwr')
        ? {
            status: 409,
            body: {
              code: 'stale',
              detail: 'x',
              conflicts: [{ part: 'specs', key: 'gvwr', theirs }],
            },
          }
        : { status: 200, body: { id: unit, record: emptyRecord } };
    };
    const outbox = useOutbox();
    const conflicts: string[] = [];
    outbox.onConflict((id) => void conflicts.push(id));
    await outbox.openFor(ines, yard);
    await outbox.addEdit(edit([gvwr(7000, 2), { ...gvwr(5000), key: 'uvw' }]));
    await outbox.flush();
    expect(outbox.unsent).toBe(0);
    expect(outbox.waiting.clashes).toEqual([
      { unit, change: gvwr(7000, 2), at, person: ines, yard },
    ]);
    expect(conflicts).toEqual([unit]);
    expect((server.sent.at(-1)?.body as { changes: Change[] }).changes.map((c) => c.key)).toEqual([
      'uvw',
    ]);

    // The clash outlives the page, and goes when it is decided.
    outbox.close();
    newPage();
    const next = useOutbox();
    await next.openFor(ines, yard);
    expect(next.waiting.clashes).toHaveLength(1);
    await next.settle(next.waiting.clashes[0]!);
    expect(next.waiting.clashes).toEqual([]);
    next.close();
  });

  it('tells whoever made an edit that the server would not have it', async () => {
    server.answer = () => ({
      status: 409,
      body: { code: 'vin-taken', detail: 'VIN: another unit has it.' },
    });
    const outbox = useOutbox();
    await outbox.openFor(ines, yard);
    const bad = edit([gvwr(7000)]);
    await outbox.addEdit(bad);
    await expect(outbox.fared(bad.id)).rejects.toThrow('VIN: another unit has it.');
    expect([outbox.unsent, outbox.waiting.declined.length]).toEqual([0, 0]);
  });
});

describe('a device of the first version', () => {
  it('is brought up to date with what was not sent, and sends it', async () => {
    const name = 'fair-gable-old';
    const old = await openDB(name, 1, {
      upgrade: (db) => {
        db.createObjectStore('kept');
        db.createObjectStore('walks');
        db.createObjectStore('outbox', { autoIncrement: true });
      },
    });
    const e = event(1);
    await old.add('outbox', { kind: 'event', person: ines, walk: plan.id, event: e });
    old.close();
    const now = await openDevice(name);
    expect(await now.getAll('outbox')).toEqual([
      { kind: 'event', person: ines, walk: plan.id, event: e },
    ]);
    expect([...now.objectStoreNames]).toEqual([
      'clashes',
      'declined',
      'kept',
      'memos',
      'outbox',
      'pictures',
      'summaries',
      'units',
      'walks',
    ]);
    expect(isOf({ person: ines, yard }, { person: ines })).toBe(true);
    now.close();
  });

  it('has what waits under the names of today, and leaves what the server has to the server', async () => {
    const name = 'fair-gable-names';
    const stores = ['kept', 'walks', 'outbox', 'clashes', 'declined'] as const;
    const old = await openDB(name, 6, {
      upgrade: (db) => {
        for (const store of stores) db.createObjectStore(store, { autoIncrement: true });
        for (const store of ['units', 'summaries', 'pictures', 'memos'])
          db.createObjectStore(store, { keyPath: 'id' });
      },
    });
    const change = { part: 'specs', key: 'tyreSize', value: { kind: 'text', text: 'tyres' } }; // voice: kept
    const of = { person: ines, yard, unit: 'u1' };
    await old.add('outbox', { kind: 'edit', person: ines, edit: { id: 'e1', changes: [change] } });
    for (const key of ['tyreSize', 'gvwr'])
      // voice: kept
      await old.put('clashes', { ...of, change: { ...change, key } }, `${ines} u1 specs.${key}`);
    await old.put('units', { id: 'u1', record: { specs: { tyreSize: {} } } }); // voice: kept
    old.close();
    const now = await openDevice(name);
    const isNow = { ...change, key: 'tireSize' };
    expect(await now.getAll('outbox')).toEqual([
      { kind: 'edit', person: ines, edit: { id: 'e1', changes: [isNow] } },
    ]);
    expect(await now.getAllKeys('clashes')).toEqual([
      `${ines} u1 specs.gvwr`,
      `${ines} u1 specs.tireSize`,
    ]);
    expect(await now.get('clashes', `${ines} u1 specs.tireSize`)).toEqual({ ...of, change: isNow });
    expect(await now.count('units')).toBe(0);
    now.close();
  });

  it('has what waits in a state that its feature can have', async () => {
    const name = 'fair-gable-states';
    const old = await openDB(name, 7, {
      upgrade: (db) => {
        for (const store of ['kept', 'walks', 'outbox', 'clashes', 'declined'])
          db.createObjectStore(store, { autoIncrement: true });
        for (const store of ['units', 'summaries', 'pictures', 'memos'])
          db.createObjectStore(store, { keyPath: 'id' });
      },
    });
    const change = (key: string, state: string) => ({ part: 'features', key, value: { state } });
    const edit = (...changes: object[]) => ({
      kind: 'edit',
      person: ines,
      edit: { id: 'e1', changes },
    });
    await old.add('outbox', edit(change('vinLabel', 'prep'), change('awning', 'prep')));
    old.close();
    const now = await openDevice(name);
    expect(await now.getAll('outbox')).toEqual([
      edit(change('vinLabel', 'none'), change('awning', 'prep')),
    ]);
    now.close();
  });
});
