import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';

const root = fileURLToPath(new URL('../..', import.meta.url));
const folder = join(root, 'docs/recipes');
const recipes = readdirSync(folder).filter((name) => name.endsWith('.md'));
const textOf = (name: string): string => readFileSync(join(folder, name), 'utf8');

const isThere = (path: string): boolean => existsSync(join(root, path));

/** Every file that a recipe names; a bold one may be made by it, in a folder that is there. */
const namedIn = (text: string) =>
  [...text.matchAll(/(\*\*)?`([\w.-]+(?:\/[\w.<>-]+)+\.(?:ts|mjs|vue|md|json|css))`/g)].map(
    ([, bold, path = '']) => ({ path, isMade: bold !== undefined }),
  );

interface Imported {
  readonly into: string;
  readonly from: string;
  readonly names: readonly string[];
}

/** What the code of a recipe imports, and into which file: the last that was named in bold before it. */
const importsIn = (text: string): readonly Imported[] =>
  [...text.matchAll(/import (?:type )?\{([^}]*)\} from '([^']+)';/g)].map((found) => {
    const [, names = '', from = ''] = found;
    const before = text.slice(0, found.index);
    const into = [...before.matchAll(/\*\*`([^`]+)`/g)].at(-1)?.[1] ?? '';
    return { into, from, names: names.split(',').map((name) => name.replace('type ', '').trim()) };
  });

/** The file an import means; undefined for a package of the registry. */
const fileOf = ({ into, from }: Imported): string | undefined => {
  if (from.startsWith('.')) return join(dirname(into), from);
  const room = /^@fair-gable\/core\/(.+)$/.exec(from)?.[1];
  return room && `core/src/${room}/index.ts`;
};

describe.each(recipes)('the recipe %s', (name) => {
  const text = textOf(name);

  it('names files that are there, or are made where there is a folder', () => {
    expect(namedIn(text).length).toBeGreaterThan(2);
    const lost = namedIn(text).filter(({ path, isMade }) => {
      if (path.includes('<')) return false;
      return !isThere(path) && !(isMade && isThere(dirname(path)));
    });
    expect(lost.map(({ path }) => path)).toEqual([]);
  });

  it('imports what is there', () => {
    for (const imported of importsIn(text)) {
      const file = fileOf(imported);
      if (file === undefined) continue;
      expect([file, isThere(file)]).toEqual([file, true]);
      const source = readFileSync(join(root, file), 'utf8');
      for (const one of imported.names.filter(Boolean))
        expect([file, one, new RegExp(`\\b${one}\\b`).test(source)]).toEqual([file, one, true]);
    }
  });

  it('is found from the README', () => {
    expect(readFileSync(join(root, 'README.md'), 'utf8')).toContain(`docs/recipes/${name}`);
  });
});
