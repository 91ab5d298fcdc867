import type { DataSource } from 'typeorm';
import { buildApp } from './app.ts';
import { openDatabase } from './database/index.ts';
import { isDemo, loadDemo } from './demo/index.ts';
import {
  firstAccountToken,
  installationSecret,
  isEmpty,
  PostgresSessionStore,
} from './people/index.ts';

export interface ServeOptions {
  readonly databaseUrl: string;
  readonly host: string;
  readonly port: number;
  readonly webRoot: string;
  /** Loaded when the database is empty; without it an empty yard waits for its first account. */
  readonly demoFolder?: string;
  readonly signInsPerMinute?: number;
  /** Told when each step is over. */
  readonly onStep?: (what: string) => void;
}

export interface Serving {
  readonly address: string;
  /** Makes the first account, where there is none yet. */
  readonly token: string | undefined;
  /** Whether the demo sign-ins work. */
  readonly demo: boolean;
  readonly stop: () => Promise<void>;
}

const isLoopback = (host: string): boolean => ['127.0.0.1', '::1', 'localhost'].includes(host);

/** The demo sign-ins are published: a yard that has them is served on this machine only. */
const refuseDemoOffLoopback = async (source: DataSource, host: string): Promise<void> => {
  if (isLoopback(host) || !(await isDemo(source))) return;
  throw new Error(
    `HOST=${host}: this is the demo yard, whose sign-ins are published, so it is served on this machine only. Leave HOST out, or start a yard of your own with: npm start -- --fresh --empty`,
  );
};

const fill = async (
  source: DataSource,
  demoFolder: string | undefined,
  onStep: (what: string) => void,
): Promise<string | undefined> => {
  if (!(await isEmpty(source))) return undefined;
  if (!demoFolder) return firstAccountToken(source);
  await loadDemo(source, demoFolder);
  onStep('loaded the demo yard');
  return undefined;
};

/**
 * Opens the database, brings it up to date, fills it when it is empty, and listens.
 * @throws NewerDatabase; EADDRINUSE when the port is taken
 */
export const serve = async (options: ServeOptions): Promise<Serving> => {
  const {
    databaseUrl,
    host,
    port,
    webRoot,
    demoFolder,
    signInsPerMinute,
    onStep = () => {},
  } = options;
  const source = await openDatabase(databaseUrl);
  try {
    onStep('opened the database and brought its tables up to date');
    const token = await fill(source, demoFolder, onStep);
    await refuseDemoOffLoopback(source, host);
    await new PostgresSessionStore(source).sweep();
    const secret = await installationSecret(source, 'session');
    const app = await buildApp({
      source,
      secret,
      webRoot,
      signInsPerMinute,
      logger: { level: 'warn' },
    });
    const address = await app.listen({ host, port });
    const stop = async (): Promise<void> => {
      await app.close();
      await source.destroy();
    };
    return { address, token, demo: await isDemo(source), stop };
  } catch (error) {
    await source.destroy();
    throw error;
  }
};
