// A database and a server of a benchmark's own.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { networkFrom, serve, type Serving } from '../server/dist/program/index.js';
import { startCluster } from '../tools/lib/postgres.mjs';

const demoFolder = fileURLToPath(new URL('../demo', import.meta.url));

export interface Ground {
  readonly url: string;
  readonly serving: Serving;
  readonly cookie: string;
  readonly close: () => Promise<void>;
}

/** The demo yard, served on a cluster that is thrown away; and a session of its specialist. */
export const openGround = async (): Promise<Ground> => {
  const folder = mkdtempSync('/var/tmp/fair-gable-bench-');
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder, { throwAway: true });
  const serving = await serve({
    databaseUrl: cluster.url,
    network: { ...networkFrom({}), port: 0 },
    webRoot: join(demoFolder, '../web/dist'),
    demoFolder,
  });
  const signIn = await fetch(`${serving.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'ines@thornquay.example', password: 'spring-ferry-22' }),
  });
  const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
  const close = async (): Promise<void> => {
    await serving.stop();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
  return { url: cluster.url, serving, cookie, close };
};

/** The time that 95 of 100 keep within. */
export const p95 = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? Number.NaN;

/** Milliseconds that some work takes. */
export const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};
