// `npm run attack [-- promises guards starts fuzz]`: breaks the program on purpose, on yards that are thrown away. Not part of
// `npm test`. Ends with a line “held” or the list of what did not.
import { build } from '../tools/lib/build.mjs';
import { fuzz } from './fuzz.ts';
import { attackGuards } from './guards.ts';
import { attackPromises } from './promises.ts';
import { attackStarts } from './starts.ts';

/** Each says what did not hold; nothing where all did. */
const attacks: Readonly<Record<string, () => Promise<readonly string[]>>> = {
  promises: attackPromises,
  guards: attackGuards,
  starts: attackStarts,
  fuzz,
};

const asked = process.argv.slice(2);
const strange = asked.find((name) => !(name in attacks));
if (strange) {
  throw new Error(`There is no attack “${strange}”: ${Object.keys(attacks).join(', ')}.`);
}
await build();
const failures: string[] = [];
for (const [name, attack] of Object.entries(attacks)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  console.log(`\n${name}`);
  failures.push(...(await attack()).map((failure) => `${name}: ${failure}`));
}
console.log(failures.length === 0 ? '\nheld' : `\ndid not hold:\n${failures.join('\n')}`);
process.exitCode = failures.length === 0 ? 0 : 1;
