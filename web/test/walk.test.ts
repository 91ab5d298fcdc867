import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import {
  foldWalk,
  nextEvent,
  walkEventSchema,
  type WalkEvent,
  type What,
} from '@fair-gable/core/show/walk';
import { device, useOutbox } from '../src/base/device/index.ts';
import { joined, useWalk } from '../src/show/walk/walk.ts';
import { cards, fakeServer, newPage, planOf, type FakeServer } from './support.ts';

globalThis.window = { addEventListener: jest.fn(), removeEventListener: jest.fn() } as never;

let server: FakeServer;
beforeEach(async () => {
  newPage();
  server = fakeServer();
  server.answer = undefined;
  const db = await device();
  await Promise.all([db.clear('outbox'), db.clear('walks')]);
  await useOutbox().openFor('person-ines', 'yard-1');
});

afterEach(() => useOutbox().close());

const unit = { id: planOf(1).unit, name: 'Fenlark' };
const wanted = (points: typeof cards, isRehearsal = false) => ({
  minutes: 5,
  points,
  about: { listeners: [], route: 'Hitch first, door side' },
  isRehearsal,
});

describe('giving a walk on a device', () => {
  it('plans, gives and undoes with no network at all', async () => {
    const walks = useWalk();
    const id = await walks.plan(unit, wanted(cards));
    expect(await walks.open(id)).toBe(true);
    await walks.record({ kind: 'begin' });
    await walks.record({ kind: 'said', point: 'h1' });
    expect(walks.state?.current?.id).toBe('h2');
    await walks.record({ kind: 'undo', event: walks.state?.undoable?.id ?? '' });
    expect(walks.state?.current?.id).toBe('h1');
    await useOutbox().flush();
    expect(useOutbox().unsent).toBe(4);
  });

  it('writes taps one after the other, however fast they come', async () => {
    const walks = useWalk();
    await walks.open(await walks.plan(unit, wanted(cards)));
    await Promise.all([
      walks.record({ kind: 'begin' }),
      walks.record({ kind: 'said', point: 'h1' }),
      walks.record({ kind: 'said', point: 'h2' }),
    ]);
    expect(walks.walk?.events.map((e) => e.counter)).toEqual([1, 2, 3]);
  });

  it('tells when the device cannot keep an event, marks nothing, and goes on', async () => {
    const walks = useWalk();
    await walks.open(await walks.plan(unit, wanted(cards)));
    await walks.record({ kind: 'begin' });
    const db = await device();
    const transaction = db.transaction.bind(db);
    db.transaction = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    await walks.record({ kind: 'said', point: 'h1' });
    expect(walks.problem).toMatch(/^This device couldn’t save that/);
    expect(walks.state?.current?.id).toBe('h1');
    db.transaction = transaction;
    await walks.record({ kind: 'said', point: 'h1' });
    expect([walks.problem, walks.state?.current?.id]).toEqual(['', 'h2']);
  });

  it('goes on after a closed tab, its clock too', async () => {
    const before = useWalk();
    const id = await before.plan(unit, wanted(cards));
    await before.open(id);
    await before.record({ kind: 'begin' });
    await before.record({ kind: 'said', point: 'h1' });
    // Ten seconds pass with the tab closed.
    const db = await device();
    const kept = (await db.get('walks', id))!;
    await db.put('walks', { ...kept, anchor: { ...kept.anchor, at: kept.anchor.at - 10_000 } }, id);

    useOutbox().close();
    newPage();
    const after = useWalk();
    expect(await after.open(id)).toBe(true);
    expect(after.state?.current?.id).toBe('h2');
    expect(after.worked).toBeGreaterThanOrEqual(10_000);
  });

  it('goes on through a clock that jumps by a day, either way, in an order of its own', async () => {
    const walks = useWalk();
    await walks.open(await walks.plan(unit, wanted(cards)));
    const real = Date.now();
    const clock = jest.spyOn(Date, 'now');
    await walks.record({ kind: 'begin' });
    clock.mockReturnValue(real + 86_400_000 * 1.5);
    await walks.record({ kind: 'said', point: 'h1' });
    clock.mockReturnValue(real - 86_400_000);
    await walks.record({ kind: 'said', point: 'h2' });
    clock.mockRestore();
    const events = walks.walk?.events ?? [];
    for (const event of events) expect(walkEventSchema.safeParse(event).success).toBe(true);
    expect(events.map((e) => e.counter)).toEqual([1, 2, 3]);
    expect(walks.state?.current?.id).toBe('u1');
  });

  it('joins what another device did, and agrees with it', async () => {
    const walks = useWalk();
    const id = await walks.plan(unit, wanted(cards));
    await walks.open(id);
    await walks.record({ kind: 'begin' });
    const here = walks.walk!;
    const elsewhere: WalkEvent = nextEvent(
      here.events,
      { id: crypto.randomUUID(), device: crypto.randomUUID(), elapsed: 4000 },
      { kind: 'shown', point: 'h1' },
    );
    const there = {
      plan: here.plan,
      by: 'Ines',
      createdAt: '',
      events: [elsewhere, ...here.events],
    };
    server.answer = (path, method) =>
      method === 'GET' && path === `/api/walks/${id}`
        ? { status: 200, body: there }
        : { status: 204 };
    await walks.join(id);
    expect(walks.state?.current?.id).toBe('h2');
    await walks.record({ kind: 'said', point: 'h2' });
    expect(walks.walk?.events.at(-1)?.counter).toBe(3);
    expect(foldWalk(here.plan, walks.walk!.events).cards.get('h1')).toBe('shown');
  });

  it('has one clock on all its devices, whoever pauses it and goes on', () => {
    const plan = planOf(1);
    const at = 1_800_000_000_000;
    const event = (counter: number, elapsed: number, what: What, of = 1): WalkEvent => ({
      id: `00000000-0000-4000-8000-0000000${of}${String(counter).padStart(4, '0')}`,
      device: `00000000-0000-4000-8000-00000000000${of}`,
      counter,
      elapsed,
      what,
    });
    const mine = [event(1, 0, { kind: 'begin' }), event(2, 60_000, { kind: 'pause' })];
    const here = { plan, events: mine, unitName: 'Fenlark', anchor: { elapsed: 0, at } };
    // Another device went on 30 s later; this one hears of it after 2 s more.
    const resumed = event(3, 60_000, { kind: 'resume' }, 2);
    const view = { plan, by: '', own: true, createdAt: '', events: [...mine, resumed], idle: 2000 };
    const now = at + 92_000;
    expect(joined(here, view, now)?.anchor).toEqual({ elapsed: 60_000, at: now - 2000 });
    // What it sent itself comes back, and moves nothing.
    const back = { plan, by: '', own: true, createdAt: '', events: mine, idle: 5000 };
    expect(joined(here, back, now)?.anchor).toEqual(here.anchor);
    // Opened elsewhere in mid-walk it goes on where the clock stands, not where the last tap was.
    const running = {
      plan,
      by: '',
      own: true,
      createdAt: '',
      events: mine.slice(0, 1),
      idle: 45_000,
    };
    expect(joined(undefined, running, now)?.anchor).toEqual({ elapsed: 0, at: now - 45_000 });
  });

  it('opens a walk of another device from the server', async () => {
    const plan = planOf(7);
    server.answer = () => ({ status: 200, body: { plan, by: 'Ines', createdAt: '', events: [] } });
    const walks = useWalk();
    expect(await walks.open(plan.id)).toBe(true);
    expect(walks.state?.current?.id).toBe('h1');
  });

  it('says when there is no such walk here, and the server is out of reach', async () => {
    expect(await useWalk().open(planOf(8).id)).toBe(false);
  });

  it('rehearses on this device alone: nothing waits to be sent', async () => {
    const walks = useWalk();
    await walks.open(await walks.plan(unit, wanted(cards, true)));
    await walks.record({ kind: 'begin' });
    await walks.record({ kind: 'said', point: 'h1' });
    await walks.record({ kind: 'finish' });
    expect(walks.state).toMatchObject({ finished: true });
    expect(walks.given).toBe(1);
    expect(await (await device()).count('outbox')).toBe(0);
  });
});
