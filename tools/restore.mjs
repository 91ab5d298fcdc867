// `npm run restore -- file [--yes]`: puts a backup in the place of what is there, whole or not at all.
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { checked, isSealed, unseal } from './lib/sealed.mjs';
import { clusterPrograms, dataFolder } from './lib/postgres.mjs';
import { withDatabase } from './lib/database.mjs';
import { checkNode, run } from './lib/run.mjs';
import { ensureDebian, root } from './lib/setup.mjs';
import { Failure, sentenceFor, step } from './lib/steps.mjs';

/** @typedef {import('./lib/database.mjs').Database} Database */

const args = process.argv.slice(2);

const askedFile = () => {
  const [given, ...more] = args.filter((arg) => arg !== '--yes');
  if (!given || more.length)
    throw new Failure('Say which backup: npm run restore -- backups/….dump');
  const file = resolve(process.env['INIT_CWD'] ?? process.cwd(), given);
  if (!existsSync(file)) throw new Failure(`There is no file ${file}.`);
  return file;
};

/** The backup as SQL, in a folder of its own; a file that is none is refused. @param {string} file @param {string} folder */
const asSql = async (file, folder) => {
  const bin = clusterPrograms(process.env['FAIR_GABLE_DATA'] ?? dataFolder(root));
  const sql = join(folder, 'backup.sql');
  const dump = isSealed(file) ? join(folder, 'backup.dump') : file;
  if (dump !== file) await unseal(file, dump, checked(process.env['FAIR_GABLE_PASSPHRASE']));
  const options = ['--no-owner', '--no-privileges', '--file', sql, dump];
  const { code } = await run(join(bin, 'pg_restore'), options, { cwd: '/' });
  if (code !== 0) throw new Failure(`${file} is not a backup that this PostgreSQL can read.`);
  return sql;
};

const confirm = async (/** @type {string} */ name) => {
  if (args.includes('--yes')) return;
  if (!process.stdin.isTTY) {
    throw new Failure(
      'Restoring replaces everything that is recorded. Add --yes to do it without asking.',
    );
  }
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(
    `Replace everything in ${name} by the backup? Type “replace”: `,
  );
  ask.close();
  if (answer.trim() !== 'replace') throw new Failure('Nothing was changed.');
};

/** @param {Database} database */
const refuseWhileRunning = async ({ call }) => {
  const others = `SELECT count(*) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()`;
  if ((await call('psql', ['-tAqc', others])).trim() !== '0') {
    throw new Failure('The program is running on this database. Stop it, then restore again.');
  }
};

/** What let somebody in when the backup was made lets nobody in again: sessions, links, and what counts tries. */
const forgotten = [
  'session',
  'password_link',
  'invitation',
  'sign_in_try',
  'known_device',
  'screen',
];
const forget = `DO $$ DECLARE gone text; BEGIN
  FOREACH gone IN ARRAY ARRAY[${forgotten.map((name) => `'${name}'`).join(', ')}] LOOP
    IF to_regclass('public.' || gone) IS NOT NULL THEN EXECUTE format('DELETE FROM %I', gone); END IF;
  END LOOP; END $$`;

const replace = (/** @type {Database} */ { call }, /** @type {string} */ sql) =>
  call('psql', [
    '--quiet',
    '--no-psqlrc',
    '--single-transaction',
    '--set=ON_ERROR_STOP=1',
    '--command=SET client_min_messages = warning; DROP SCHEMA public CASCADE; CREATE SCHEMA public',
    `--file=${sql}`,
    '--command=SET search_path = public',
    `--command=${forget}`,
  ]);

const main = async () => {
  checkNode();
  const file = askedFile();
  await ensureDebian(['postgresql']);
  const folder = mkdtempSync(join(tmpdir(), 'fair-gable-restore-'));
  try {
    const sql = await asSql(file, folder);
    await withDatabase(async (database) => {
      await refuseWhileRunning(database);
      await confirm(database.name);
      await step('restoring', () => replace(database, sql));
      const units = await database.call('psql', ['-tAqc', 'SELECT count(*) FROM unit']);
      process.stdout.write(
        `\n${units.trim()} units are back. Everybody signs in anew; invitations and password links are made again. Start with: npm start\n`,
      );
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
