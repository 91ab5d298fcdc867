import { existsSync, readdirSync, readFileSync, statSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { freePort, removeCluster, startCluster } from '../lib/postgres.mjs';
import { killAll, ownFolder, start, startBy, type Started, unitsInDemo } from './support.ts';

// A machine that does other things beside is slow, not wrong.
jest.setTimeout(600_000);

let here: string;
let there: string;
let file: string;
let serving: Started;
let port: string;

beforeAll(async () => {
  here = ownFolder();
  there = ownFolder();
  file = join(ownFolder(), 'yard.dump');
  port = String(await freePort());
  serving = start({ FAIR_GABLE_DATA: here, PORT: port });
  await serving.says(/Stop with Ctrl-C/);
});
afterAll(async () => {
  killAll();
  for (const folder of [here, there]) {
    await removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
});

const withPassphrase = async (
  passphrase: string,
  data: string,
  name: string,
  ...args: readonly string[]
) => {
  const started = startBy(['node', `tools/${name}.mjs`, ...args], {
    FAIR_GABLE_DATA: data,
    FAIR_GABLE_PASSPHRASE: passphrase,
  });
  return { code: await started.ended, printed: started.printed() };
};

const tool = (data: string, name: string, ...args: readonly string[]) =>
  withPassphrase('', data, name, ...args);

/** What lets somebody in: it is not restored. */
const lettingIn = [
  'session',
  'password_link',
  'invitation',
  'sign_in_try',
  'known_device',
  'screen',
];
type Rows = Record<string, string[]>;
const lasting = (rows: Rows): Rows =>
  Object.fromEntries(Object.entries(rows).filter(([name]) => !lettingIn.includes(name)));

/** Every row of every table, as text in order. */
const rowsOf = async (url: string): Promise<Record<string, string[]>> => {
  const client = new Client({ connectionString: url });
  await client.connect();
  const names = await client.query<{ name: string }>(
    `SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1`,
  );
  const all: Record<string, string[]> = {};
  for (const { name } of names.rows) {
    const { rows } = await client.query<{ row: string }>(
      `SELECT t::text AS row FROM public."${name}" t ORDER BY 1`,
    );
    all[name] = rows.map(({ row }) => row);
  }
  await client.end();
  return all;
};

const within = async <T>(folder: string, work: (url: string) => Promise<T>): Promise<T> => {
  const cluster = await startCluster(folder);
  try {
    return await work(cluster.url);
  } finally {
    await cluster.stop();
  }
};

describe('backup and restore', () => {
  it('backs up while the program runs, and never over another file', async () => {
    const signedIn = await fetch(`http://127.0.0.1:${port}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'maren@thornquay.example', password: 'spring-ferry-22' }),
    });
    expect(signedIn.status).toBe(204);
    const made = await tool(here, 'backup', file);
    expect([made.code, existsSync(file)]).toEqual([0, true]);
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(made.printed).toContain('keep it where only you can read it');
    const again = await tool(here, 'backup', file);
    expect([again.code, again.printed]).toEqual([1, expect.stringContaining('is there already')]);
  });

  it('restores into an empty place, equal row for row', async () => {
    const { code, printed } = await tool(there, 'restore', file, '--yes');
    expect([code, printed]).toEqual([0, expect.stringContaining(`${unitsInDemo} units are back`)]);
    const [original, copy] = [await within(here, rowsOf), await within(there, rowsOf)];
    expect(Object.keys(copy).length).toBeGreaterThan(12);
    expect(copy['record_field']?.length).toBeGreaterThan(150);
    expect(lasting(copy)).toEqual(lasting(original));
    // Who was signed in when the backup was made is so no longer.
    expect(original['session']).toHaveLength(1);
    for (const name of lettingIn) expect([name, copy[name]]).toEqual([name, []]);
  });

  it('replaces what is there, and what came after the backup is gone', async () => {
    await within(there, async (url) => {
      const client = new Client({ connectionString: url });
      await client.connect();
      await client.query('DELETE FROM unit');
      await client.query('CREATE TABLE of_a_later_version (id int)');
      await client.end();
    });
    expect((await tool(there, 'restore', file, '--yes')).code).toBe(0);
    expect(lasting(await within(there, rowsOf))).toEqual(lasting(await within(here, rowsOf)));
  });

  it('is sealed under a passphrase, and opens with that alone and whole', async () => {
    const sealed = `${file}.sealed`;
    const [right, wrong] = ['a ferry in the morning fog', 'a ferry in the evening fog'];
    const short = await withPassphrase('short', here, 'backup', sealed, '--sealed');
    expect([short.code, short.printed]).toEqual([
      1,
      expect.stringContaining('at least 12 characters'),
    ]);
    expect((await withPassphrase(right, here, 'backup', sealed, '--sealed')).code).toBe(0);
    expect(statSync(sealed).mode & 0o077).toBe(0);
    expect(readdirSync(dirname(sealed)).filter((name) => /open|unfinished/.test(name))).toEqual([]);
    expect(readFileSync(sealed).includes('PGDMP')).toBe(false);
    const restore = (passphrase: string, from = sealed) =>
      withPassphrase(passphrase, there, 'restore', from, '--yes');
    expect(await restore(wrong)).toMatchObject({
      code: 1,
      printed: expect.stringContaining('the passphrase is another one, or the file was changed'),
    });
    const changed = readFileSync(sealed);
    changed[changed.length >> 1]! ^= 1;
    writeFileSync(`${sealed}.changed`, changed);
    expect((await restore(right, `${sealed}.changed`)).code).toBe(1);
    expect((await restore(right)).code).toBe(0);
    expect(lasting(await within(there, rowsOf))).toEqual(lasting(await within(here, rowsOf)));
  });

  it.each([
    [
      'while the program runs',
      () => tool(here, 'restore', file, '--yes'),
      'The program is running on this database',
    ],
    ['without a yes', () => tool(there, 'restore', file), 'Add --yes to do it without asking'],
    ['no file', () => tool(there, 'restore'), 'Say which backup'],
    [
      'a file that is not there',
      () => tool(there, 'restore', '/nowhere.dump'),
      'There is no file /nowhere.dump',
    ],
  ])('refuses %s, and changes nothing', async (_, call, words) => {
    const before = await within(there, rowsOf);
    const { code, printed } = await call();
    expect([code, printed]).toEqual([1, expect.stringContaining(words)]);
    expect(await within(there, rowsOf)).toEqual(before);
  });

  it('refuses half a backup, and leaves what is there', async () => {
    const half = `${file}.half`;
    writeFileSync(half, readFileSync(file).subarray(0, 5000));
    const before = await within(there, rowsOf);
    expect((await tool(there, 'restore', half, '--yes')).code).toBe(1);
    expect(await within(there, rowsOf)).toEqual(before);
  });
});

describe('npm run password-link', () => {
  it('prints a link that sets a password once', async () => {
    const { code, printed } = await tool(here, 'password-link', 'osk@thornquay.example');
    expect(code).toBe(0);
    // It bears the port at which this yard is open, whatever the environment of the command.
    expect(printed).toContain(`http://127.0.0.1:${port}/password#`);
    const token = /\/password#([\w-]{24})\n/.exec(printed)?.[1] ?? '';
    const set = () =>
      fetch(`http://127.0.0.1:${port}/api/password`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ token, password: 'a long enough one' }),
      });
    expect((await set()).status).toBe(204);
    expect((await set()).status).toBe(403);
    const nobody = await tool(here, 'password-link', 'no@body.example');
    expect([nobody.code, nobody.printed]).toEqual([
      1,
      expect.stringContaining('Nobody here signs in as'),
    ]);
  });
});

describe('npm run add-yard', () => {
  it('makes another yard; its manager sets a password, who has an account goes from one to the other', async () => {
    const { code, printed } = await tool(
      here,
      'add-yard',
      'North',
      'Ada Finch',
      'ada@north.example',
    );
    expect([code, printed]).toEqual([
      0,
      expect.stringMatching(/^North is there.*\/password#[\w-]{24}\n$/s),
    ]);
    const known = await tool(here, 'add-yard', 'South', 'Ines', 'Ines@thornquay.example');
    expect([known.code, known.printed]).toEqual([
      0,
      expect.stringContaining('has an account already'),
    ]);
    const address = `http://127.0.0.1:${port}`;
    const signIn = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'ines@thornquay.example', password: 'spring-ferry-22' }),
    });
    const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
    const session = await (await fetch(`${address}/api/session`, { headers: { cookie } })).json();
    const names = (session as { yards: { name: string }[] }).yards.map((yard) => yard.name);
    expect(names).toEqual(['South', 'Thornquay yard']);
    const nothing = await tool(here, 'add-yard', 'North');
    expect([nothing.code, nothing.printed]).toEqual([1, expect.stringContaining('Say the yard')]);
  });
});

describe('npm run certificate', () => {
  it('makes a certificate for names and addresses, readable by its owner alone', async () => {
    const fresh = join(there, 'certified');
    const { code, printed } = await tool(fresh, 'certificate', '192.0.2.7', 'yard.example');
    expect(code).toBe(0);
    expect(printed).toContain('PUBLIC_URL=https://192.0.2.7:4780');
    expect(readFileSync(join(fresh, 'tls/cert.pem'), 'utf8')).toContain('BEGIN CERTIFICATE');
    const rights = (path: string) => statSync(join(fresh, path)).mode & 0o777;
    expect([rights('tls'), rights('tls/key.pem')]).toEqual([0o700, 0o600]);
    // The database is made beside it, by an account that has to pass through.
    expect(rights('.') & 0o001).toBe(1);
    const strange = await tool(fresh, 'certificate', 'no name');
    expect(strange.printed).toContain('“no name” is no name or address');
  });
});
