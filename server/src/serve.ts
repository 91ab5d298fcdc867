import { readFile } from 'node:fs/promises';
import type { DataSource } from 'typeorm';
import type { App } from './base/app/index.ts';
import { buildApp } from './app.ts';
import { openDatabase } from './tables/index.ts';
import { isDemo, loadDemo } from './demo/index.ts';
import { isOpenToOthers, NetworkProblem, type Network } from './network.ts';
import { firstAccountToken, installationSecret, isEmpty } from './yard/people/index.ts';

export interface ServeOptions {
  readonly databaseUrl: string;
  readonly network: Network;
  readonly webRoot: string;
  /** Loaded when the database is empty; without it an empty yard waits for its first account. */
  readonly demoFolder?: string | undefined;
  readonly signInsPerMinute?: number | undefined;
  /** Told when each step is over. */
  readonly onStep?: (what: string) => void;
}

export interface Serving {
  /** Where to open it. */
  readonly address: string;
  /** Makes the first account, where there is none yet. */
  readonly token: string | undefined;
  /** Whether the demo sign-ins work. */
  readonly demo: boolean;
  /** Finishes what is at work, then stops. */
  readonly stop: () => Promise<void>;
}

/** The demo sign-ins are published: a yard that has them is served on this machine only. */
const refuseDemoToOthers = async (source: DataSource, network: Network): Promise<void> => {
  if (!isOpenToOthers(network) || !(await isDemo(source))) return;
  throw new NetworkProblem(
    `HOST=${network.host}: this is the demo yard, whose sign-ins are published, so it is served on this machine only. Leave HOST and PUBLIC_URL out, or start a yard of your own with: npm start -- --fresh --empty`,
  );
};

/** Any number, the same in every process. */
const fillLock = 4781;

const fill = async (
  source: DataSource,
  demoFolder: string | undefined,
  onStep: (what: string) => void,
): Promise<string | undefined> => {
  // Of two that start at once on an empty database one fills it, and the other finds it filled.
  const runner = source.createQueryRunner();
  try {
    await runner.query('SET lock_timeout = 0');
    await runner.query('SELECT pg_advisory_lock($1)', [fillLock]);
    if (!(await isEmpty(source))) return undefined;
    if (!demoFolder) return await firstAccountToken(source);
    await loadDemo(source, demoFolder);
    onStep('loaded the demo yard');
    return undefined;
  } finally {
    await runner.query('SELECT pg_advisory_unlock($1)', [fillLock]).catch(() => {});
    await runner.query('RESET lock_timeout').catch(() => {});
    await runner.release();
  }
};

const readPem = async (name: string, path: string): Promise<Buffer> => {
  const content = await readFile(path).catch(() => undefined);
  if (content?.includes('-----BEGIN')) return content;
  throw new NetworkProblem(
    `${name}=${path} ${content ? 'is not a PEM file' : 'can’t be read'}. Give the path of the ${name === 'TLS_CERT' ? 'certificate' : 'key'}, in PEM form.`,
  );
};

const readTls = async (tls: Network['tls']) =>
  tls && { cert: await readPem('TLS_CERT', tls.cert), key: await readPem('TLS_KEY', tls.key) };

const drainLimit = 15_000;

/** Waits for what is at work, but not for ever. */
const drain = async (app: App): Promise<void> => {
  const limit = setTimeout(() => app.server.closeAllConnections(), drainLimit);
  await app.close().finally(() => clearTimeout(limit));
};

/**
 * Opens the database, brings it up to date, fills it when it is empty, and listens.
 * @throws NewerDatabase, NetworkProblem; EADDRINUSE when the port is taken
 */
export const serve = async (options: ServeOptions): Promise<Serving> => {
  const { databaseUrl, network, webRoot, demoFolder, signInsPerMinute } = options;
  const onStep = options.onStep ?? (() => {});
  const tls = await readTls(network.tls);
  const source = await openDatabase(databaseUrl);
  try {
    onStep('opened the database and brought its tables up to date');
    const token = await fill(source, demoFolder, onStep);
    await refuseDemoToOthers(source, network);
    const app = await buildApp({
      source,
      secret: await installationSecret(source, 'session'),
      webRoot,
      publicUrl: network.publicUrl,
      tls,
      trustProxy: network.trustProxy,
      signInsPerMinute,
      logger: { level: 'warn' },
    });
    const { host, port } = network;
    const listening = await app.listen({ host, port });
    const stop = async (): Promise<void> => {
      await drain(app);
      await source.destroy();
    };
    return { address: network.publicUrl ?? listening, token, demo: await isDemo(source), stop };
  } catch (error) {
    await source.destroy();
    throw error;
  }
};
