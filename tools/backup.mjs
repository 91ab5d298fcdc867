// `npm run backup [-- file] [--sealed]`: the whole database into one file, also while the program runs; sealed under the
// passphrase of FAIR_GABLE_PASSPHRASE.
import { chmodSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { withDatabase } from './lib/database.mjs';
import { checkNode } from './lib/run.mjs';
import { checked, seal } from './lib/sealed.mjs';
import { root } from './lib/setup.mjs';
import { Failure, sentenceFor, step } from './lib/steps.mjs';

const args = process.argv.slice(2);
const isSealed = args.includes('--sealed');

const stamp = () => new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');

const fileName = () => {
  const [given] = args.filter((arg) => arg !== '--sealed');
  const file = given
    ? resolve(process.env['INIT_CWD'] ?? process.cwd(), given)
    : join(root, 'backups', `fair-gable-${stamp()}.dump${isSealed ? '.sealed' : ''}`);
  if (existsSync(file)) throw new Failure(`${file} is there already. Give another name.`);
  return file;
};

const main = async () => {
  checkNode();
  const file = fileName();
  const passphrase = isSealed ? checked(process.env['FAIR_GABLE_PASSPHRASE']) : undefined;
  mkdirSync(dirname(file), { recursive: true });
  // Under another name until it is whole, so that half a backup is never taken for one.
  const unfinished = `${file}.unfinished`;
  const open = `${file}.open`;
  // Nobody else reads it, also while it is being written.
  process.umask(0o077);
  await step('backup', () =>
    withDatabase(async ({ name, call }) => {
      try {
        await call('pg_dump', [
          '--format=custom',
          '--no-owner',
          '--no-privileges',
          '--file',
          passphrase ? open : unfinished,
        ]);
        if (passphrase) await seal(open, unfinished, passphrase);
        chmodSync(unfinished, 0o600);
        renameSync(unfinished, file);
      } finally {
        rmSync(unfinished, { force: true });
        rmSync(open, { force: true });
      }
      return `of ${name}, ${Math.ceil(statSync(file).size / 1024)} kB`;
    }),
  );
  process.stdout.write(
    `\n${file}\n\nIt holds names, addresses and password hashes: ${passphrase ? 'it opens with its passphrase alone, so keep that somewhere else' : 'keep it where only you can read it'}.\n`,
  );
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
