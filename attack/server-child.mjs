// The built server in a process of its own, which tells what it has in memory.
import { fileURLToPath } from 'node:url';
import { networkFrom, serve } from '../server/dist/program/index.js';

const here = (/** @type {string} */ path) => fileURLToPath(new URL(path, import.meta.url));
const mb = (/** @type {number} */ bytes) => Math.round(bytes / 1_000_000);
const say = (/** @type {object} */ message) => process.send?.(message);

const serving = await serve({
  databaseUrl: process.argv[2] ?? '',
  network: { ...networkFrom({}), port: 0 },
  webRoot: here('../web/dist'),
  demoFolder: here('../demo'),
  signInsPerMinute: 1_000_000,
});
say({ address: serving.address });
process.on('message', () => {
  globalThis.gc?.();
  globalThis.gc?.();
  const { heapUsed, external, arrayBuffers } = process.memoryUsage();
  say({ heap: mb(heapUsed), outside: mb(external + arrayBuffers) });
});
process.on('SIGTERM', () => void serving.stop().then(() => process.exit(0)));
