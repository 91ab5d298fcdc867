// The program's database for a command that needs it for a moment: the private one, or DATABASE_URL.
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { clusterPrograms, dataFolder, startCluster } from './postgres.mjs';
import { must } from './run.mjs';
import { ensureDebian, root } from './setup.mjs';

/**
 * @typedef {object} Database
 * @property {string} url
 * @property {string} name in words, for messages
 * @property {(program: string, args: readonly string[]) => Promise<string>} call runs one of PostgreSQL's programs on it
 */

/** Runs a program of PostgreSQL; the password goes by the environment, where no list of processes shows it. */
const caller = (/** @type {string} */ bin, /** @type {string} */ url) => {
  const open = new URL(url);
  const password = decodeURIComponent(open.password);
  open.password = '';
  return (/** @type {string} */ program, /** @type {readonly string[]} */ args) =>
    must(join(bin, program), [...args, '--dbname', open.href], {
      cwd: '/',
      env: {
        PATH: process.env['PATH'],
        LC_ALL: 'C',
        PGPASSWORD: password,
        PGCONNECT_TIMEOUT: '10',
      },
    });
};

const newestPrograms = () => {
  const versions = '/usr/lib/postgresql';
  const [newest = ''] = readdirSync(versions).toSorted((a, b) => Number(b) - Number(a));
  return join(versions, newest, 'bin');
};

/**
 * Does something with the database, started for it where it is not running.
 * @template T
 * @param {(database: Database) => Promise<T>} work
 * @returns {Promise<T>}
 */
export const withDatabase = async (work) => {
  await ensureDebian(['postgresql']);
  const external = process.env['DATABASE_URL'];
  if (external) {
    const call = caller(newestPrograms(), external);
    return work({ url: external, name: `the database of DATABASE_URL`, call });
  }
  const folder = process.env['FAIR_GABLE_DATA'] ?? dataFolder(root);
  const cluster = await startCluster(folder);
  const call = caller(clusterPrograms(folder), cluster.url);
  try {
    return await work({ url: cluster.url, name: `the database in ${folder}`, call });
  } finally {
    await cluster.stop();
  }
};
