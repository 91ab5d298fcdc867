import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { foldWalk, pointsOf, type WalkEvent, type WalkPlan } from '@fair-gable/core';
import { bench, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

let b: Bench;
let ask: Asker;
let plan: WalkPlan;
beforeAll(async () => {
  b = await bench();
  ask = await signedIn(b.app, 'ines@thornquay.example');
  const { id, record } = await unitNamed(ask, 'TQ-0417');
  plan = {
    id: randomUUID(),
    unit: id,
    minutes: 15,
    points: [...pointsOf(record, { system: 'us', today: '2026-04-15' })],
  };
});
afterAll(() => b.close());

const device = randomUUID();
const event = (counter: number, what: WalkEvent['what']): WalkEvent => ({
  id: randomUUID(),
  device,
  counter,
  elapsed: counter * 1000,
  what,
});
const put = (p: WalkPlan) => ask('PUT', `/api/walks/${p.id}`, p);
const post = (events: readonly unknown[], id = plan.id) =>
  ask('POST', `/api/walks/${id}/events`, { events });

describe('a walk', () => {
  it('is kept once, as it was planned first', async () => {
    expect((await put(plan)).status).toBe(204);
    expect((await put({ ...plan, minutes: 99 })).status).toBe(204);
    const { body } = await ask('GET', `/api/walks/${plan.id}`);
    expect(body).toMatchObject({ plan, by: 'Ines Rook', events: [] });
  });

  it('takes events in any order and however often, and folds to the same', async () => {
    const [first, second] = plan.points;
    const events = [
      event(1, { kind: 'begin' }),
      event(2, { kind: 'said', point: first?.id ?? '' }),
      event(3, { kind: 'shown', point: second?.id ?? '' }),
    ];
    await post(events.toReversed());
    await post(events);
    await Promise.all(events.map((e) => post([e])));
    const { body } = await ask('GET', `/api/walks/${plan.id}`);
    expect(body.events).toHaveLength(3);
    expect(foldWalk(plan, body.events)).toEqual(foldWalk(plan, events));
  });

  it('never changes an event that is there', async () => {
    const { body: before } = await ask('GET', `/api/walks/${plan.id}`);
    await post([{ ...before.events[0], elapsed: 77_777 }]);
    expect((await ask('GET', `/api/walks/${plan.id}`)).body).toEqual(before);
  });

  it('is listed with its unit', async () => {
    const { body } = await ask('GET', `/api/units/${plan.unit}/walks`);
    expect(body.walks.map((w: { plan: WalkPlan }) => w.plan.id)).toEqual([plan.id]);
  });

  it.each([
    [
      'an event nobody knows',
      () => post([{ ...event(4, { kind: 'begin' }), what: { kind: 'dance' } }]),
      400,
    ],
    ['a counter of nothing', () => post([event(0, { kind: 'begin' })]), 400],
    ['no events', () => post([]), 400],
    ['events of no walk', () => post([event(4, { kind: 'begin' })], randomUUID()), 404],
    ['another id than the address', () => ask('PUT', `/api/walks/${randomUUID()}`, plan), 400],
    ['a unit of nobody', () => put({ ...plan, id: randomUUID(), unit: randomUUID() }), 404],
    ['no cards', () => put({ ...plan, id: randomUUID(), points: [] }), 400],
    [
      'a station there is not',
      () =>
        put({
          ...plan,
          id: randomUUID(),
          points: [{ ...plan.points[0]!, station: 'moon' as never }],
        }),
      400,
    ],
  ])('refuses %s', async (_, send, status) => {
    const answer = await send();
    expect(answer.status).toBe(status);
    expect(answer.body.detail).toMatch(/\.$/);
  });
});
