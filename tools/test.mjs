// `npm test`: sets itself up on a fresh machine, then runs every suite on a throw-away cluster.
// Last line: “N passed, N failed” over all suites. `npm test -- core server` runs some of them.
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { startCluster } from './lib/postgres.mjs';
import { checkNode, run } from './lib/run.mjs';
import { ensureDebian, ensurePackages, root } from './lib/setup.mjs';
import { Failure, sentenceFor, step } from './lib/steps.mjs';

/** @typedef {{ passed: number, failed: number }} Count */
/** @typedef {{ cluster?: import('./lib/postgres.mjs').Cluster, folder: string, workers: number }} Ground */

const bin = (/** @type {string} */ name) => join(root, 'node_modules/.bin', name);

/** Runs a program and shows what it printed once it has ended: two that run side by side are read one after the other. @param {string} command @param {readonly string[]} args @param {NodeJS.ProcessEnv} [env] */
const shown = async (command, args, env = {}) => {
  const { code, output } = await run(command, args, {
    cwd: root,
    env: { ...process.env, ...env },
  });
  process.stdout.write(output);
  return code;
};

/** A suite that is one check: it passes or fails as a whole. @param {readonly (readonly [string, ...string[]])[]} commands */
const oneCheck = (commands) => async () => {
  /** @type {Count} */
  let count = { passed: 0, failed: 0 };
  for (const [name, ...args] of commands) {
    const isGood = (await shown(bin(name), args)) === 0;
    count = { passed: count.passed + Number(isGood), failed: count.failed + Number(!isGood) };
  }
  return count;
};

/** @param {string} file */
const readReport = (file) =>
  existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;

/** A Jest project. A run that left no report, or ran no test, is a failure. @param {string} project */
const jest =
  (project) =>
  async (/** @type {Ground} */ { cluster, folder, workers }) => {
    const file = join(folder, `${project}.json`);
    // A test that failed may have left something running; it does not hold up the others.
    const args = ['--selectProjects', project, '--forceExit', '--json', '--outputFile', file];
    // Each file of the server's has a database of its own, each of the tools' a folder and ports. Those of the tools start and kill
    // whole servers, and have the machine to themselves: beside other lanes both took twice as long.
    const atOnce = `--maxWorkers=${workers}`;
    await shown(bin('jest'), [...args, atOnce], {
      NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
      TEST_POSTGRES: cluster?.urlOf('postgres') ?? '',
    });
    const report = readReport(file);
    const passed = report?.numPassedTests ?? 0;
    const broken = report?.numRuntimeErrorTestSuites ?? 0;
    const failed = (report?.numFailedTests ?? 0) + broken;
    return { passed, failed: passed + failed === 0 ? 1 : failed };
  };

const playwright = async (/** @type {Ground} */ { cluster, folder }) => {
  const file = join(folder, 'e2e.json');
  await shown(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts'], {
    TEST_POSTGRES: cluster?.urlOf('postgres') ?? '',
    PLAYWRIGHT_JSON_OUTPUT_FILE: file,
  });
  const stats = readReport(file)?.stats;
  const passed = stats?.expected ?? 0;
  // A test that only passes on a second try is not a passing test.
  const failed = (stats?.unexpected ?? 0) + (stats?.flaky ?? 0);
  return { passed, failed: passed + failed === 0 ? 1 : failed };
};

/** @type {Record<string, (ground: Ground) => Promise<Count>>} */
const suites = {
  build: async () => {
    await step('building', () => build());
    return { passed: 1, failed: 0 };
  },
  format: oneCheck([['prettier', '--check', '--log-level', 'warn', '.']]),
  lint: oneCheck([['eslint', '.', '--max-warnings', '0']]),
  types: oneCheck([
    ['tsc', '-b', 'core', 'server'],
    ['tsc', '-p', 'tsconfig.tools.json'],
    ['vue-tsc', '--noEmit', '-p', 'web/tsconfig.json'],
  ]),
  boundaries: oneCheck([
    [
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'core/src',
      'server/src',
      'web/src',
    ],
  ]),
  core: jest('core'),
  web: jest('web'),
  server: jest('server'),
  tools: jest('tools'),
  e2e: playwright,
};

/**
 * In this order. What stands in two lanes runs side by side.
 * @type {readonly (readonly (readonly string[])[])[]}
 */
const stages = [
  [['build']],
  [['tools']],
  [
    ['format', 'lint', 'types', 'boundaries'],
    ['core', 'web'],
  ],
  [['server']],
  [['e2e']],
];

const needsPostgres = ['server', 'tools', 'e2e'];
// What runs in threads of its own runs as it is compiled.
const needsBuild = ['server', 'tools', 'e2e'];

const chosenSuites = () => {
  const asked = process.argv.slice(2);
  const strange = asked.find((name) => !(name in suites));
  if (strange)
    throw new Failure(
      `There is no suite “${strange}”. There are: ${Object.keys(suites).join(', ')}.`,
    );
  return asked.length ? asked : Object.keys(suites);
};

const throwAwayFolder = () => {
  const folder = mkdtempSync('/var/tmp/fair-gable-test-');
  chmodSync(folder, 0o755);
  return folder;
};

/** @param {string} name @param {Ground} ground @returns {Promise<Count>} */
const runSuite = async (name, ground) => {
  const began = performance.now();
  const count = await (suites[name]?.(ground) ?? { passed: 0, failed: 1 });
  const seconds = ((performance.now() - began) / 1000).toFixed(1);
  process.stdout.write(`── ${name}: ${count.passed} good, ${count.failed} bad, ${seconds} s\n\n`);
  return count;
};

/** @param {readonly Count[]} counts @returns {Count} */
const sum = (counts) =>
  counts.reduce((a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed }), {
    passed: 0,
    failed: 0,
  });

/** @param {readonly string[]} lane @param {Ground} ground @returns {Promise<Count>} */
const runLane = async (lane, ground) => {
  /** @type {Count[]} */
  const counts = [];
  for (const name of lane) counts.push(await runSuite(name, ground));
  return sum(counts);
};

/** @param {readonly string[]} chosen @param {Omit<Ground, 'workers'>} ground @returns {Promise<Count>} */
const runStages = async (chosen, ground) => {
  /** @type {Count[]} */
  const counts = [];
  for (const stage of stages) {
    const lanes = stage
      .map((lane) => lane.filter((name) => chosen.includes(name)))
      .filter((lane) => lane.length > 0);
    const workers = lanes.length > 1 ? 1 : 2;
    counts.push(...(await Promise.all(lanes.map((lane) => runLane(lane, { ...ground, workers })))));
  }
  return sum(counts);
};

const main = async () => {
  checkNode();
  const chosen = chosenSuites();
  const wants = (/** @type {readonly string[]} */ names) =>
    chosen.some((name) => names.includes(name));
  if (wants(needsPostgres)) await step('Debian packages', () => ensureDebian(['postgresql']));
  if (wants(['e2e'])) await step('browser', () => ensureDebian(['chromium-headless-shell']));
  await step('npm packages', ensurePackages);
  if (wants(needsBuild) && !chosen.includes('build')) await step('program', () => build());
  const folder = throwAwayFolder();
  /** @type {Omit<Ground, 'workers'>} */
  const ground = { folder };
  try {
    if (wants(needsPostgres)) {
      ground.cluster = await step('throw-away PostgreSQL', () =>
        startCluster(folder, { throwAway: true }),
      );
    }
    const { passed, failed } = await runStages(chosen, ground);
    process.stdout.write(`${passed} passed, ${failed} failed\n`);
    process.exitCode = failed > 0 ? 1 : 0;
  } finally {
    await ground.cluster?.stop();
    rmSync(folder, { recursive: true, force: true });
  }
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.stdout.write('\n0 passed, 1 failed\n');
  process.exit(1);
});
