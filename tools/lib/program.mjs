// What the server itself can do, for a command that needs it on the database.
import { build } from './build.mjs';
import { withDatabase } from './database.mjs';
import { ensurePackages } from './setup.mjs';

/**
 * Does something with the program's own code on its database, which is brought up to date first.
 * @template T
 * @param {(server: typeof import('../../server/dist/index.js'), source: import('typeorm').DataSource) => Promise<T>} work
 * @returns {Promise<T>}
 */
export const withProgram = async (work) => {
  await ensurePackages();
  await build();
  const server = await import('../../server/dist/index.js');
  return withDatabase(async ({ url }) => {
    const source = await server.openDatabase(url);
    try {
      return await work(server, source);
    } finally {
      await source.destroy();
    }
  });
};

/** Where a one-time link is opened. @param {typeof import('../../server/dist/index.js')} server @param {string} token */
export const linkTo = (server, token) => {
  const { host, port, publicUrl } = server.networkFrom(process.env);
  return `${publicUrl ?? `http://${host}:${port}`}/password#${token}`;
};
