import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('../..', import.meta.url));

/** How many units stand in the demo yard. */
export const unitsInDemo = readdirSync(`${root}/demo/units`).length;

/** A data folder of this test's own; never the one of the checkout. */
export const ownFolder = (): string => {
  const folder = mkdtempSync('/var/tmp/fair-gable-start-');
  chmodSync(folder, 0o755);
  return folder;
};

export interface Started {
  readonly child: ChildProcess;
  /** All it has printed so far. */
  readonly printed: () => string;
  /** Waits for words, or for its end. */
  readonly says: (words: RegExp) => Promise<string>;
  readonly ended: Promise<number | null>;
}

const children: ChildProcess[] = [];

/** Ends whatever a test left running. */
export const killAll = (): void => {
  for (const child of children) child.kill('SIGKILL');
};

/** Variables of the test run that must not reach what it starts. */
const notOurs = /^(DATABASE_URL|NODE_OPTIONS|HOST|PORT|npm_.*)$/;

/** Starts a program in the checkout with a given environment. */
export const startBy = (
  [command = '', ...args]: readonly string[],
  env: Record<string, string>,
): Started => {
  const own = Object.fromEntries(Object.entries(process.env).filter(([key]) => !notOurs.test(key)));
  const child = spawn(command, args, {
    cwd: root,
    env: { ...own, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  children.push(child);
  let text = '';
  const collect = (chunk: Buffer): void => void (text += chunk.toString());
  child.stdout.on('data', collect);
  child.stderr.on('data', collect);
  const ended = once(child, 'close').then(([code]) => code as number | null);
  const says = async (words: RegExp): Promise<string> => {
    let isOver = false;
    void ended.then(() => (isOver = true));
    while (!words.test(text)) {
      if (isOver) throw new Error(`it ended without saying ${words}:\n${text}`);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return text;
  };
  return { child, printed: () => text, says, ended };
};

/** `npm start` without npm in between, with a given environment and flags. */
export const start = (env: Record<string, string>, ...flags: readonly string[]): Started =>
  startBy(['node', 'tools/start.mjs', ...flags], env);
