import { describe, expect, it } from '@jest/globals';
import { textOfList } from '../src/unit/stock-list/decode.ts';

const text = 'Stock #,Décor\nTQ-1,Crème “A”\n';
const of16 = (order: 'le' | 'be', mark: boolean): Uint8Array => {
  const le = Buffer.from(`${mark ? '\uFEFF' : ''}${text}`, 'utf16le');
  return new Uint8Array(order === 'le' ? le : le.swap16());
};

describe('a list from elsewhere', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode(text)],
    ['UTF-8 with a mark', new TextEncoder().encode(`\uFEFF${text}`)],
    ['UTF-16, marked', of16('le', true)],
    ['UTF-16 the other way round, marked', of16('be', true)],
    ['UTF-16, unmarked', of16('le', false)],
    ['UTF-16 the other way round, unmarked', of16('be', false)],
  ])('is read in %s', (_, bytes) => {
    expect(textOfList(bytes, 'list.csv')).toBe(text);
  });

  it('is read as Windows-1252 where it is not UTF-8', () => {
    const bytes = Uint8Array.from([...'Décor\n'].map((c) => c.charCodeAt(0)));
    expect(textOfList(bytes, 'list.csv')).toBe('Décor\n');
  });

  it('is refused in a sentence where it is a workbook under another name', () => {
    const bytes = Uint8Array.from([0x50, 0x4b, 3, 4]);
    expect(() => textOfList(bytes, 'stock.csv')).toThrow(/^“stock.csv” is a workbook or a zip/);
  });
});
