import type { Plugin } from 'vite';
import type { EntryWords, FeatureEntry, SpecEntry } from '../../core/src/unit/catalog/types.ts';

type Property = keyof SpecEntry | keyof FeatureEntry;
const keysOf = (of: Readonly<Record<string, true>>): ReadonlySet<string> =>
  new Set(Object.keys(of));

/** What is said of an entry; the compiler sees to it that none is left out. */
const words = keysOf({
  explain: true,
  check: true,
  notToBeConfused: true,
  caution: true,
  normal: true,
  show: true,
  say: true,
  sayWhen: true,
  lack: true,
  sayWithout: true,
} satisfies Record<keyof EntryWords, true>);

/** What an entry is. Its key stands in both. */
const facts = keysOf({
  label: true,
  station: true,
  basic: true,
  public: true,
  unitOnly: true,
  bySignature: true,
  located: true,
  audiences: true,
  school: true,
  partOf: true,
  unless: true,
  fromAxles: true,
  numbers: true,
  value: true,
  ours: true,
  silent: true,
  kind: true,
  noun: true,
  madeUpBy: true,
  saidBy: true,
} satisfies Record<Exclude<Property, keyof EntryWords | 'key'>, true>);

interface Node {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly properties?: readonly Node[];
  readonly key?: Node & { readonly name?: string };
}

const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && 'type' in value;

const childrenOf = (node: Node): readonly Node[] => Object.values(node).flat().filter(isNode);

/** Every object written out in a program. */
const objectsIn = (node: Node): readonly Node[] => [
  ...(node.type === 'ObjectExpression' ? [node] : []),
  ...childrenOf(node).flatMap(objectsIn),
];

const namesIn = (object: Node): readonly (string | undefined)[] =>
  (object.properties ?? []).map(({ key }) => key?.name);

/** An entry of the catalog is whatever explains itself and says how it is checked. */
const isEntry = (object: Node): boolean => {
  const names = namesIn(object);
  return names.includes('explain') && names.includes('check');
};

/**
 * A program without some properties of the entries that it writes out.
 * @param code as JavaScript
 * @param parse gives its tree
 */
export const without = (
  code: string,
  dropped: ReadonlySet<string>,
  parse: (code: string) => unknown,
): string => {
  const properties = objectsIn(parse(code) as Node)
    .filter(isEntry)
    .flatMap((entry) => entry.properties ?? [])
    .filter(({ key }) => dropped.has(key?.name ?? ''));
  return properties
    .toSorted((a, b) => b.start - a.start)
    .reduce((left, { start, end }) => {
      const comma = /^\s*,/.exec(left.slice(end))?.[0].length ?? 0;
      return left.slice(0, start) + left.slice(end + comma);
    }, code);
};

const entriesOf = /\/unit\/catalog\/entries\/[\w-]+\.ts/;
const saysWords = /\/unit\/catalog\/words\.ts$/;
const apart = '?words';

/**
 * Parts the catalog for the browser: an entry is written in one place, what it is, is wanted by every page, and what is said of it,
 * twice as much, by some. Entries that `words.ts` imports keep their words alone, and stand in a chunk of their own; all others
 * keep the rest.
 */
export const catalogWords = (): Plugin => ({
  name: 'catalog-words',
  enforce: 'post',
  resolveId: {
    order: 'pre',
    async handler(source, importer = '') {
      const isOfWords = saysWords.test(importer) || importer.endsWith(apart);
      if (!isOfWords || source.endsWith(apart)) return null;
      const found = await this.resolve(source, importer.replace(apart, ''), { skipSelf: true });
      return found && entriesOf.test(found.id) ? `${found.id}${apart}` : found;
    },
  },
  transform(code, id) {
    if (!entriesOf.test(id)) return null;
    const dropped = id.endsWith(apart) ? facts : words;
    return { code: without(code, dropped, (text) => this.parse(text)), map: null };
  },
});
