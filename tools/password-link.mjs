// `npm run password-link -- name@yard.example`: a one-time link for whoever no manager can help.
import { linkTo, withProgram } from './lib/program.mjs';
import { checkNode } from './lib/run.mjs';
import { Failure, sentenceFor } from './lib/steps.mjs';

const main = async () => {
  checkNode();
  const [email, ...more] = process.argv.slice(2);
  if (!email || more.length)
    throw new Failure('Say whose: npm run password-link -- name@yard.example');
  await withProgram(async (server, source) => {
    const { token, until } = await server.passwordLink(source.manager, email);
    process.stdout.write(`${linkTo(server, token)}\n\nIt works once, until ${until}.\n`);
  });
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
