// How much JavaScript a browser fetches before it can show the first page.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root } from './setup.mjs';
import { Failure } from './steps.mjs';

/** @typedef {Record<string, { file: string, imports?: string[] }>} Manifest */

const dist = join(root, 'web/dist');
/** The pages that somebody may see first. */
const firstPages = ['src/yard/people/SignIn.vue', 'src/yard/list/YardView.vue'];
const entry = 'index.html';

/** Above this a build fails. Bytes, compressed. */
export const limit = 250_000;

/** Everything a chunk needs before it runs. @param {Manifest} manifest @param {string} name @param {Set<string>} [seen] */
const needs = (manifest, name, seen = new Set()) => {
  if (seen.has(name)) return seen;
  seen.add(name);
  for (const other of manifest[name]?.imports ?? []) needs(manifest, other, seen);
  return seen;
};

/** Bytes of JavaScript, compressed, of the heaviest of the first pages. */
export const firstLoad = () => {
  const file = join(dist, '.vite/manifest.json');
  if (!existsSync(file)) throw new Failure('The interface was not built: there is no manifest.');
  /** @type {Manifest} */
  const manifest = JSON.parse(readFileSync(file, 'utf8'));
  const sizeOf = (/** @type {string} */ name) =>
    gzipSync(readFileSync(join(dist, manifest[name]?.file ?? ''))).length;
  const pages = firstPages.map((page) => {
    if (!manifest[page])
      throw new Failure(`The manifest has no ${page}: is it still the first page?`);
    const chunks = needs(manifest, page, needs(manifest, entry));
    return [...chunks].map(sizeOf).reduce((sum, size) => sum + size, 0);
  });
  return Math.max(...pages);
};

/** @throws Failure when the first page has grown too heavy */
export const checkFirstLoad = () => {
  const bytes = firstLoad();
  if (bytes <= limit) return;
  throw new Failure(
    `The first page loads ${Math.round(bytes / 1000)} kB of JavaScript; the limit is ${limit / 1000} kB. Load more of it later, or leave something out.`,
  );
};
