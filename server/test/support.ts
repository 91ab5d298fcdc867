import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Client } from 'pg';
import type { DataSource } from 'typeorm';
import type { SpecKey } from '@fair-gable/core/unit/catalog';
import type { Change, UnitRecord } from '@fair-gable/core/unit/record';
import { buildApp, type AppOptions } from '../src/app.ts';
import type { App } from '../src/base/app/index.ts';
import { openDatabase } from '../src/tables/index.ts';
import { loadDemo } from '../src/demo/index.ts';
import { createYard } from '../src/yard/people/index.ts';

export const demoFolder = fileURLToPath(new URL('../../demo', import.meta.url));
/** How many units stand in the demo yard. */
export const unitsInDemo = readdirSync(`${demoFolder}/units`).length;
export const password = 'spring-ferry-22';

/** The throw-away cluster that `npm test` started. */
const cluster = process.env['TEST_POSTGRES'] ?? '';

const admin = async (sql: string): Promise<void> => {
  const client = new Client({ connectionString: cluster });
  await client.connect();
  await client.query(sql).finally(() => client.end());
};

const addressOf = (name: string): string => {
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  return url.href;
};

/** A database of this test file's own, and its address. */
export const freshDatabase = async (template = 'template1'): Promise<string> => {
  if (!cluster) throw new Error('TEST_POSTGRES is not set: run the tests with npm test.');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await admin(`CREATE DATABASE "${name}" TEMPLATE "${template}"`);
  return addressOf(name);
};

/** The demo yard, and a second yard to be kept apart. */
const fill = async (url: string): Promise<void> => {
  const source = await openDatabase(url);
  await loadDemo(source, demoFolder);
  await source.transaction((manager) =>
    createYard(manager, { name: 'Other yard', system: 'metric' }, [
      { name: 'Una Vell', email: 'una@other.example', role: 'manager', password },
    ]),
  );
  await source.destroy();
};

/** Any number of ours. */
const templateLock = 1781;

/** The filled database of this run, which every test file copies: the first that asks makes it. */
const filledDatabase = async (): Promise<string> => {
  const name = `filled_${process.env['TEST_RUN']}`;
  const client = new Client({ connectionString: cluster });
  await client.connect();
  try {
    await client.query('SELECT pg_advisory_lock($1)', [templateLock]);
    const { rowCount } = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
    if (rowCount) return name;
    await client.query(`CREATE DATABASE "${name}_unfinished"`);
    await fill(addressOf(`${name}_unfinished`));
    await client.query(`ALTER DATABASE "${name}_unfinished" RENAME TO "${name}"`);
    return name;
  } finally {
    await client.end();
  }
};

export interface Bench {
  readonly app: App;
  readonly source: DataSource;
  readonly url: string;
  readonly close: () => Promise<void>;
}

export const secret = 'a secret for tests, of at least 32 characters';

/** The application on a fresh database with the demo yard, and a second yard to be kept apart. */
export const bench = async (
  signInsPerMinute = 1000,
  more: Partial<AppOptions> = {},
): Promise<Bench> => {
  const url = await freshDatabase(await filledDatabase());
  const source = await openDatabase(url);
  const app = await buildApp({ source, secret, signInsPerMinute, ...more });
  await app.ready();
  const close = async (): Promise<void> => {
    await app.close();
    await source.destroy();
  };
  return { app, source, url, close };
};

export interface Answer {
  readonly status: number;
  // Answers are looked into by the tests' own expectations.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
  readonly headers: Readonly<Record<string, unknown>>;
}

export type Asker = (
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  url: string,
  body?: unknown,
  headers?: Record<string, string>,
) => Promise<Answer>;

/** Asks as somebody, or as nobody when no cookie is given. */
export const asker =
  (app: App, cookie = ''): Asker =>
  async (method, url, body, headers = {}) => {
    const response = await app.inject({
      method,
      url,
      headers: { ...(cookie ? { cookie } : {}), ...headers },
      ...(body === undefined ? {} : { payload: body as object }),
    });
    const text = response.body;
    return {
      status: response.statusCode,
      body:
        text && String(response.headers['content-type']).includes('json') ? JSON.parse(text) : text,
      headers: response.headers,
    };
  };

/** Signs in, and asks as that person from then on. */
export const signedIn = async (app: App, email: string): Promise<Asker> => {
  const response = await app.inject({
    method: 'POST',
    url: '/api/session',
    payload: { email, password },
  });
  const cookie = response.cookies.map((c) => `${c.name}=${c.value}`).join('; ');
  if (response.statusCode !== 204 || !cookie) throw new Error(`sign-in answered ${response.body}`);
  return asker(app, cookie);
};

/** An edit with an id of its own. */
export const editOf = (changes: readonly unknown[], id: string = randomUUID()) => ({ id, changes });

/** A change of a quantity or a text, as the interface would send it. */
export const specChange = (key: SpecKey, value: number | string | null, basedOn = 0): Change => ({
  part: 'specs',
  key,
  value:
    value === null
      ? null
      : typeof value === 'number'
        ? { kind: 'quantity', amount: value }
        : { kind: 'text', text: value },
  how: 'read',
  basedOn,
});

/** The unit with a stock number, from the list. */
export const unitNamed = async (
  ask: Asker,
  stockNumber: string,
): Promise<{ id: string; record: UnitRecord }> => {
  const { body } = await ask('GET', '/api/units');
  const units = body.units as { id: string; record: UnitRecord }[];
  const found = units.find(({ record }) => {
    const value = record.specs.stockNumber?.value;
    return value?.kind === 'text' && value.text === stockNumber;
  });
  if (!found) throw new Error(`no unit ${stockNumber}`);
  return found;
};
