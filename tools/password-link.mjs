// `npm run password-link -- name@yard.example`: a one-time link for whoever no manager can help.
import { build } from './lib/build.mjs';
import { withDatabase } from './lib/database.mjs';
import { checkNode } from './lib/run.mjs';
import { ensurePackages } from './lib/setup.mjs';
import { Failure, sentenceFor } from './lib/steps.mjs';

const main = async () => {
  checkNode();
  const [email, ...more] = process.argv.slice(2);
  if (!email || more.length)
    throw new Failure('Say whose: npm run password-link -- name@yard.example');
  await ensurePackages();
  await build();
  const { networkFrom, openDatabase, passwordLink } = await import('../server/dist/index.js');
  const { host, port, publicUrl } = networkFrom(process.env);
  await withDatabase(async ({ url }) => {
    const source = await openDatabase(url);
    try {
      const { token, until } = await passwordLink(source.manager, email);
      const address = publicUrl ?? `http://${host}:${port}`;
      process.stdout.write(`${address}/password#${token}\n\nIt works once, until ${until}.\n`);
    } finally {
      await source.destroy();
    }
  });
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
