import { describe, expect, it } from '@jest/globals';
import { isSameName, nameSchema, tidyName } from '@fair-gable/core/base/words';
import { newPersonSchema, ownSettingsSchema } from '@fair-gable/core/yard/people';

describe('a name', () => {
  // Zero-width, directional and filler characters: Unicode Character Database.
  it.each([
    ['Ines\u200B Rook', 'Ines Rook'],
    ['\u202EInes Rook\u202C', 'Ines Rook'],
    ['Ines\u00A0\u2003Rook', 'Ines Rook'],
    [' \u3164Ines\uFEFF Rook\t', 'Ines Rook'],
    ['Ines\u0000\u0007 Rook', 'Ines Rook'],
    ['Ines\nRook', 'Ines Rook'],
    ['Ine\u0301s', 'In\u00E9s'],
    ['O’Brien-Müller 2', 'O’Brien-Müller 2'],
    ['中村 愛', '中村 愛'],
  ])('%j is read as %j', (typed, name) => {
    expect(tidyName(typed)).toBe(name);
    expect(nameSchema.parse(typed)).toBe(name);
  });

  it.each(['', '   ', '\u200B\u200B', '\u3164', '\u115F\u1160', '\u2800', '...', '\uFE0F'])(
    'cannot look empty: %j',
    (typed) => {
      expect(nameSchema.safeParse(typed).success).toBe(false);
      expect(ownSettingsSchema.safeParse({ name: typed, system: null }).success).toBe(false);
      const person = { name: typed, email: 'a@b.example', role: 'viewer' };
      expect(newPersonSchema.safeParse(person).success).toBe(false);
    },
  );

  it('is at most eighty characters long, once it is tidied', () => {
    expect(nameSchema.safeParse('a'.repeat(81)).success).toBe(false);
    expect(nameSchema.safeParse(`${'a'.repeat(80)}${'\u200B'.repeat(50)}`).success).toBe(true);
  });

  it.each([
    ['Ines Rook', 'ines rook', true],
    ['Ines Rook', 'Ｉｎｅｓ Rook', true],
    ['Ines Rook', 'Ines  Rook\u200D', true],
    ['Ines Rook', 'Ines Rooks', false],
    ['Ines Rook', 'Inés Rook', false],
  ])('%j and %j read alike: %j', (a, b, alike) => {
    expect(isSameName(a, b)).toBe(alike);
  });
});
