import { describe, expect, it } from '@jest/globals';
import type { ModelSheet } from '@fair-gable/core/unit/model-sheet';
import { blankSheet } from '../src/unit/model-sheet/draft.ts';
import {
  addMidYear,
  addPackage,
  linesOf,
  otherPackages,
  placeOfMidYear,
  placeOfPackage,
  setMidYear,
  setPackage,
  textsWithoutMidYear,
  textsWithoutPackage,
  unreadOf,
  wantedOf,
  withoutMidYear,
  withoutPackage,
} from '../src/unit/model-sheet/sheet-edits.ts';

const blank: ModelSheet = {
  ...blankSheet('5e1ec7ed-0000-4000-8000-000000000001', 2026),
  series: 'Fenlark',
};
const three = addPackage(addPackage(addPackage(blank)));
const [first, second] = three.packages.map(({ key }) => key) as [string, string];

describe('the packages of a sheet', () => {
  it('have a key each, and are told from the others by it', () => {
    expect(new Set(three.packages.map(({ key }) => key)).size).toBe(3);
    expect(otherPackages(three, 1).map(({ key }) => key)).not.toContain(second);
  });

  it('forbid none that was taken out', () => {
    const forbidding = setPackage(three, 0, { forbids: [second] });
    const after = withoutPackage(forbidding, 1);
    expect(after.packages).toHaveLength(2);
    expect(after.packages[0]?.forbids).toEqual([]);
    // The sheet it was made from is as it was.
    expect(forbidding.packages[0]?.forbids).toEqual([second]);
  });

  it('take along what was being typed of them when they go, and nothing else', () => {
    const texts = {
      [`${placeOfPackage(first)}.gvwr`]: '7?',
      [`${placeOfPackage(second)}.gvwr`]: '8?',
      'values.gvwr': '9?',
    };
    expect(Object.values(textsWithoutPackage(texts, first))).toEqual(['8?', '9?']);
  });
});

describe('the changes of a sheet’s year', () => {
  it('are begun, changed and taken out one by one', () => {
    const two = setMidYear(addMidYear(addMidYear(blank)), 1, { from: '2026-05', says: 'Bigger' });
    expect(two.midYear.map(({ from }) => from)).toEqual(['2026-01', '2026-05']);
    expect(withoutMidYear(two, 0).midYear.map(({ says }) => says)).toEqual(['Bigger']);
  });

  it('keep each what was being typed of it when another goes', () => {
    const texts = {
      [`${placeOfMidYear(0)}.gvwr`]: 'a',
      [`${placeOfMidYear(1)}.gvwr`]: 'b',
      [`${placeOfMidYear(2)}.uvw`]: 'c',
      objections: 'd',
    };
    expect(textsWithoutMidYear(texts, 1)).toEqual({
      [`${placeOfMidYear(0)}.gvwr`]: 'a',
      [`${placeOfMidYear(1)}.uvw`]: 'c',
      objections: 'd',
    });
  });
});

describe('what a sheet still wants', () => {
  it.each<[string, Partial<ModelSheet>, RegExp]>([
    ['a series', { series: ' ' }, /^Series:/],
    ['a name of each package', setPackage(three, 1, { name: '' }), /^Packages:/],
    ['a month', setMidYear(addMidYear(blank), 0, { from: '2026-13', says: 'x' }), /^Mid-year/],
    ['a few words', setMidYear(addMidYear(blank), 0, { from: '2026-02' }), /^Mid-year/],
    [
      'a spec that there is',
      { objections: [{ says: 'a', answer: 'b', about: '?steps' }] },
      /“steps”/,
    ],
    ['an answer', { objections: [{ says: 'a', answer: '' }] }, /^Objections: write each/],
  ])('%s', (_, more, words) => {
    expect(wantedOf({ ...blank, ...more })).toMatch(words);
  });

  it('is nothing where it is whole', () => {
    expect(wantedOf(blank)).toBe('');
    expect(wantedOf(three)).toBe('');
  });
});

describe('what is being typed into a sheet', () => {
  it('is counted where it can’t be read; texts of several lines always can', () => {
    expect(unreadOf({ 'values.gvwr': '7,490' }, 'us')).toBe('');
    expect(unreadOf({ 'values.gvwr': 'x', objections: 'x' }, 'us')).toMatch(/^One value can’t/);
    expect(unreadOf({ 'values.gvwr': 'x', 'mid-0.uvw': 'y' }, 'us')).toMatch(/^2 values can’t/);
  });

  it('has the lines that say something', () => {
    expect(linesOf(' a \n\n b\n')).toEqual(['a', 'b']);
  });
});
