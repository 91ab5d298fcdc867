// A server process of its own for a test that kills it. DATABASE_URL and PORT come by the environment.
import { fileURLToPath } from 'node:url';
import { networkFrom, serve } from '../../server/dist/program/index.js';

const demo = fileURLToPath(new URL('../../demo', import.meta.url));

await serve({
  databaseUrl: process.env['DATABASE_URL'] ?? '',
  network: networkFrom({ PORT: process.env['PORT'] }),
  webRoot: demo,
  demoFolder: demo,
  signInsPerMinute: 1_000_000,
});
process.stdout.write('listening\n');
