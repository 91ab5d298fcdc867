import { describe, expect, it } from '@jest/globals';
import { counted, inText, listed, percent, slugOf } from '@fair-gable/core/base/words';
import { audiences, features, findingKinds, specs, stations } from '@fair-gable/core/unit/catalog';
import { emptyRecord } from '@fair-gable/core/unit/record';
import { nextNeed } from '@fair-gable/core/yard/to-do';

describe('a label within a sentence', () => {
  it.each([
    ['Fresh tank', 'fresh tank'],
    ['A tire is old', 'a tire is old'],
    ['VIN on the chassis', 'VIN on the chassis'],
    ['LP changeover', 'LP changeover'],
    ['A/C units', 'A/C units'],
    ['R-value, roof', 'R-value, roof'],
    ['Wi-Fi extender', 'Wi-Fi extender'],
    ['I want to check that', 'I want to check that'],
    ['It is warm', 'it is warm'],
    ['', ''],
  ])('%s is %s', (label, within) => {
    expect(inText(label)).toBe(within);
  });

  it('keeps every abbreviation of the catalog', () => {
    const abbreviation = /\b[A-Z]{2,}\b/g;
    for (const { label } of [...specs, ...features, ...stations, ...audiences, ...findingKinds]) {
      expect(inText(label).match(abbreviation)).toEqual(label.match(abbreviation));
    }
  });

  it('keeps them in what an empty unit needs', () => {
    const empty = emptyRecord;
    expect(nextNeed(empty, []).text).toMatch(/VIN/);
  });
});

describe('figures and lists', () => {
  it('agree in number', () => {
    expect([0, 1, 2, 1200].map((n) => counted(n, 'unit'))).toEqual([
      '0 units',
      '1 unit',
      '2 units',
      '1,200 units',
    ]);
  });
  it('are shares of one', () => {
    expect([percent(0.1249), percent(0.2, 0)]).toEqual(['12.5%', '20%']);
  });
  it('have a last one', () => {
    expect([[], ['a'], ['a', 'b'], ['a', 'b', 'c']].map((words) => listed(words))).toEqual([
      '',
      'a',
      'a and b',
      'a, b and c',
    ]);
    expect(listed(['a', 'b'], 'or')).toBe('a or b');
  });
  it('become names of files', () => {
    expect([slugOf('Only two steps!'), slugOf(' -- '), slugOf('abc def', 5)]).toEqual([
      'only-two-steps',
      '',
      'abc-d',
    ]);
  });
});
