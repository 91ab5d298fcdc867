import { describe, expect, it } from '@jest/globals';
import { parseAst } from 'vite';
import { without } from '../vite/catalog-words.ts';

const parse = (code: string): unknown => parseAst(code);

const entries = `export const hitch = {
  specs: [{ key: 'ball', label: 'Ball size', explain: 'What it fits.', check: \`Under \${latch}.\`, say: ['It’s {}.', 'Look.'], value: { kind: 'text', label: 'check' } }],
  features: rows.map(({ key }) => ({ ...of(key), key, explain: 'A latch, held by { and }.', check: 'Look.' })),
};
export const other = { explain: 'No entry', key: 'other' };
`;

describe('the catalog, parted for the browser', () => {
  it('keeps what an entry is, and none of its words', () => {
    const left = without(entries, new Set(['explain', 'check', 'say']), parse);
    expect(left).toContain(
      "specs: [{ key: 'ball', label: 'Ball size',    value: { kind: 'text', label: 'check' } }]",
    );
    expect(left).toContain('({ ...of(key), key,   })');
    expect(left).toContain("{ explain: 'No entry', key: 'other' }");
    expect(() => parse(left)).not.toThrow();
  });

  it('keeps its words, and nothing else but the key', () => {
    const left = without(entries, new Set(['label', 'value']), parse);
    expect(left).toContain("{ key: 'ball',  explain: 'What it fits.', check: `Under ${latch}.`");
    expect(left).not.toContain('Ball size');
    expect(left).not.toContain('kind');
    expect(() => parse(left)).not.toThrow();
  });
});
