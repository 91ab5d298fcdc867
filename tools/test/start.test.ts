import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { freePort, removeCluster } from '../lib/postgres.mjs';
import { killAll, ownFolder, start, startBy, type Started, unitsInDemo } from './support.ts';

// A machine that does other things beside is slow, not wrong.
jest.setTimeout(600_000);

const ready = /Stop with Ctrl-C/;
let data: string;
let port: string;
const running: Started[] = [];

beforeAll(async () => {
  data = ownFolder();
  port = String(await freePort());
});
afterAll(async () => {
  killAll();
  await removeCluster(data);
  rmSync(data, { recursive: true, force: true });
});

const startHere = (...flags: readonly string[]): Started => {
  const started = start({ FAIR_GABLE_DATA: data, PORT: port }, ...flags);
  running.push(started);
  return started;
};

/** Signs in over http and asks as the demo specialist. */
const asInes = async () => {
  const address = `http://127.0.0.1:${port}`;
  const credentials = { email: 'ines@thornquay.example', password: 'spring-ferry-22' };
  const headers = { 'content-type': 'application/json' };
  const signIn = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers,
    body: JSON.stringify(credentials),
  });
  const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
  return (method: string, path: string, body?: unknown) =>
    fetch(`${address}${path}`, {
      method,
      headers: { ...headers, cookie },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
};

const unitCount = async (): Promise<number> => {
  const ask = await asInes();
  const { units } = (await (await ask('GET', '/api/units')).json()) as { units: unknown[] };
  return units.length;
};

describe('npm start', () => {
  it('makes all it needs, says how long each step took, prints address and sign-ins', async () => {
    const first = startHere();
    const printed = await first.says(ready);
    expect(printed).toContain(`Fair Gable is at http://127.0.0.1:${port}`);
    expect(printed).toMatch(/ines@thornquay\.example {2}spring-ferry-22/);
    for (const step of [
      'Debian packages',
      'npm packages',
      'program',
      'PostgreSQL',
      'loaded the demo yard',
    ]) {
      expect(printed).toMatch(new RegExp(`${step} … .*\\d\\.\\d s`));
    }
    expect(await unitCount()).toBe(unitsInDemo);
  });

  it('after a kill -9 goes on where it was, with nothing lost', async () => {
    const ask = await asInes();
    const change = {
      part: 'specs',
      key: 'series',
      value: { kind: 'text', text: 'Kept' },
      how: 'read',
      basedOn: 0,
    };
    const made = await ask('POST', '/api/units', { id: randomUUID(), changes: [change] });
    expect(made.status).toBe(201);
    running.at(-1)?.child.kill('SIGKILL');
    await running.at(-1)?.ended;
    const again = startHere();
    const printed = await again.says(ready);
    expect(printed).toContain('found running, taken over');
    // What stands built is not built again.
    expect(printed).toMatch(/program … up to date, \d/);
    expect(await unitCount()).toBe(unitsInDemo + 1);
  });

  it('says that the port is in use, and leaves the other one alone', async () => {
    const blocker = createServer().listen(0, '127.0.0.1');
    await new Promise((resolve) => blocker.once('listening', resolve));
    const taken = String((blocker.address() as { port: number }).port);
    const folder = ownFolder();
    const second = start({ FAIR_GABLE_DATA: folder, PORT: taken });
    expect(await second.ended).toBe(1);
    expect(second.printed()).toContain(`Port ${taken} is in use by another program.`);
    expect(existsSync(join(folder, 'postgres/postmaster.pid'))).toBe(false);
    blocker.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it('stops web and database cleanly on SIGTERM', async () => {
    const last = running.at(-1)!;
    last.child.kill('SIGTERM');
    expect(await last.ended).toBe(0);
    expect(existsSync(join(data, 'postgres/postmaster.pid'))).toBe(false);
    const log = readFileSync(join(data, 'postgres/server.log'), 'utf8');
    expect(log.trimEnd().split('\n').at(-1)).toContain('database system is shut down');
    await expect(fetch(`http://127.0.0.1:${port}/api/health`)).rejects.toThrow();
  });

  it('deletes nothing unless it is told so, then begins with an empty yard and a token', async () => {
    const asked = startHere('--fresh');
    expect(await asked.ended).toBe(1);
    expect(asked.printed()).toContain('Add --yes to do it without asking');
    const empty = startHere('--fresh', '--yes', '--empty');
    const printed = await empty.says(ready);
    expect(printed).toMatch(/one-time token: [\w-]{12}/);
    expect(printed).not.toContain('spring-ferry-22');
    empty.child.kill('SIGINT');
    expect(await empty.ended).toBe(0);
  });
});

/** Programs that still have a folder in their call. */
const left = (folder: string): readonly string[] =>
  readdirSync('/proc').flatMap((pid) => {
    try {
      const call = /^\d+$/.test(pid) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
      return call.includes(folder) ? [call.replaceAll('\0', ' ')] : [];
    } catch {
      return [];
    }
  });
const answers = async (at: string): Promise<number> =>
  (await fetch(`http://127.0.0.1:${at}/api/health`)).status;

describe('two in one folder', () => {
  it('stop only what they started: whoever ends last stops the database', async () => {
    const folder = ownFolder();
    const [one, two] = [String(await freePort()), String(await freePort())];
    const first = start({ FAIR_GABLE_DATA: folder, PORT: one });
    await first.says(ready);
    const same = start({ FAIR_GABLE_DATA: folder, PORT: one });
    expect(await same.ended).toBe(1);
    expect(same.printed()).toContain(`Port ${one} is in use by another program.`);
    expect(await answers(one)).toBe(200);
    const second = start({ FAIR_GABLE_DATA: folder, PORT: two });
    expect(await second.says(ready)).toContain('running, shared');
    const cleared = start({ FAIR_GABLE_DATA: folder, PORT: two }, '--fresh', '--yes');
    expect(await cleared.ended).toBe(1);
    expect(cleared.printed()).toContain('in use by another program');
    second.child.kill('SIGINT');
    expect(await second.ended).toBe(0);
    expect(await answers(one)).toBe(200);
    const third = start({ FAIR_GABLE_DATA: folder, PORT: two });
    await third.says(ready);
    first.child.kill('SIGTERM');
    expect(await first.ended).toBe(0);
    expect(await answers(two)).toBe(200);
    third.child.kill('SIGTERM');
    expect(await third.ended).toBe(0);
    expect(left(folder)).toEqual([]);
    rmSync(folder, { recursive: true, force: true });
  });

  it('at once on an empty folder wait for one another', async () => {
    const folder = ownFolder();
    const both = await Promise.all(
      [await freePort(), await freePort()].map(async (own) => {
        const started = start({ FAIR_GABLE_DATA: folder, PORT: String(own) });
        await started.says(ready);
        return started;
      }),
    );
    for (const started of both) started.child.kill('SIGINT');
    expect(await Promise.all(both.map(({ ended }) => ended))).toEqual([0, 0]);
    expect(left(folder)).toEqual([]);
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('stopped', () => {
  // All of its 0.2 s steps are gone through by `npm run attack`.
  it.each([0.4, 0.8, 1.4, 2.2, 3.4])('after %d s it leaves no process behind', async (seconds) => {
    const folder = ownFolder();
    const started = start({ FAIR_GABLE_DATA: folder, PORT: String(await freePort()) });
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
    started.child.kill('SIGINT');
    await started.ended;
    expect(started.printed()).not.toMatch(/\n {4}at /);
    expect(left(folder)).toEqual([]);
    rmSync(folder, { recursive: true, force: true });
  });

  it('when PostgreSQL is gone it ends without a trace', async () => {
    const folder = ownFolder();
    const started = start({ FAIR_GABLE_DATA: folder, PORT: String(await freePort()) });
    await started.says(ready);
    const [pid] = readFileSync(join(folder, 'postgres/postmaster.pid'), 'utf8').split('\n');
    process.kill(Number(pid), 'SIGQUIT');
    while (existsSync(join(folder, 'postgres/postmaster.pid')))
      await new Promise((resolve) => setTimeout(resolve, 100));
    started.child.kill('SIGTERM');
    expect(await started.ended).toBe(0);
    expect(started.printed()).not.toMatch(/\n {4}at /);
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('npm itself', () => {
  it('stopped by SIGTERM stops web and database with it', async () => {
    const folder = ownFolder();
    const own = await freePort();
    const started = startBy(['npm', 'start', '--silent'], {
      FAIR_GABLE_DATA: folder,
      PORT: String(own),
    });
    await started.says(ready);
    started.child.kill('SIGTERM');
    await started.ended;
    const isGone = () => !existsSync(join(folder, 'postgres/postmaster.pid'));
    for (let i = 0; i < 1200 && !isGone(); i++)
      await new Promise((resolve) => setTimeout(resolve, 100));
    expect(isGone()).toBe(true);
    await expect(fetch(`http://127.0.0.1:${own}/api/health`)).rejects.toThrow();
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('what it cannot do', () => {
  it.each([
    ['an unknown flag', {}, ['--frehs'], '“--frehs” is not known'],
    ['a port that is none', { PORT: 'eighty' }, [], 'PORT=eighty is not a port'],
    [
      'a database that does not answer',
      { DATABASE_URL: 'postgresql://x:y@127.0.0.1:9/z' },
      [],
      'does not answer',
    ],
    [
      'a folder that may not be written',
      { FAIR_GABLE_DATA: '/sys/fair-gable' },
      [],
      'A folder may not be written',
    ],
    [
      'clearing a database that is not its own',
      { DATABASE_URL: 'postgresql://x:y@127.0.0.1:9/z' },
      ['--fresh'],
      'only clears the private database',
    ],
  ])('%s is told in one sentence', async (_, env, flags, words) => {
    const started = start(env as Record<string, string>, ...flags);
    expect(await started.ended).toBe(1);
    expect(started.printed()).toContain(words);
    expect(started.printed()).not.toMatch(/\n {4}at /);
  });
});
