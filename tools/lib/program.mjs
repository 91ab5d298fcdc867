// What the server itself can do, for a command that needs it on the database.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { withDatabase } from './database.mjs';
import { dataFolder } from './postgres.mjs';
import { ensurePackages, root } from './setup.mjs';

/**
 * Does something with the program's own code on its database, which is brought up to date first.
 * @template T
 * @param {(server: typeof import('../../server/dist/program/index.js'), source: import('typeorm').DataSource) => Promise<T>} work
 * @returns {Promise<T>}
 */
export const withProgram = async (work) => {
  await ensurePackages();
  await build();
  const server = await import('../../server/dist/program/index.js');
  return withDatabase(async ({ url }) => {
    const source = await server.openDatabase(url);
    try {
      return await work(server, source);
    } finally {
      await source.destroy();
    }
  });
};

/** Where the running program notes how it is reached. */
const addressFile = () =>
  join(process.env['FAIR_GABLE_DATA'] ?? dataFolder(root), 'fair-gable-address');

/** Notes the address of the running program, for the commands that print links to it. @param {string} address */
export const noteAddress = (address) => {
  const file = addressFile();
  mkdirSync(join(file, '..'), { recursive: true });
  writeFileSync(file, address);
};

/** It is not reached any more. */
export const forgetAddress = () => rmSync(addressFile(), { force: true });

const runningAt = () => {
  try {
    return readFileSync(addressFile(), 'utf8').trim() || undefined;
  } catch {
    return undefined;
  }
};

/**
 * Where a one-time link is opened: at the program that runs, else where this environment would have it run.
 * @param {typeof import('../../server/dist/program/index.js')} server @param {string} token
 */
export const linkTo = (server, token) => {
  const { host, port, publicUrl } = server.networkFrom(process.env);
  const address = publicUrl ?? runningAt() ?? `http://${host}:${port}`;
  return `${address}/password#${token}`;
};
