// `npm run bench [-- checks core hands hold list numbers photos plan round scale search shell together walk yard]`: ratios against something named. Seconds differ
// between machines, ratios much less. What was measured last stands in docs/performance.md.
import { build } from '../tools/lib/build.mjs';
import { firstLoad, limit } from '../tools/lib/first-load.mjs';
import { benchCore } from './core.ts';

const benchShell = (): void => {
  const bytes = firstLoad();
  console.log(
    `${(bytes / limit).toFixed(2)} × the limit of ${limit / 1000} kB: JavaScript before the first page (${(bytes / 1000).toFixed(0)} kB, compressed)`,
  );
};

// The server's benchmarks need the built server, so they are loaded once it is there.
const benches: Readonly<Record<string, () => Promise<void> | void>> = {
  core: benchCore,
  checks: async () => (await import('./checks.ts')).benchChecks(),
  shell: benchShell,
  hands: async () => (await import('./hands.ts')).benchHands(),
  hold: async () => (await import('./hold.ts')).benchHold(),
  list: async () => (await import('./list.ts')).benchList(),
  search: async () => (await import('./search.ts')).benchSearching(),
  photos: async () => (await import('./photos.ts')).benchPhotos(),
  numbers: async () => (await import('./numbers.ts')).benchNumbers(),
  plan: async () => (await import('./plan.ts')).benchPlan(),
  round: async () => (await import('./round.ts')).benchRound(),
  walk: async () => (await import('./walk.ts')).benchWalk(),
  yard: async () => (await import('./yard.ts')).benchYard(),
  scale: async () => (await import('./scale.ts')).benchScale(),
  together: async () => (await import('./together.ts')).benchTogether(),
};

const asked = process.argv.slice(2);
const strange = asked.find((name) => !(name in benches));
if (strange)
  throw new Error(`There is no benchmark “${strange}”: ${Object.keys(benches).join(', ')}.`);
await build();
for (const [name, bench] of Object.entries(benches)) {
  if (asked.length === 0 || asked.includes(name)) await bench();
}
