import { Plain } from '../../base/api/client.ts';

/** What stands at the beginning of a file that says how its text is written. */
const marks: readonly (readonly [readonly number[], string])[] = [
  [[0xef, 0xbb, 0xbf], 'utf-8'],
  [[0xff, 0xfe], 'utf-16le'],
  [[0xfe, 0xff], 'utf-16be'],
];
const zip = [0x50, 0x4b];

const beginsWith = (bytes: Uint8Array, mark: readonly number[]): boolean =>
  mark.every((byte, i) => bytes[i] === byte);

/** Without a mark every other byte of plain English is nothing: UTF-16, and which way round. */
const unmarked16 = (bytes: Uint8Array): string | undefined => {
  const head = bytes.slice(0, 200);
  const nothing = (odd: number): number =>
    head.filter((byte, i) => i % 2 === odd && byte === 0).length;
  if (nothing(1) > head.length / 4) return 'utf-16le';
  return nothing(0) > head.length / 4 ? 'utf-16be' : undefined;
};

/**
 * A list's text, however it was saved: UTF-8, UTF-16, or Windows-1252 where it is not UTF-8.
 * @throws Plain, with a sentence, where it is no text
 */
export const textOfList = (bytes: Uint8Array, name: string): string => {
  if (beginsWith(bytes, zip)) {
    throw new Plain(
      `“${name}” is a workbook or a zip file. Open it where it was made, and save the list as CSV.`,
    );
  }
  const marked = marks.find(([mark]) => beginsWith(bytes, mark))?.[1] ?? unmarked16(bytes);
  if (marked) return new TextDecoder(marked).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
};
