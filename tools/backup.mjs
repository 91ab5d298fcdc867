// `npm run backup [-- file]`: the whole database into one file, also while the program runs.
import { existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { withDatabase } from './lib/database.mjs';
import { checkNode } from './lib/run.mjs';
import { root } from './lib/setup.mjs';
import { Failure, sentenceFor, step } from './lib/steps.mjs';

const stamp = () => new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');

const fileName = () => {
  const given = process.argv[2];
  const file = given
    ? resolve(process.env['INIT_CWD'] ?? process.cwd(), given)
    : join(root, 'backups', `fair-gable-${stamp()}.dump`);
  if (existsSync(file)) throw new Failure(`${file} is there already. Give another name.`);
  return file;
};

const main = async () => {
  checkNode();
  const file = fileName();
  mkdirSync(dirname(file), { recursive: true });
  // Under another name until it is whole, so that half a backup is never taken for one.
  const unfinished = `${file}.unfinished`;
  await step('backup', () =>
    withDatabase(async ({ name, call }) => {
      try {
        await call('pg_dump', [
          '--format=custom',
          '--no-owner',
          '--no-privileges',
          '--file',
          unfinished,
        ]);
        renameSync(unfinished, file);
      } finally {
        rmSync(unfinished, { force: true });
      }
      return `of ${name}, ${Math.ceil(statSync(file).size / 1024)} kB`;
    }),
  );
  process.stdout.write(
    `\n${file}\n\nIt holds names, addresses and password hashes: keep it where only you can read it.\n`,
  );
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
