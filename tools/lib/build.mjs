// Builds core, server and web when their sources changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { bundle } from './bundle.mjs';
import { checkFirstLoad } from './first-load.mjs';
import { oneAtATime } from './claims.mjs';
import { must } from './run.mjs';
import { root } from './setup.mjs';

const sources = [
  'package-lock.json',
  'tsconfig.base.json',
  ...['core', 'server', 'web'].flatMap((name) => [
    `${name}/src`,
    `${name}/package.json`,
    `${name}/tsconfig.json`,
  ]),
  'web/index.html',
  'web/public',
  'web/vite',
  'web/vite.config.ts',
];

const products = [
  'core/dist/base/words/index.js',
  'server/dist/program/index.js',
  'web/dist/index.html',
];
const stamp = join(root, 'web/dist/.built-from');

/** @param {string} path @returns {string[]} */
const filesUnder = (path) => {
  const full = join(root, path);
  if (!existsSync(full)) return [];
  const entries = readdirSync(dirname(full), { withFileTypes: true });
  const isFolder = entries.find((e) => e.name === path.split('/').at(-1))?.isDirectory();
  if (!isFolder) return [path];
  return readdirSync(full)
    .toSorted()
    .flatMap((name) => filesUnder(`${path}/${name}`));
};

const fingerprint = () => {
  const hash = createHash('sha256');
  for (const file of sources.flatMap(filesUnder)) {
    hash.update(`${file}\0`).update(readFileSync(join(root, file)));
  }
  return hash.digest('hex');
};

/**
 * Two at once in one checkout come one after the other: the later finds what the earlier built.
 * @param {{ force?: boolean }} [options]
 * @returns {Promise<string>} what was done
 */
export const build = (options = {}) => oneAtATime(root, () => buildAlone(options));

/** @param {{ force?: boolean }} options @returns {Promise<string>} */
const buildAlone = async ({ force = false }) => {
  const now = fingerprint();
  const isThere = products.every((file) => existsSync(join(root, file)));
  if (!force && isThere && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) {
    return 'up to date';
  }
  const bin = join(root, 'node_modules/.bin');
  await must(join(bin, 'tsc'), ['-b', 'core', 'server'], { cwd: root });
  await bundle();
  // Whatever whoever starts us has set: what is served is what was made to be served.
  const env = { ...process.env, NODE_ENV: 'production' };
  await must(join(bin, 'vite'), ['build', '--logLevel', 'warn'], { cwd: join(root, 'web'), env });
  checkFirstLoad();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
  return 'built';
};
