import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { freePort, removeCluster } from '../tools/lib/postgres.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));

/** A start is ended this long after it began, ms, and every so often; the last is past the slowest start there is. */
const every = 200;
const last = 9000;
/** Whoever pressed Ctrl-C waits no longer than this, ms. */
const endsWithin = 15_000;

/** Processes that still have to do with a data folder. */
const leftFrom = (folder: string): string =>
  spawnSync('pgrep', ['-af', folder], { encoding: 'utf8' }).stdout.trim();

const startAndEnd = async (folder: string, after: number): Promise<string | undefined> => {
  const child = spawn('node', ['tools/start.mjs'], {
    cwd: root,
    env: { ...process.env, FAIR_GABLE_DATA: folder, PORT: String(await freePort()) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  }
  const exit = once(child, 'exit');
  await new Promise((resolve) => setTimeout(resolve, after));
  child.kill('SIGINT');
  const late = new Promise((resolve) => setTimeout(resolve, endsWithin, 'late'));
  if ((await Promise.race([exit, late])) === 'late') {
    child.kill('SIGKILL');
    return `ended ${after} ms after it began it was still there ${endsWithin} ms later`;
  }
  const left = leftFrom(folder);
  if (left) return `ended ${after} ms after it began it left ${left.split('\n')[0]}`;
  return /\n\s+at .+:\d+:\d+/.test(printed)
    ? `ended ${after} ms after it began it printed a stack`
    : undefined;
};

/** Ctrl-C at each fifth of a second of a start: on an empty folder, and on whatever the one before left. */
export const attackStarts = async (): Promise<readonly string[]> => {
  const failures: string[] = [];
  for (let after = 0; after <= last; after += every) {
    const folder = mkdtempSync('/var/tmp/fair-gable-sweep-');
    chmodSync(folder, 0o755);
    for (const again of [after, last - after]) {
      const failure = await startAndEnd(folder, again);
      if (failure) failures.push(failure);
    }
    await removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
    process.stdout.write('.');
  }
  console.log('');
  return failures;
};
