import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startCluster } from '../tools/lib/postgres.mjs';

/** Whoever wants some of them alone names them by a pattern. */
const only = new RegExp(process.env['ATTACK_GUARDS'] ?? '');
const root = fileURLToPath(new URL('..', import.meta.url));

/** A guard of a yard taken out of the code. */
interface Opened {
  readonly what: string;
  readonly file: string;
  readonly text: string;
}

const filesUnder = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith('.ts'))
    .map((entry) => join(entry.parentPath, entry.name));

/** Statements of our own that name the yard, one at a time: any yard will do. */
const openedStatements = (source: string): readonly Opened[] =>
  filesUnder(source)
    .filter((file) => !file.includes('/migrations/'))
    .flatMap((file) => {
      const text = readFileSync(file, 'utf8');
      return [...text.matchAll(/yard_id = \$(\d)/g)].map((found) => {
        const line = text.slice(0, found.index).split('\n').length;
        const open = `yard_id = yard_id AND $${found[1]}::uuid IS NOT NULL`;
        return {
          what: `${file.slice(source.length + 1)}:${line}`,
          file,
          text: text.slice(0, found.index) + open + text.slice(found.index + found[0].length),
        };
      });
    });

/** Rows of people and their yards, which have no room of their own to be reached by. */
const openedRows = (source: string): readonly Opened[] =>
  filesUnder(source).flatMap((file) => {
    const text = readFileSync(file, 'utf8');
    const calls =
      /(?:findOneBy|findBy|existsBy|countBy|delete|update)\(\s*\w+,\s*\{ (yardId(?:: [\w.]+)?), /g;
    return [...text.matchAll(calls)].map((found) => {
      const at = found.index + found[0].lastIndexOf('yardId');
      const line = text.slice(0, at).split('\n').length;
      const rest = text.slice(at).replace(/^yardId(?:: [\w.]+)?, /, '');
      return {
        what: `${file.slice(source.length + 1)}:${line}`,
        file,
        text: text.slice(0, at) + rest,
      };
    });
  });

/** Tables reached by `inYard`, one at a time: its condition is left away for that one. */
const openedTables = (source: string): readonly Opened[] => {
  const used = new Set(
    filesUnder(source).flatMap((file) =>
      [
        ...readFileSync(file, 'utf8').matchAll(
          /\b(?:yard|within)\.(?:find|findOne|lockOne|update|remove)\(\s*([A-Z]\w+),/g,
        ),
      ].map(([, table]) => table as string),
    ),
  );
  const file = join(source, 'base/database/in-yard.ts');
  const text = readFileSync(file, 'utf8');
  return [...used].toSorted().map((table) => ({
    what: `inYard, ${table}`,
    file,
    text: text.replaceAll(
      /\{ \.\.\.where, yardId \}/g,
      `((entity as unknown as { name: string }).name === '${table}' ? { ...where } : { ...where, yardId })`,
    ),
  }));
};

/** Which tests hold yards apart: of their things one, of people and streams those of people. */
const testsFor = (what: string): string =>
  /^(?:base\/(?:access|live)|yard\/people)\//.test(what)
    ? 'yards|roles|invitations|live|names|accounts'
    : 'server/test/yards';

/** Whether the tests that hold yards apart find it out. */
const isFound = (ground: string, postgres: string, what: string): boolean => {
  const tests = ['--testPathPatterns', testsFor(what)];
  const args = ['jest', '--forceExit', '--selectProjects', 'server', ...tests];
  const env = {
    ...process.env,
    TEST_POSTGRES: postgres,
    NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
  };
  return spawnSync('npx', args, { cwd: ground, env, stdio: 'ignore' }).status !== 0;
};

/**
 * Takes each guard of a yard out, one after the other, and runs the test that holds yards apart: it must fail each time.
 * @returns the guards that nobody would miss
 */
export const attackGuards = async (): Promise<readonly string[]> => {
  const folder = mkdtempSync('/var/tmp/fair-gable-guards-');
  chmodSync(folder, 0o755);
  const ground = join(folder, 'checkout');
  for (const part of [
    'server',
    'core',
    'demo',
    'jest.config.js',
    'package.json',
    'web/test',
    'tools/test',
  ]) {
    cpSync(join(root, part), join(ground, part), { recursive: true });
  }
  symlinkSync(join(root, 'node_modules'), join(ground, 'node_modules'));
  const cluster = await startCluster(folder, { throwAway: true });
  const missed: string[] = [];
  try {
    if (isFound(ground, cluster.urlOf('postgres'), ''))
      return ['the test fails before anything is opened'];
    const source = join(ground, 'server/src');
    const all = [...openedTables(source), ...openedStatements(source), ...openedRows(source)];
    for (const { what, file, text } of all.filter((opened) => only.test(opened.what))) {
      const before = readFileSync(file, 'utf8');
      writeFileSync(file, text);
      const found = isFound(ground, cluster.urlOf('postgres'), what);
      writeFileSync(file, before);
      console.log(`  ${found ? 'found' : 'NOT FOUND'}: ${what}`);
      if (!found) missed.push(what);
    }
    return missed;
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
};
