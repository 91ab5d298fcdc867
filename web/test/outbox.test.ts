import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { nextEvent, type WalkEvent, type What } from '@fair-gable/core';
import { device, forgetPerson, useOutbox } from '../src/outbox/index.ts';
import { fakeServer, keptWalk, newPage, planOf, type FakeServer } from './support.ts';

// The store listens for the network's return; here each test says when to send.
globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

const ines = 'person-ines';
const osk = 'person-osk';
let server: FakeServer;

beforeEach(async () => {
  newPage();
  server = fakeServer();
  const db = await device();
  await Promise.all([db.clear('outbox'), db.clear('walks'), db.clear('kept')]);
});
afterEach(() => useOutbox().close());

const event = (n: number, what: What = { kind: 'begin' }): WalkEvent => ({
  ...nextEvent([], { id: crypto.randomUUID(), device: crypto.randomUUID(), elapsed: 0 }, what),
  counter: n,
});

const plan = planOf(1);
const walk = keptWalk(plan);

describe('the outbox', () => {
  it('sends plan and events in order, events of one walk together', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines);
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
    expect([outbox.unsent, outbox.isEmpty]).toEqual([0, true]);
  });

  it('keeps what it has through a closed tab, and sends it from the next page', async () => {
    server.answer = undefined;
    const before = useOutbox();
    await before.openFor(ines);
    await before.addEvent(walk, event(1));
    await before.flush();
    before.close();

    newPage();
    server.answer = () => ({ status: 204 });
    const after = useOutbox();
    await after.openFor(ines);
    expect(server.sent).toHaveLength(1);
    expect(after.unsent).toBe(0);
  });

  it('is on the device with its walk before it is counted as done', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines);
    const e = event(1);
    await outbox.addEvent({ ...walk, events: [e] }, e);
    const db = await device();
    expect((await db.get('walks', plan.id))?.events).toEqual([e]);
    expect(await db.count('outbox')).toBe(1);
  });

  it('never sends what another person did, and keeps it for them', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    outbox.close();
    await forgetPerson();

    server.answer = () => ({ status: 204 });
    await outbox.openFor(osk);
    expect([server.sent.length, outbox.unsent]).toEqual([0, 0]);
    outbox.close();
    await outbox.openFor(ines);
    expect([server.sent.length, outbox.unsent]).toEqual([1, 0]);
  });

  it('forgets walks that are sent, and seals those that are not', async () => {
    const outbox = useOutbox();
    await outbox.openFor(ines);
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
    await outbox.openFor(ines);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    expect(outbox.unsent).toBe(1);
    expect(outbox.refusal).toBe('Sign in again to send what is on this device.');
    server.answer = () => ({ status: 204 });
    await outbox.flush();
    expect([outbox.unsent, outbox.refusal]).toEqual([0, undefined]);
  });

  it('tells the server’s own sentence when it refuses, and keeps all', async () => {
    server.answer = () => ({
      status: 404,
      body: { code: 'not-found', detail: 'There is no such walk in this yard.' },
    });
    const outbox = useOutbox();
    await outbox.openFor(ines);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    expect([outbox.unsent, outbox.refusal]).toEqual([1, 'There is no such walk in this yard.']);
  });

  it('is silent while the server is out of reach', async () => {
    server.answer = undefined;
    const outbox = useOutbox();
    await outbox.openFor(ines);
    await outbox.addEvent(walk, event(1));
    await outbox.flush();
    expect([outbox.unsent, outbox.refusal]).toEqual([1, undefined]);
  });
});
