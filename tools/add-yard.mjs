// `npm run add-yard -- "Sallow North" "Ada Finch" ada@north.example`: another yard on this server.
import { linkTo, withProgram } from './lib/program.mjs';
import { checkNode } from './lib/run.mjs';
import { Failure, sentenceFor } from './lib/steps.mjs';

const main = async () => {
  checkNode();
  const [yard, name, email, ...more] = process.argv.slice(2);
  if (!yard || !name || !email?.includes('@') || more.length) {
    throw new Failure(
      'Say the yard, its manager and their address: npm run add-yard -- "Sallow North" "Ada Finch" ada@north.example',
    );
  }
  await withProgram(async (server, source) => {
    const link = await server.addYard(source, { yard, name, email });
    const how = link
      ? `Hand this to ${name}; it sets a password once, until ${link.until}:\n\n${linkTo(server, link.token)}`
      : `${email} has an account already, and finds the new yard beside the others after signing in.`;
    process.stdout.write(`${yard} is there. ${how}\n`);
  });
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
