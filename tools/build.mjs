// `npm run build`: builds core, server and web.
import { build } from './lib/build.mjs';
import { step } from './lib/steps.mjs';

await step('building', () => build({ force: true }));
