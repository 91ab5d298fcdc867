// Puts the compiled server and core into a few files: a start opens four hundred less.
import { join } from 'node:path';
import { root } from './setup.mjs';

const dist = join(root, 'server/dist');

/** What is started by its own file name stays a file of its own. */
const input = {
  index: join(dist, 'index.js'),
  'picture-thread': join(dist, 'picture/picture-thread.js'),
  'read-thread': join(dist, 'stock-list/read-thread.js'),
  'unpack-thread': join(dist, 'unit-file/unpack-thread.js'),
};

/** Our own code goes in; libraries are loaded from where npm put them. @param {string} id */
const isLibrary = (id) => !/^[./]|^@fair-gable\//.test(id);

/** Writes `server/dist/program`. @returns {Promise<void>} */
export const bundle = async () => {
  // Here, for nothing else that is run on a fresh machine has packages yet.
  const { rolldown } = await import('rolldown');
  const bundled = await rolldown({ input, platform: 'node', external: isLibrary });
  await bundled.write({
    dir: join(dist, 'program'),
    format: 'esm',
    chunkFileNames: 'part-[name].js',
  });
  await bundled.close();
};
