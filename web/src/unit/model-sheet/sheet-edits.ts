import { slugOf } from '@fair-gable/core/base/words';
import {
  freeKey,
  noValues,
  type MidYear,
  type ModelSheet,
  type SheetPackage,
} from '@fair-gable/core/unit/model-sheet';
import { isSpecKey, specEntry } from '@fair-gable/core/unit/catalog';
import type { System } from '@fair-gable/core/base/quantity';
import { readTyped } from '../record/typing.ts';

/** What is being typed into the values of a sheet, by whose they are: `mid-0.gvwr`. */
type Texts = Readonly<Record<string, string>>;

/** A list with something of one row otherwise. */
const withRow = <T>(list: readonly T[], at: number, more: Partial<T>): readonly T[] =>
  list.map((row, i) => (i === at ? { ...row, ...more } : row));

const withoutRow = <T>(list: readonly T[], at: number): readonly T[] =>
  list.filter((_, i) => i !== at);

/** A sheet with one more package, to be named. */
export const addPackage = (sheet: ModelSheet): ModelSheet => {
  const name = 'New package';
  const key = freeKey(slugOf(name) || 'package', new Set(sheet.packages.map((p) => p.key)));
  const pack = { key, name, standard: false, adds: noValues, replaces: [], forbids: [] };
  return { ...sheet, packages: [...sheet.packages, pack] };
};

export const setPackage = (
  sheet: ModelSheet,
  at: number,
  more: Partial<SheetPackage>,
): ModelSheet => ({ ...sheet, packages: withRow(sheet.packages, at, more) });

/** A sheet without a package; the others forbid it no longer. */
export const withoutPackage = (sheet: ModelSheet, at: number): ModelSheet => {
  const gone = sheet.packages[at]?.key;
  return {
    ...sheet,
    packages: withoutRow(sheet.packages, at).map((pack) => ({
      ...pack,
      forbids: pack.forbids.filter((key) => key !== gone),
    })),
  };
};

/** The packages that one may forbid: all but itself. */
export const otherPackages = (
  { packages }: ModelSheet,
  at: number,
): readonly { readonly key: string; readonly label: string }[] =>
  withoutRow(packages, at).map(({ key, name }) => ({ key, label: name }));

/** A sheet with one more change of its year, to be told. */
export const addMidYear = (sheet: ModelSheet): ModelSheet => {
  const change: MidYear = { from: `${sheet.year}-01`, says: '', values: noValues, without: [] };
  return { ...sheet, midYear: [...sheet.midYear, change] };
};

export const setMidYear = (sheet: ModelSheet, at: number, more: Partial<MidYear>): ModelSheet => ({
  ...sheet,
  midYear: withRow(sheet.midYear, at, more),
});

export const withoutMidYear = (sheet: ModelSheet, at: number): ModelSheet => ({
  ...sheet,
  midYear: withoutRow(sheet.midYear, at),
});

/** The lines of a text that say something. */
export const linesOf = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

const isMonth = (text: string): boolean => /^\d{4}-(0[1-9]|1[0-2])$/.test(text);

/** What a sheet still wants before it can be kept, in a sentence; nothing where it is whole. */
export const wantedOf = ({ series, midYear, objections, packages }: ModelSheet): string => {
  if (series.trim() === '') return 'Series: enter one.';
  if (packages.some(({ name }) => name.trim() === '')) return 'Packages: each needs a name.';
  if (midYear.some(({ from, says }) => !isMonth(from) || says.trim() === '')) {
    return 'Mid-year changes: each needs a month like 2026-02 and a few words.';
  }
  const lost = objections.find(({ about }) => about?.startsWith('?'));
  if (lost) return `Objections: there is no spec or feature called “${lost.about?.slice(1)}”.`;
  if (objections.some(({ says, answer }) => says === '' || answer === '')) {
    return 'Objections: write each as “what they say = the answer = what brings it up”; the last may be left out.';
  }
  return '';
};

/**
 * How many of the values being typed can’t be read, in a sentence; nothing where all can. Texts of several lines always can.
 * @param texts by what they are of, ending in the key of a spec: `packages.0.gvwr`
 */
export const unreadOf = (texts: Texts, system: System): string => {
  const count = Object.entries(texts).filter(([of, text]) => {
    const key = of.split('.').at(-1) ?? '';
    return isSpecKey(key) && readTyped(specEntry(key), text, system).problem !== '';
  }).length;
  if (count === 0) return '';
  return count === 1
    ? 'One value can’t be read yet; it’s next to the field.'
    : `${count} values can’t be read yet; they’re next to their fields.`;
};

/** The names under which the values of its parts are typed. */
export const placeOfPackage = (key: string): string => `pack-${key}-adds`;
export const placeOfMidYear = (at: number): string => `mid-${at}`;

/** Without what was being typed of a package that is gone. */
export const textsWithoutPackage = (texts: Texts, key: string): Texts =>
  Object.fromEntries(
    Object.entries(texts).filter(([of]) => !of.startsWith(`${placeOfPackage(key)}.`)),
  );

/** Without what was being typed of a change of the year that is gone; that of later ones goes along with them. */
export const textsWithoutMidYear = (texts: Texts, at: number): Texts =>
  Object.fromEntries(
    Object.entries(texts).flatMap(([of, text]) => {
      const [, row, key] = /^mid-(\d+)\.(.+)$/.exec(of) ?? [];
      if (row === undefined) return [[of, text]];
      if (Number(row) === at) return [];
      return [[`${placeOfMidYear(Number(row) - (Number(row) > at ? 1 : 0))}.${key}`, text]];
    }),
  );
