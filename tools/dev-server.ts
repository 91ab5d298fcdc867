// The server straight from its sources, for `npm run dev`; started anew whenever one of them changes.
import { fileURLToPath } from 'node:url';
import { networkFrom, serve } from '../server/src/index.ts';

const demoFolder = fileURLToPath(new URL('../demo', import.meta.url));

const serving = await serve({
  databaseUrl: process.env['DATABASE_URL'] ?? '',
  network: networkFrom({ PORT: process.env['PORT'] }),
  // Vite serves the interface; the API alone is asked here.
  webRoot: fileURLToPath(new URL('../web/public', import.meta.url)),
  demoFolder,
  signInsPerMinute: 1000,
});
console.log(`server … listening at ${serving.address}`);
process.on('SIGTERM', () => void serving.stop().then(() => process.exit(0)));
