import { z } from 'zod';

/**
 * Characters that show nothing: controls, formats, private ones and those nobody has assigned, separators of lines, and
 * the fillers that count as letters. Unicode general categories; fillers by the Unicode Character Database.
 */
const invisible =
  /\p{Cc}|\p{Cf}|\p{Co}|\p{Cn}|\p{Zl}|\p{Zp}|\u115F|\u1160|\u17B4|\u17B5|\u2800|\u3164|\uFFA0|[\uFE00-\uFE0F]/gu;

/**
 * A name as people read it: nothing in it that does not show, one space between words.
 * @example tidyName(' Ines\u200B  Rook ') // 'Ines Rook'
 */
export const tidyName = (typed: string): string =>
  typed
    .replaceAll(/[\t\r\n]+/g, ' ')
    .replaceAll(invisible, '')
    .normalize('NFC')
    .replaceAll(/\s+/gu, ' ')
    .trim();

/** Whether two names read alike: whatever their case, width and spacing. */
export const isSameName = (a: string, b: string): boolean => {
  const plain = (name: string): string => tidyName(name.normalize('NFKC')).toLowerCase();
  return plain(a) === plain(b);
};

/** What somebody or a yard is called. */
export const nameSchema = z
  .string()
  .max(200)
  .overwrite(tidyName)
  .min(1, 'Type a name.')
  .max(80)
  .regex(/[\p{L}\p{N}]/u, 'A name needs at least one letter or number.');
