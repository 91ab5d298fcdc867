// Puts the compiled server and core into a few files: a start opens four hundred less.
import { readdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { root } from './setup.mjs';

const dist = join(root, 'server/dist');

/** The server, and each thread, which is started by the name of its file. @returns {Record<string, string>} */
const entries = () => {
  const threads = readdirSync(dist, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('-thread.js') && !file.startsWith('program/'))
    .map((file) => [basename(file, '.js'), join(dist, file)]);
  return { index: join(dist, 'index.js'), ...Object.fromEntries(threads) };
};

/** Our own code goes in; libraries are loaded from where npm put them. @param {string} id */
const isLibrary = (id) => !/^[./]|^@fair-gable\//.test(id);

/** Writes `server/dist/program`. @returns {Promise<void>} */
export const bundle = async () => {
  // Here, for nothing else that is run on a fresh machine has packages yet.
  const { rolldown } = await import('rolldown');
  const bundled = await rolldown({ input: entries(), platform: 'node', external: isLibrary });
  await bundled.write({
    dir: join(dist, 'program'),
    format: 'esm',
    chunkFileNames: 'part-[name].js',
  });
  await bundled.close();
};
