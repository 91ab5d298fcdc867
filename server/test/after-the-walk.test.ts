import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { pointsOf } from '@fair-gable/core/show/cards';
import { logOf, summaryOf, type WalkEvent, type WalkPlan } from '@fair-gable/core/show/walk';
import type { FollowUp } from '@fair-gable/core/yard/follow-up';
import { buildApp } from '../src/app.ts';
import type { Mailed } from '../src/yard/follow-up/index.ts';
import { asker, bench, secret, signedIn, unitNamed, type Asker, type Bench } from './support.ts';

let b: Bench;
let ines: Asker;
let una: Asker;
let plan: WalkPlan;
/** What the mail took; while it is shut it takes nothing. */
const taken: Mailed[] = [];
let isShut = false;
beforeAll(async () => {
  const hand = async (letter: Mailed): Promise<void> => {
    if (isShut) throw new Error('the mail is shut');
    taken.push({ to: letter.to, subject: letter.subject, text: letter.text });
  };
  b = await bench(1000, { mail: { hand } });
  ines = await signedIn(b.app, 'ines@thornquay.example');
  una = await signedIn(b.app, 'una@other.example');
  const { id, record } = await unitNamed(ines, 'TQ-0417');
  plan = {
    id: randomUUID(),
    unit: id,
    minutes: 15,
    points: [...pointsOf(record, { system: 'us', today: '2026-04-15' })],
  };
  await ines('PUT', `/api/walks/${plan.id}`, plan);
});
afterAll(() => b.close());

const device = randomUUID();
const events = (...whats: readonly WalkEvent['what'][]): readonly WalkEvent[] =>
  whats.map((what, i) => ({
    id: randomUUID(),
    device,
    counter: i + 1,
    elapsed: i * 1000,
    what,
  }));
const tell = (...whats: readonly WalkEvent['what'][]) =>
  ines('POST', `/api/walks/${plan.id}/events`, { events: events(...whats) });

describe('a follow-up', () => {
  const followUp = (more: Partial<FollowUp> = {}): FollowUp => ({
    id: randomUUID(),
    walk: plan.id,
    unit: plan.unit,
    kind: 'promise',
    text: 'Send the manual',
    due: '2026-04-14',
    who: 'Ines Rook',
    ...more,
  });
  const put = (one: FollowUp, basedOn: number, somebody = ines) =>
    somebody('PUT', `/api/follow-ups/${one.id}`, { followUp: one, basedOn });
  const listed = async (query = '') =>
    (await ines('GET', `/api/follow-ups${query}`)).body.followUps as {
      followUp: FollowUp;
      version: number;
    }[];

  it('is kept, changed, done and taken off', async () => {
    const one = followUp();
    expect((await put(one, 0)).body).toEqual({ version: 1 });
    const done = { ...one, done: new Date().toISOString().slice(0, 10) };
    expect((await put(done, 1)).body).toEqual({ version: 2 });
    expect((await listed(`?walk=${plan.id}`)).find((f) => f.followUp.id === one.id)).toMatchObject({
      followUp: done,
      version: 2,
    });
    expect((await listed()).some((f) => f.followUp.id === one.id)).toBe(true);
    expect((await ines('DELETE', `/api/follow-ups/${one.id}`)).status).toBe(204);
    expect((await ines('DELETE', `/api/follow-ups/${one.id}`)).status).toBe(404);
  });

  it('that somebody else changed meanwhile is not overwritten: theirs come with the refusal', async () => {
    const one = followUp();
    await put(one, 0);
    await put({ ...one, who: 'Maren Holt' }, 1);
    const { status, body } = await put({ ...one, due: '2026-04-20' }, 1);
    expect([status, body.code]).toEqual([409, 'stale']);
    expect(body.theirs).toMatchObject({ followUp: { who: 'Maren Holt' }, version: 2 });
    // Sent twice, the first answer lost: the second is refused and nothing is there twice.
    expect((await put(one, 0)).status).toBe(409);
    expect((await listed(`?walk=${plan.id}`)).filter((f) => f.followUp.id === one.id)).toHaveLength(
      1,
    );
  });

  it('belongs to a walk of this yard, and of this unit', async () => {
    const one = followUp();
    expect((await put(one, 0, una)).status).toBe(404);
    expect((await put(followUp({ unit: randomUUID() }), 0)).status).toBe(404);
    expect((await put(followUp({ due: 'tomorrow' }), 0)).status).toBe(400);
    const osk = await signedIn(b.app, 'osk@thornquay.example');
    expect((await put(one, 0, osk)).status).toBe(403);
    expect((await una('GET', '/api/follow-ups')).body.followUps).toEqual([]);
  });
});

describe('a buyer', () => {
  const asa = { id: randomUUID(), name: 'Asa Fenn', email: 'asa@harbor.example' };
  const letter = () => ({
    id: randomUUID(),
    walk: plan.id,
    subject: 'The Fenlark',
    text: 'Good day Asa Fenn, thank you.',
  });
  const put = (one: { id: string }) => ines('PUT', `/api/letters/${one.id}`, one);
  /** The demo has others. */
  const keptBuyers = async () =>
    (await ines('GET', '/api/buyers')).body.buyers as readonly {
      buyer: { id: string; name: string };
      keepUntil: string;
    }[];

  it('without a way to reach them is refused, by the field', async () => {
    const { status, body } = await ines('PUT', `/api/buyers/${asa.id}`, {
      id: asa.id,
      name: 'Asa',
    });
    expect(status).toBe(400);
    expect(body.detail).toMatch(/E-mail or phone/);
  });

  it('is kept for as long as the yard says', async () => {
    const maren = await signedIn(b.app, 'maren@thornquay.example');
    const yard = { name: 'Thornquay yard', system: 'us' };
    await maren('PUT', '/api/yard', { ...yard, keepBuyers: 10 });
    const { body } = await ines('PUT', `/api/buyers/${asa.id}`, asa);
    const inTen = new Date(Date.now() + 10 * 86_400_000).toISOString().slice(0, 10);
    expect(body.keepUntil).toBe(inTen);
    expect((await maren('PUT', '/api/yard', { ...yard, keepBuyers: 1 })).body.detail).toMatch(
      /Days: at least 7/,
    );
    const { changes } = (await maren('GET', '/api/yard/history')).body;
    expect(changes).toContainEqual(
      expect.objectContaining({ what: 'keep-buyers', from: '180 days', to: '10 days' }),
    );
  });

  it('is named with a walk, and seen by whoever follows up alone', async () => {
    const path = `/api/walks/${plan.id}/buyer`;
    expect((await ines('PUT', path, { buyer: randomUUID() })).status).toBe(404);
    expect((await ines('PUT', path, { buyer: asa.id })).status).toBe(204);
    const kept = (await keptBuyers()).filter(({ buyer }) => buyer.id === asa.id);
    expect(kept).toEqual([{ buyer: asa, keepUntil: kept[0]?.keepUntil, walks: [plan.id] }]);
    for (const name of ['bram', 'ivo', 'osk']) {
      const other = await signedIn(b.app, `${name}@thornquay.example`);
      expect((await other('GET', '/api/buyers')).status).toBe(403);
      for (const url of ['/api/walks', `/api/walks/${plan.id}`, `/api/units/${plan.unit}/walks`]) {
        expect(JSON.stringify((await other('GET', url)).body)).not.toContain('Asa');
      }
    }
    expect((await una('GET', `/api/buyers/${asa.id}`)).status).toBe(404);
  });

  it('gets a letter once, however often it is sent', async () => {
    const one = letter();
    const answers = [await put(one), await put(one)];
    expect(answers.map(({ body }) => body.sentAt)).toEqual([
      expect.any(String),
      answers[0]?.body.sentAt,
    ]);
    expect(taken).toEqual([{ to: asa.email, subject: one.subject, text: one.text }]);
  });

  it('gets it later, where the mail does not take it now; nothing is lost', async () => {
    taken.length = 0;
    isShut = true;
    const one = letter();
    expect((await put(one)).body.sentAt).toBeNull();
    isShut = false;
    expect((await put(one)).body.sentAt).toEqual(expect.any(String));
    expect(taken).toHaveLength(1);
  });

  it('who left no e-mail is not written to', async () => {
    await ines('PUT', `/api/buyers/${asa.id}`, { id: asa.id, name: asa.name, phone: '555 0100' });
    const { status, body } = await put(letter());
    expect([status, body.detail]).toEqual([
      400,
      'E-mail: Asa Fenn left none. Call them, or ask for it.',
    ]);
    await ines('PUT', `/api/buyers/${asa.id}`, asa);
  });

  it('is told all that is kept of them, and forgotten wholly when they ask', async () => {
    const point = plan.points[0]?.id ?? '';
    const memo = randomUUID();
    await tell(
      { kind: 'begin' },
      { kind: 'mark', point, mark: 'asked', note: 'Asa wants it by Friday', memo },
    );
    await ines('PUT', `/api/follow-ups/${memo}`, {
      followUp: {
        id: memo,
        walk: plan.id,
        unit: plan.unit,
        kind: 'call',
        text: 'Call Asa',
        due: '2026-04-14',
      },
      basedOn: 0,
    });
    const all = (await ines('GET', `/api/buyers/${asa.id}`)).body;
    expect(all.buyer).toEqual(asa);
    expect(all.letters).toHaveLength(2);
    expect(JSON.stringify(all.walks)).toContain('by Friday');
    expect(JSON.stringify(all.followUps)).toContain('Call Asa');

    expect((await ines('DELETE', `/api/buyers/${asa.id}`)).status).toBe(204);
    const tables = ['buyer', 'letter', 'follow_up', 'walk_event', 'walk', 'memo', 'yard_change'];
    for (const table of tables) {
      const rows = await b.source.query(`SELECT t::text AS text FROM "${table}" t`);
      expect([table, JSON.stringify(rows).includes('Asa')]).toEqual([table, false]);
    }
    // What was given stays.
    expect((await ines('GET', `/api/walks/${plan.id}`)).body.events).toHaveLength(2);
  });

  it('whose day has passed is forgotten by itself', async () => {
    const old = { ...asa, id: randomUUID(), name: 'Bly Orr' };
    await ines('PUT', `/api/buyers/${old.id}`, old);
    await ines('PUT', `/api/walks/${plan.id}/buyer`, { buyer: old.id });
    await put(letter());
    await tell({
      kind: 'mark',
      point: plan.points[0]?.id ?? '',
      mark: 'liked',
      note: 'Bly Orr likes the steps',
    });
    await b.source.query(`UPDATE buyer SET keep_until = current_date - 2 WHERE id = $1`, [old.id]);
    // Named no more at once, and forgotten by the clock.
    expect((await keptBuyers()).map(({ buyer }) => buyer.name)).not.toContain('Bly Orr');
    await b.app.keepHouse();
    expect((await ines('GET', '/api/letters')).body.letters).toEqual([]);
    expect((await ines('GET', `/api/buyers/${old.id}`)).status).toBe(404);
    // What was noted of them goes with them; that something was liked stays.
    const { events } = (await ines('GET', `/api/walks/${plan.id}`)).body;
    expect(JSON.stringify(events)).not.toContain('Bly Orr');
    expect(JSON.stringify(events)).toContain('"liked"');
  });
});

describe('a voice memo', () => {
  // Of a walk nobody of which was forgotten.
  beforeAll(async () => {
    await ines('PUT', `/api/walks/${fresh}`, { ...plan, id: fresh });
  });
  const fresh = randomUUID();
  const path = (memo: string, walk = fresh) => `/api/walks/${walk}/memos/${memo}`;
  const send = async (somebody: Asker, memo: string, bytes: Buffer, walk = fresh) =>
    somebody('PUT', path(memo, walk), bytes, { 'content-type': 'application/octet-stream' });
  const webm = Buffer.concat([Buffer.from('1a45dfa3', 'hex'), Buffer.alloc(2000, 7)]);

  it('is kept once and given back as it was, to whoever presents', async () => {
    const memo = randomUUID();
    expect((await send(ines, memo, webm)).status).toBe(204);
    expect((await send(ines, memo, webm)).status).toBe(204);
    const { status, headers } = await ines('GET', path(memo));
    expect([status, headers['content-type'], headers['content-length']]).toEqual([
      200,
      'audio/webm',
      String(webm.length),
    ]);
    const osk = await signedIn(b.app, 'osk@thornquay.example');
    expect((await osk('GET', path(memo))).status).toBe(403);
    expect((await una('GET', path(memo))).status).toBe(404);
  });

  it.each([
    ['a page with a script', Buffer.from('<html><script>1</script></html>'), 400],
    ['nothing', Buffer.alloc(0), 400],
    ['more than three megabytes', Buffer.alloc(3_000_001, 1), 413],
  ])('is not %s', async (_, bytes, status) => {
    const answer = await send(ines, randomUUID(), bytes);
    expect(answer.status).toBe(status);
    expect(answer.body.detail).toMatch(status === 413 ? /larger than 3 MB\./ : /\.$/);
  });

  it('belongs to a walk that is here', async () => {
    expect((await send(ines, randomUUID(), webm, randomUUID())).status).toBe(404);
    expect((await send(una, randomUUID(), webm)).status).toBe(404);
  });
});

describe('a second screen', () => {
  const open = async (): Promise<string> =>
    (await ines('POST', `/api/walks/${plan.id}/screens`)).body.token as string;
  const stranger = (): Asker => asker(b.app);

  it('follows the walk for whoever has its address, without a sign-in', async () => {
    const token = await open();
    const view = (await stranger()('GET', `/api/screens/${token}`)).body;
    expect(view).toMatchObject({ state: 'walking', unit: 'Fenlark 24 RKD' });
    expect(JSON.stringify(view)).not.toContain(plan.points[0]?.sentence);
  });

  it('shows the number as it is now', async () => {
    const token = await open();
    const gvwr = plan.points.find(({ id }) => id === 'specs.gvwr');
    await ines('POST', `/api/walks/${plan.id}/events`, {
      events: [
        {
          id: randomUUID(),
          device,
          counter: 50,
          elapsed: 60_000,
          what: { kind: 'turn-to', point: 'specs.gvwr' },
        },
      ],
    });
    const view = (await stranger()('GET', `/api/screens/${token}`)).body;
    expect(view.station).toBe('labels');
    const known = gvwr?.numbers.filter(({ text }) => text !== undefined);
    expect(view.numbers).toEqual(known?.map(({ label, text }) => ({ label, text })));
    expect(Object.keys(view).toSorted()).toEqual([
      'drawing',
      'numbers',
      'photos',
      'state',
      'station',
      'system',
      'title',
      'unit',
    ]);
  });

  it('is closed for good, or when its time is over, and never guessed', async () => {
    const [one, two] = [await open(), await open()];
    await b.source.query(
      `UPDATE screen SET until = now() - interval '1 minute' WHERE token_hash = sha256($1)`,
      [Buffer.from(two)],
    );
    expect((await stranger()('GET', `/api/screens/${two}`)).status).toBe(404);
    expect((await stranger()('GET', `/api/screens/${one}`)).status).toBe(200);
    expect((await ines('DELETE', `/api/walks/${plan.id}/screens`)).status).toBe(204);
    expect((await stranger()('GET', `/api/screens/${one}`)).status).toBe(404);
    expect((await stranger()('GET', `/api/screens/${'x'.repeat(32)}`)).status).toBe(404);
    expect((await una('POST', `/api/walks/${plan.id}/screens`)).status).toBe(404);
  });

  it('gives no photo that it does not show', async () => {
    const token = await open();
    expect((await stranger()('GET', `/api/screens/${token}/photos/${randomUUID()}`)).status).toBe(
      404,
    );
  });
});

describe('the demo', () => {
  it('has a dozen walks with texture, one half finished, and no follow-up proposed twice', async () => {
    const { walks } = (await ines('GET', '/api/walks')).body as {
      walks: { plan: WalkPlan; events: WalkEvent[]; by: string; createdAt: string }[];
    };
    const demo = walks.filter(({ plan: { id }, events: all }) => id !== plan.id && all.length > 4);
    const logs = demo.map((walk) => ({ ...walk, log: logOf(walk.plan, walk.events) }));
    expect(logs.filter(({ log }) => log.finished)).toHaveLength(12);
    expect(logs.filter(({ log }) => !log.finished)).toHaveLength(1);
    const audiences = logs.flatMap(({ plan: { about } }) => about?.listeners ?? []);
    expect(new Set(audiences.map(({ audience }) => audience)).size).toBeGreaterThan(7);
    expect(new Set(demo.map(({ by }) => by)).size).toBe(4);
    for (const { log, plan: given, createdAt } of logs) {
      expect(log.marks.length).toBeGreaterThan(0);
      if (log.finished) expect(log.missed.length).toBeGreaterThan(0);
      expect(Date.parse(createdAt)).toBeLessThan(Date.now() + 86_400_000);
      expect(log.worked).toBeLessThan(given.minutes * 60_000 * 1.5);
    }
    const { questions } = summaryOf(logs.map((walk) => ({ ...walk, model: walk.plan.unit })));
    expect(questions.length).toBeGreaterThan(8);
  });
});

describe('a server that is started again in mid-walk', () => {
  it('has all that it had said it had, and takes the rest', async () => {
    const own = { ...plan, id: randomUUID() };
    const made = events({ kind: 'begin' }, { kind: 'said', point: own.points[0]?.id ?? '' });
    await ines('PUT', `/api/walks/${own.id}`, own);
    await ines('POST', `/api/walks/${own.id}/events`, { events: made.slice(0, 1) });
    const app = await buildApp({ source: b.source, secret });
    const again = await signedIn(app, 'ines@thornquay.example');
    // The phone does not know what arrived: it sends all of it.
    expect((await again('POST', `/api/walks/${own.id}/events`, { events: made })).status).toBe(204);
    expect((await again('GET', `/api/walks/${own.id}`)).body.events).toHaveLength(2);
    await app.close();
  });
});
