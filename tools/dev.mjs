// `npm run dev`: the demo yard with hot reload of web and server, for those who carry on.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { dataFolder, freePort, startCluster } from './lib/postgres.mjs';
import { checkNode, must } from './lib/run.mjs';
import { ensureDebian, ensurePackages, root } from './lib/setup.mjs';
import { sentenceFor, step } from './lib/steps.mjs';

const webPort = process.env['PORT'] || '4780';
const bin = (/** @type {string} */ name) => join(root, 'node_modules/.bin', name);

/** @type {import('node:child_process').ChildProcess[]} */
const children = [];
/** @type {() => Promise<void>} */
let stopDatabase = async () => {};
let stopping = false;

const stop = async (/** @type {number} */ code) => {
  if (stopping) return;
  stopping = true;
  for (const child of children) child.kill('SIGTERM');
  await stopDatabase();
  process.exit(code);
};

/** Runs beside us until one of us stops. @param {string} command @param {readonly string[]} args @param {string} cwd @param {NodeJS.ProcessEnv} env */
const beside = (command, args, cwd, env) => {
  const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio: 'inherit' });
  child.on('exit', (code) => void stop(code ?? 1));
  children.push(child);
};

const main = async () => {
  checkNode();
  process.on('SIGINT', () => void stop(0));
  process.on('SIGTERM', () => void stop(0));
  await step('Debian packages', () => ensureDebian(['postgresql']));
  await step('npm packages', ensurePackages);
  // What runs in threads runs as it is compiled; whoever changes it starts again.
  await step('threads', () => must(bin('tsc'), ['-b', 'core', 'server'], { cwd: root }));
  let databaseUrl = process.env['DATABASE_URL'];
  if (!databaseUrl) {
    const folder = process.env['FAIR_GABLE_DATA'] ?? dataFolder(root);
    const cluster = await step('PostgreSQL', () => startCluster(folder));
    databaseUrl = cluster.url;
    stopDatabase = cluster.stop;
  }
  // Only Vite asks it, so any free port will do; the next number may be taken, and `tsx watch` would wait in silence.
  const apiPort = String(await freePort());
  const source = ['--conditions=@fair-gable/source', '--tsconfig', 'server/tsconfig.json'];
  beside(bin('tsx'), ['watch', '--clear-screen=false', ...source, 'tools/dev-server.ts'], root, {
    DATABASE_URL: databaseUrl,
    PORT: apiPort,
  });
  const vite = ['--host', '127.0.0.1', '--port', webPort, '--strictPort'];
  beside(bin('vite'), vite, join(root, 'web'), { API: `http://127.0.0.1:${apiPort}` });
};

main().catch(async (error) => {
  process.stderr.write(`\n${sentenceFor(error, { port: webPort })}\n`);
  await stop(1);
});
