import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openDatabase } from '../src/tables/index.ts';
import { buildApp } from '../src/app.ts';
import type { App } from '../src/base/app/index.ts';
import { bench, editOf, password, secret, specChange, type Bench } from './support.ts';

interface Process {
  readonly app: App;
  readonly address: string;
  readonly close: () => Promise<void>;
}

/** Two servers on one database, as behind a balancer. */
let b: Bench;
let one: Process;
let two: Process;

const listening = async (app: App, close: () => Promise<void>): Promise<Process> => ({
  app,
  address: await app.listen({ host: '127.0.0.1', port: 0 }),
  close,
});

beforeAll(async () => {
  b = await bench();
  one = await listening(b.app, b.close);
  const source = await openDatabase(b.url);
  const app = await buildApp({ source, secret });
  two = await listening(app, async () => {
    await app.close();
    await source.destroy();
  });
});
afterAll(async () => {
  await two.close().catch(() => {});
  await one.close();
});

const json = { 'content-type': 'application/json' };

const signIn = async ({ address }: Process, email: string): Promise<string> => {
  const body = JSON.stringify({ email, password });
  const response = await fetch(`${address}/api/session`, { method: 'POST', headers: json, body });
  return response.headers.get('set-cookie')?.split(';')[0] ?? '';
};

const asked = async (p: Process, cookie: string, method: string, path: string, body?: unknown) => {
  const init = { method, headers: { cookie, ...(body ? json : {}) } };
  const response = await fetch(
    `${p.address}${path}`,
    body ? { ...init, body: JSON.stringify(body) } : init,
  );
  // Answers are looked into by the tests' own expectations.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  return response.status === 204 ? undefined : ((await response.json()) as any);
};

/** A screen that listens: what it has heard so far, and a way to wait for words. */
const screen = async ({ address }: Process, cookie: string, path = '/api/live') => {
  const stop = new AbortController();
  const response = await fetch(`${address}${path}`, {
    headers: { cookie },
    signal: stop.signal,
  });
  let heard = '';
  let isOver = false;
  void (async () => {
    try {
      for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) heard += chunk;
    } catch {
      // Aborted by the test.
    }
    isOver = true;
  })();
  const hears = async (words: string | RegExp): Promise<void> => {
    for (let i = 0; i < 2000; i++) {
      if (typeof words === 'string' ? heard.includes(words) : words.test(heard)) return;
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
    throw new Error(`never heard ${words}, but: ${heard}`);
  };
  const ended = async (): Promise<void> => {
    for (let i = 0; i < 2000 && !isOver; i++) await new Promise((r) => setTimeout(r, 25));
    expect(isOver).toBe(true);
  };
  return { response, heard: () => heard, hears, ended, close: () => stop.abort() };
};

describe('news of a yard', () => {
  it('reaches screens of both processes, whichever the change went through', async () => {
    const cookie = await signIn(one, 'ines@thornquay.example');
    const [here, there] = [await screen(one, cookie), await screen(two, cookie)];
    expect(here.response.headers.get('content-type')).toMatch(/^text\/event-stream/);
    expect(here.response.headers.get('x-content-type-options')).toBe('nosniff');
    const id = randomUUID();
    await asked(two, cookie, 'POST', '/api/units', { id, changes: [specChange('gvwr', 7000)] });
    await here.hears(`event: unit\ndata: {"id":"${id}"}`);
    await there.hears(`"${id}"`);
    await asked(
      one,
      cookie,
      'POST',
      `/api/units/${id}/edits`,
      editOf([specChange('gvwr', 7100, 1)]),
    );
    await there.hears(new RegExp(`${id}[^]*${id}`));
    here.close();
    there.close();
  });

  it('does not reach another yard, and none is told of what was refused', async () => {
    const una = await screen(two, await signIn(two, 'una@other.example'));
    const cookie = await signIn(one, 'ines@thornquay.example');
    const ines = await screen(one, cookie);
    const id = randomUUID();
    const taken = [specChange('stockNumber', 'TQ-0417')];
    await asked(one, cookie, 'POST', '/api/units', { id, changes: taken });
    const good = randomUUID();
    await asked(one, cookie, 'POST', '/api/units', { id: good, changes: [specChange('gvwr', 1)] });
    await ines.hears(good);
    expect(ines.heard()).not.toContain(id);
    expect(una.heard()).not.toContain('event:');
    una.close();
    ines.close();
  });

  it('ends with the right to hear it, at once, in whichever process', async () => {
    const maren = await signIn(one, 'maren@thornquay.example');
    const ivo = await signIn(two, 'ivo@thornquay.example');
    const osk = await signIn(one, 'osk@thornquay.example');
    const streams = [await screen(two, ivo), await screen(one, ivo)];
    const stays = await screen(two, osk);
    // Taken off the yard; that he belongs to another one is no right to hear this one.
    await b.source.query(
      `INSERT INTO membership (yard_id, person_id, role)
       SELECT y.id, p.id, 'guest' FROM yard y, person p WHERE y.name = 'Other yard' AND p.name = 'Ivo Lark'`,
    );
    const { people } = await asked(one, maren, 'GET', '/api/people');
    const id = people.find(({ name }: { name: string }) => name === 'Ivo Lark').id;
    await asked(one, maren, 'DELETE', `/api/people/${id}`);
    for (const stream of streams) await stream.ended();
    // Signed out elsewhere.
    await asked(two, await signIn(two, 'osk@thornquay.example'), 'DELETE', '/api/me/sessions');
    await stays.ended();
    // A buyer's screen that is closed.
    const { walks } = await asked(one, maren, 'GET', '/api/walks');
    const walk = walks[0].plan.id;
    const { token } = await asked(one, maren, 'POST', `/api/walks/${walk}/screens`);
    const buyer = await screen(two, '', `/api/screens/${token}/live`);
    expect(buyer.response.status).toBe(200);
    await asked(one, maren, 'DELETE', `/api/walks/${walk}/screens`);
    await buyer.ended();
    // Nobody is told of it.
    for (const { heard } of [...streams, stays, buyer]) expect(heard()).not.toContain('ended');
  });

  it('comes again after the listening connection was cut, and says that some was missed', async () => {
    const cookie = await signIn(one, 'ines@thornquay.example');
    const here = await screen(one, cookie);
    await b.source.query(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query = 'LISTEN fair_gable'
       AND datname = current_database()`,
    );
    await here.hears('event: catch-up');
    const id = randomUUID();
    await asked(two, cookie, 'POST', '/api/units', { id, changes: [specChange('gvwr', 1)] });
    await here.hears(id);
    here.close();
  });

  it('goes on through one server when the other is gone, with nothing acknowledged lost', async () => {
    const cookie = await signIn(two, 'ines@thornquay.example');
    const here = await screen(one, cookie);
    const there = await screen(two, cookie);
    const id = randomUUID();
    await asked(two, cookie, 'POST', '/api/units', { id, changes: [specChange('gvwr', 7000)] });
    await two.close();
    await there.ended();
    const edit = editOf([specChange('gvwr', 7100, 1)]);
    const kept = await asked(one, cookie, 'POST', `/api/units/${id}/edits`, edit);
    expect(kept.record.specs.gvwr).toMatchObject({ version: 2, value: { amount: 7100 } });
    await here.hears(new RegExp(`${id}[^]*${id}`));
    here.close();
  });
});

describe('stopping', () => {
  it('finishes what is at work before it ends', async () => {
    const own = await bench();
    const { address } = await listening(own.app, own.close);
    const process = { app: own.app, address, close: own.close };
    const cookie = await signIn(process, 'ines@thornquay.example');
    const { units } = await asked(process, cookie, 'GET', '/api/units');
    const id = units[0].id as string;
    // Another connection holds the unit, so that the edit is at work while the server stops.
    const holder = own.source.createQueryRunner();
    await holder.startTransaction();
    await holder.query('SELECT 1 FROM unit WHERE id = $1 FOR UPDATE', [id]);
    const edit = editOf([
      specChange('hitchWeight', 444, units[0].record.specs.hitchWeight?.version ?? 0),
    ]);
    const answer = asked(process, cookie, 'POST', `/api/units/${id}/edits`, edit);
    await new Promise((resolve) => setTimeout(resolve, 300));
    const stopped = own.app.close();
    await new Promise((resolve) => setTimeout(resolve, 200));
    await holder.rollbackTransaction();
    await holder.release();
    expect((await answer).record.specs.hitchWeight.value.amount).toBe(444);
    await stopped;
    await own.source.destroy();
  });
});
