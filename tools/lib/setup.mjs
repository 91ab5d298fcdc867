// What a fresh machine lacks: Debian's packages and the project's own.
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { oneAtATime } from './claims.mjs';
import { hasCommand, must, run } from './run.mjs';
import { Failure } from './steps.mjs';

/** The checkout's own folder. */
export const root = new URL('../..', import.meta.url).pathname.replace(/\/$/, '');

/** Debian's Chromium without a window: the same engine, with a third less to do. */
export const browser = '/usr/bin/chromium-headless-shell';

const postgresFolder = '/usr/lib/postgresql';

/** Debian packages this project uses, and how one tells that they are there. */
const debian = {
  postgresql: () =>
    existsSync(postgresFolder) &&
    readdirSync(postgresFolder).some((v) => existsSync(join(postgresFolder, v, 'bin', 'initdb'))),
  'chromium-headless-shell': () => existsSync(browser),
};

const aptEnvironment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };

/** The way in which this user may install packages; undefined when there is none. */
const privilege = async () => {
  if (process.getuid?.() === 0) return [];
  const mayBecomeRoot =
    (await hasCommand('sudo')) && (await run('sudo', ['-n', 'true'])).code === 0;
  return mayBecomeRoot ? ['sudo', '-n'] : undefined;
};

/**
 * Installs those Debian packages that are missing, or says how to.
 * @param {readonly (keyof typeof debian)[]} names
 * @returns {Promise<string>} what was done
 */
export const ensureDebian = async (names) => {
  const missing = names.filter((name) => !debian[name]());
  if (missing.length === 0) return 'there';
  const before = await privilege();
  const install = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (!before || !(await hasCommand('apt-get'))) {
    throw new Failure(
      `Missing from this machine: ${missing.join(', ')}. Run this once, then start again:\n\n    sudo ${install}\n`,
    );
  }
  const [command = 'apt-get', ...args] = [...before, 'apt-get'];
  const options = { env: aptEnvironment };
  await must(command, [...args, 'update', '-qq'], options);
  await must(
    command,
    [...args, 'install', '-y', '-qq', '--no-install-recommends', ...missing],
    options,
  );
  return `installed ${missing.join(', ')}`;
};

/** @param {string} path */
const changedAt = (path) => (existsSync(path) ? statSync(path).mtimeMs : -Infinity);

/**
 * Installs the project's packages when the lockfile is newer than what is installed.
 * @returns {Promise<string>} what was done
 */
export const ensurePackages = () => oneAtATime(root, packagesAlone);

const packagesAlone = async () => {
  const installed = changedAt(join(root, 'node_modules', '.package-lock.json'));
  if (installed >= changedAt(join(root, 'package-lock.json'))) return 'there';
  await must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root });
  return 'installed';
};
