import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { startCluster } from '../tools/lib/postgres.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));

/** The tests that break each promise of docs/security.md on purpose, against the real server, database and browser. */
const suites: readonly {
  readonly what: string;
  readonly project: 'core' | 'server' | 'tools';
  readonly files: string;
}[] = [
  {
    what: 'patterns and files of 100,000 hostile characters',
    project: 'core',
    files: 'hostile|strange',
  },
  { what: 'what leaves by the buyer’s screen', project: 'core', files: 'core/test/screen' },
  {
    what: 'roles, yards, sessions, links, invitations, names',
    project: 'server',
    files: 'roles|security|people|accounts|invitations|names|network',
  },
  {
    what: 'lists, zips and long work beside others; a frozen database',
    project: 'server',
    files: 'server/test/hold',
  },
  {
    what: 'sent twice, sent otherwise, by file',
    project: 'server',
    files: 'sent-once|unit-file|walk|after-the-walk|live',
  },
  {
    what: 'kills, full disks, backups, two starts',
    project: 'tools',
    files: 'faults|commands|start',
  },
];

const run = async (command: string, args: readonly string[], env: NodeJS.ProcessEnv) => {
  const child = spawn(command, args, { cwd: root, env, stdio: ['ignore', 'inherit', 'inherit'] });
  const [code] = await once(child, 'exit');
  return code === 0;
};

/** Runs them on a cluster that is thrown away; and what a browser keeps after each way of signing out. */
export const attackPromises = async (): Promise<readonly string[]> => {
  const folder = mkdtempSync('/var/tmp/fair-gable-attack-');
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder, { throwAway: true });
  const env = {
    ...process.env,
    TEST_POSTGRES: cluster.urlOf('postgres'),
    NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
  };
  const failures: string[] = [];
  for (const { what, project, files } of suites) {
    const args = ['jest', '--forceExit', '--runInBand', '--selectProjects', project];
    const isHeld = await run('npx', [...args, '--testPathPatterns', files], env);
    if (!isHeld) failures.push(what);
  }
  const browser = ['playwright', 'test', '--config', 'e2e/playwright.config.ts', 'left-behind'];
  if (!(await run('npx', browser, { ...env, NODE_OPTIONS: '' }))) failures.push('left behind');
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
  return failures;
};
