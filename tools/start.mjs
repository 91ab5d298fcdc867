// `npm start`: everything a fresh machine needs, then the application with its demo yard.
// Written with Node's own modules, for it runs before any package is there.
import { createInterface } from 'node:readline/promises';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { dataFolder, removeCluster, startCluster } from './lib/postgres.mjs';
import { forgetAddress, noteAddress } from './lib/program.mjs';
import { checkNode, endRunning } from './lib/run.mjs';
import { ensureDebian, ensurePackages, root } from './lib/setup.mjs';
import { Failure, sentenceFor, step, stepPrinter } from './lib/steps.mjs';

const known = new Set(['--fresh', '--empty', '--yes']);
const flags = new Set(process.argv.slice(2));
const external = process.env['DATABASE_URL'];

const checkCall = () => {
  const strange = [...flags].find((flag) => !known.has(flag));
  if (strange)
    throw new Failure(`“${strange}” is not known. There are --fresh, --empty and --yes.`);
  if (external && flags.has('--fresh')) {
    throw new Failure(
      '--fresh only clears the private database. Clear the one of DATABASE_URL yourself.',
    );
  }
};

/** Clears the private database, once somebody says so. */
const clear = async (/** @type {string} */ folder) => {
  if (!flags.has('--yes')) {
    if (!process.stdin.isTTY) {
      throw new Failure(
        '--fresh deletes everything recorded here. Add --yes to do it without asking.',
      );
    }
    const ask = createInterface({ input: process.stdin, output: process.stdout });
    const answer = await ask.question(`Delete everything recorded in ${folder}? Type “delete”: `);
    ask.close();
    if (answer.trim() !== 'delete') throw new Failure('Nothing was deleted.');
  }
  await step('clearing the private database', () => removeCluster(folder));
};

/** @type {(() => Promise<void>)[]} what to stop, last started first */
const toStop = [];
let stopping = false;

/** Each is stopped, also where another could not be. */
const stopAll = async () => {
  /** @type {unknown[]} */
  const problems = [];
  for (const stop of toStop.splice(0).toReversed()) {
    await stop().catch((/** @type {unknown} */ problem) => problems.push(problem));
  }
  if (problems.length > 0) throw problems[0];
};

/** @param {unknown} error */
const say = (error) =>
  process.stderr.write(`\n${sentenceFor(error, { port: process.env['PORT'] || '4780' })}\n`);

const onSignal = async () => {
  if (stopping) return;
  stopping = true;
  process.stdout.write('\n');
  endRunning();
  try {
    await step('stopping', stopAll);
    process.exit(0);
  } catch (error) {
    say(error);
    process.exit(1);
  }
};

/** Nothing more is begun once we are stopped: whoever stops us ends the process. @template T @param {Promise<T>} work @returns {Promise<T>} */
const onward = async (work) => {
  const result = await work;
  return stopping ? new Promise(() => {}) : result;
};

/** What is being started is stopped too, once it has come to its end. @param {Promise<{ stop: () => Promise<void> }>} starting */
const stopLater = (starting) =>
  toStop.push(async () => (await starting.catch(() => undefined))?.stop());

/**
 * npm passes a signal on to the shell it started us in, which ends without telling us; so where npm
 * started us, the loss of that parent stops us as well.
 */
const stopWithParent = () => {
  if (!process.env['npm_lifecycle_event']) return;
  const parent = process.ppid;
  setInterval(() => void (process.ppid !== parent && onSignal()), 300).unref();
};

const startDatabase = async () => {
  if (external) return { url: external, isShared: false };
  const folder = process.env['FAIR_GABLE_DATA'] ?? dataFolder(root);
  if (flags.has('--fresh')) await clear(folder);
  const starting = startCluster(folder);
  stopLater(starting);
  return step('PostgreSQL', () => starting);
};

/** @param {import('../server/src/index.ts').Serving} serving @param {readonly {name: string, email: string, role: string, password: string}[]} people */
const greet = ({ address, token, demo }, people) => {
  const lines = [`\nFair Gable is at ${address}\n`];
  if (token) lines.push(`Make the first account there with this one-time token: ${token}\n`);
  if (demo) {
    lines.push('Demo sign-ins:');
    for (const p of people) lines.push(`  ${p.email}  ${p.password}  (${p.name}, ${p.role})`);
  }
  lines.push('', 'Stop with Ctrl-C.', '');
  process.stdout.write(lines.join('\n'));
};

const main = async () => {
  checkNode();
  checkCall();
  process.on('SIGINT', onSignal);
  process.on('SIGTERM', onSignal);
  stopWithParent();
  process.stdout.write('Fair Gable\n');
  if (!external) await onward(step('Debian packages', () => ensureDebian(['postgresql'])));
  await onward(step('npm packages', ensurePackages));
  await onward(step('program', () => build()));
  const { networkFrom, serve, readDemoYard } = await import('../server/dist/program/index.js');
  const network = networkFrom(process.env);
  const database = await onward(startDatabase());
  const demoFolder = join(root, 'demo');
  const { people } = await readDemoYard(demoFolder);
  const opening = serve({
    databaseUrl: database.url,
    network,
    webRoot: join(root, 'web/dist'),
    ...(flags.has('--empty') ? {} : { demoFolder }),
    onStep: stepPrinter(),
  });
  stopLater(opening);
  const serving = await onward(opening);
  // Links are printed for the one that was there first.
  if (!database.isShared) {
    noteAddress(serving.address);
    toStop.push(async () => forgetAddress());
  }
  greet(serving, people);
};

main().catch(async (error) => {
  // What was ended because we are stopped has nothing to say.
  if (stopping) return;
  say(error);
  await stopAll().catch(() => {});
  process.exit(1);
});
