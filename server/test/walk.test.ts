import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { pointsOf } from '@fair-gable/core/show/cards';
import { foldWalk, type WalkEvent, type WalkPlan } from '@fair-gable/core/show/walk';
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
  it('is kept once, as planned first', async () => {
    expect((await put(plan)).status).toBe(204);
    expect((await put(plan)).status).toBe(204);
    expect((await put({ ...plan, minutes: 99 })).body.code).toBe('other-body');
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
    const other = await post([{ ...before.events[0], elapsed: 77_777 }]);
    expect([other.status, other.body.code]).toEqual([409, 'other-body']);
    expect((await ask('GET', `/api/walks/${plan.id}`)).body.events).toEqual(before.events);
  });

  it('says whose it is by the account, whatever they are called; to a guest only whether it is theirs', async () => {
    const path = `/api/walks/${plan.id}`;
    expect((await ask('GET', path)).body).toMatchObject({
      own: true,
      account: 'ines@thornquay.example',
    });
    const bram = await signedIn(b.app, 'bram@thornquay.example');
    expect((await bram('GET', path)).body).toMatchObject({
      own: false,
      account: 'ines@thornquay.example',
    });
    const ivo = await signedIn(b.app, 'ivo@thornquay.example');
    const seen = (await ivo('GET', path)).body;
    expect([seen.own, seen.account]).toEqual([false, undefined]);
  });

  it('is listed with its unit', async () => {
    const { body } = await ask('GET', `/api/units/${plan.unit}/walks`);
    expect(body.walks.map((w: { plan: WalkPlan }) => w.plan.id)).toEqual([plan.id]);
  });

  it('is gone on with by whoever records; a guest adds to their own alone', async () => {
    const ivo = await signedIn(b.app, 'ivo@thornquay.example');
    const end = { ...event(1_000_000, { kind: 'finish' }), elapsed: 5000 };
    const forged = { ...end, device: randomUUID() };
    const asGuest = await ivo('POST', `/api/walks/${plan.id}/events`, { events: [forged] });
    expect([asGuest.status, asGuest.body.code]).toEqual([403, 'not-your-role']);
    const memo = `/api/walks/${plan.id}/memos/${randomUUID()}`;
    expect((await ivo('GET', memo)).status).toBe(403);
    // Nobody counts so far ahead that nothing comes after it.
    const ahead = await post([end]);
    expect([ahead.status, ahead.body.detail]).toEqual([
      400,
      expect.stringMatching(/^counter: an event is counted far ahead/),
    ]);
    // Nor step by step, with however many devices.
    const steps = [400, 900, 1400].map((counter) => ({
      ...event(counter, { kind: 'pause' }),
      device: randomUUID(),
    }));
    const answers = [];
    for (const step of steps) answers.push((await post([step])).status);
    expect(answers).toEqual([204, 400, 400]);
    const maren = await signedIn(b.app, 'maren@thornquay.example');
    const events = [event(4, { kind: 'pause' })];
    expect((await maren('POST', `/api/walks/${plan.id}/events`, { events })).status).toBe(204);
    const own = { ...plan, id: randomUUID() };
    expect((await ivo('PUT', `/api/walks/${own.id}`, own)).status).toBe(204);
    const begun = { events: [event(1, { kind: 'begin' })] };
    expect((await ivo('POST', `/api/walks/${own.id}/events`, begun)).status).toBe(204);
    expect((await ivo('POST', `/api/walks/${own.id}/screens`)).status).toBe(403);
    const authors = await b.source.query(
      `SELECT DISTINCT p.name FROM walk_event e JOIN person p ON p.id = e.person_id WHERE e.walk_id IN ($1, $2) ORDER BY 1`,
      [plan.id, own.id],
    );
    expect(authors.map(({ name }: { name: string }) => name)).toEqual([
      'Ines Rook',
      'Ivo Lark',
      'Maren Holt',
    ]);
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

describe('how fast somebody speaks', () => {
  const paceOf = async (who: Asker): Promise<{ pace: number | null; learnedPace: number | null }> =>
    (await who('GET', '/api/session')).body.person;

  it('is learned when they finish a walk, theirs alone', async () => {
    const una = await signedIn(b.app, 'bram@thornquay.example');
    const before = await paceOf(una);
    const sentence = 'Ten words are said here, one after the other, slowly.';
    const points = Array.from({ length: 15 }, (_, i) => ({
      id: `own.${i}`,
      station: 'hitch' as const,
      label: 'Card',
      sentence,
      numbers: [],
      seconds: 10,
    }));
    const own: WalkPlan = { ...plan, id: randomUUID(), points };
    await put(own);
    // Ten words in three seconds and a breath of four: 200 words a minute.
    const at = (counter: number, what: WalkEvent['what']): WalkEvent => ({
      ...event(counter, what),
      elapsed: (counter - 1) * 7000,
    });
    const events = [
      at(1, { kind: 'begin' }),
      ...points.map(({ id }, i) => at(i + 2, { kind: 'said', point: id })),
      at(17, { kind: 'finish' }),
    ];
    expect((await post(events, own.id)).status).toBe(204);
    expect((await paceOf(ask)).learnedPace).toBe(200);
    expect(await paceOf(una)).toEqual(before);
  });

  it('is what they set, within what anybody speaks', async () => {
    const mine = { name: 'Ines Rook', system: null };
    expect((await ask('PUT', '/api/me', { ...mine, pace: 150 })).status).toBe(204);
    expect((await paceOf(ask)).pace).toBe(150);
    // Who keeps a name alone keeps the pace.
    await ask('PUT', '/api/me', mine);
    expect((await paceOf(ask)).pace).toBe(150);
    const tooFast = await ask('PUT', '/api/me', { ...mine, pace: 900 });
    expect([tooFast.status, tooFast.body.field]).toEqual([400, 'pace']);
    await ask('PUT', '/api/me', { ...mine, pace: null });
    expect((await paceOf(ask)).pace).toBeNull();
  });
});

describe('the water a yard reckons with', () => {
  const own = { usual: { gray: 5, galleyShare: 0.4, black: 1, drunk: 0.8 } };
  const yardOf = async () => (await ask('GET', '/api/session')).body.yard;

  it('is a manager’s to set, is in the list of changes, and is kept where it is left out', async () => {
    const maren = await signedIn(b.app, 'maren@thornquay.example');
    const { name, system } = await yardOf();
    expect((await ask('PUT', '/api/yard', { name, system, water: own })).status).toBe(403);
    expect((await maren('PUT', '/api/yard', { name, system, water: own })).status).toBe(204);
    expect((await yardOf()).water).toEqual(own);
    await maren('PUT', '/api/yard', { name, system });
    expect((await yardOf()).water).toEqual(own);
    const { body } = await maren('GET', '/api/yard/history');
    expect(body.changes).toContainEqual(
      expect.objectContaining({ what: 'water', to: expect.stringMatching(/^gray 5 gal/) }),
    );
  });

  it('is refused by its field where nobody could live so', async () => {
    const maren = await signedIn(b.app, 'maren@thornquay.example');
    const { name, system } = await yardOf();
    const water = { usual: { ...own.usual, galleyShare: 4 } };
    const { status, body } = await maren('PUT', '/api/yard', { name, system, water });
    expect([status, body.field]).toEqual([400, expect.stringContaining('galleyShare')]);
  });
});
