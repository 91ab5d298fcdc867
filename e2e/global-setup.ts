import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { FullConfig } from '@playwright/test';
import { Client } from 'pg';
import { networkFrom, serve, type Serving } from '../server/dist/program/index.js';

const root = fileURLToPath(new URL('..', import.meta.url));

/** A database of its own for each yard, in the throw-away cluster of `npm test`. */
const freshDatabase = async (): Promise<string> => {
  const cluster = process.env['TEST_POSTGRES'];
  if (!cluster) throw new Error('TEST_POSTGRES is not set: run the tests with npm test.');
  const name = `e2e_${randomUUID().replaceAll('-', '')}`;
  const client = new Client({ connectionString: cluster });
  await client.connect();
  await client.query(`CREATE DATABASE "${name}"`).finally(() => client.end());
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  return url.href;
};

const start = async (demoFolder?: string): Promise<Serving> =>
  serve({
    databaseUrl: await freshDatabase(),
    network: { ...networkFrom({}), port: 0 },
    webRoot: join(root, 'web/dist'),
    signInsPerMinute: 1000,
    ...(demoFolder ? { demoFolder } : {}),
  });

/** The built application for each worker, on a demo yard of its own; and once on an empty one. */
const setUp = async (config: FullConfig): Promise<() => Promise<void>> => {
  const empty = await start();
  process.env['EMPTY_ADDRESS'] = empty.address;
  process.env['EMPTY_TOKEN'] = empty.token ?? '';
  const yards: Serving[] = [];
  for (let worker = 0; worker < config.workers; worker++) {
    const yard = await start(join(root, 'demo'));
    process.env[`DEMO_ADDRESS_${String(worker)}`] = yard.address;
    yards.push(yard);
  }
  return async () => {
    await Promise.all([empty, ...yards].map((serving) => serving.stop()));
  };
};

export default setUp;
