import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { startCluster } from '../tools/lib/postgres.mjs';

/** What the server's process has in memory after it has cleaned up, MB. */
export interface Memory {
  readonly heap: number;
  readonly outside: number;
}

/** A server of its own process on a cluster that is thrown away. */
export interface Ground {
  readonly url: string;
  readonly address: string;
  readonly memory: () => Promise<Memory>;
  /** Whether it has ended by itself. */
  readonly isGone: () => boolean;
  readonly close: () => Promise<void>;
}

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

const said = async <T>(child: ChildProcess): Promise<T> => {
  const [message] = await Promise.race([
    once(child, 'message'),
    once(child, 'exit').then(() => {
      throw new Error('the server ended');
    }),
  ]);
  return message as T;
};

/** Serves the demo yard. */
export const openGround = async (): Promise<Ground> => {
  const folder = mkdtempSync('/var/tmp/fair-gable-attack-');
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder, { throwAway: true });
  const child = fork(here('server-child.mjs'), [cluster.url], { execArgv: ['--expose-gc'] });
  const { address } = await said<{ address: string }>(child);
  const memory = (): Promise<Memory> => {
    child.send('memory');
    return said<Memory>(child);
  };
  const close = async (): Promise<void> => {
    child.kill('SIGTERM');
    if (child.exitCode === null) await once(child, 'exit');
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
  return { url: cluster.url, address, memory, isGone: () => child.exitCode !== null, close };
};
