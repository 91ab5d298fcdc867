import { describe, expect, it } from '@jest/globals';
import {
  displays,
  quantityBefore,
  spokenCount,
  spokenQuantity,
  spokenSize,
  systems,
  toInternal,
  type Display,
} from '@fair-gable/core/base/quantity';
import { spokenDate } from '@fair-gable/core/base/dates';
import {
  blanksIn,
  features,
  filledIn,
  isSpecKey,
  namesOf,
  specEntry,
  specs,
  wordingsOf,
  wordsFor,
  type Feature,
  type Spec,
} from '@fair-gable/core/unit/catalog';
import { spokenSpec, type SpecValue } from '@fair-gable/core/unit/record';
import { valueFor } from './sample-values.ts';

describe('a quantity as it is said', () => {
  it.each<[number, Display, string, string, string]>([
    [46, 'volume', '46 gallons', '46-gallon', '174 liters'],
    [6, 'volume', '6 gallons', 'six-gallon', '23 liters'],
    [1, 'volume', '1 gallon', 'one-gallon', '4 liters'],
    [316, 'feet', '26 feet 4 inches', '26-foot-four-inch', '8.03 meters'],
    [7490, 'weight', '7,490 pounds', '7,490-pound', '3,397 kilograms'],
    [toInternal(30_000, 'BTU/h'), 'heat', '30,000 BTUs', '30,000-BTU', '8.79 kilowatts'],
    [30, 'current', '30 amps', '30-amp', '30 amps'],
    [5 / 32, 'fineInches', '5⁄32 of an inch', '5⁄32-inch', '4 millimeters'],
    [0.25, 'fineInches', '¼ of an inch', '¼-inch', '6 millimeters'],
    [9, 'rValue', 'R-9', 'R-9', '1.58 RSI'],
    [toInternal(20, '°F'), 'temperature', '20 degrees', '20-degree', '-7 degrees'],
  ])('%s of %s', (amount, display, us, before, metric) => {
    expect([
      spokenQuantity(amount, display, 'us'),
      quantityBefore(amount, display, 'us'),
      spokenQuantity(amount, display, 'metric'),
    ]).toEqual([us, before, metric]);
  });

  it('has no abbreviation that one spells out aloud, in either system', () => {
    const written =
      /\b(?:ft|in|lb|gal|BTU\/h|A|W|Ah|V|mph|m|cm|mm|kg|L|kPa|kW|m³\/h|km\/h)\b|[²³·°]/;
    for (const display of Object.keys(displays) as Display[]) {
      for (const system of systems) {
        expect(spokenQuantity(40, display, system)).not.toMatch(written);
        expect(quantityBefore(40, display, system)).not.toMatch(written);
      }
    }
  });

  it('is of sides, of counts and of days', () => {
    expect(spokenSize([60, 80], 'inches', 'us')).toBe('60 by 80 inches');
    expect(spokenSize([22, 14, 96], 'inches', 'metric')).toBe('56 by 36 by 244 centimeters');
    expect([0, 1, 9, 10, 1200].map(spokenCount)).toEqual(['no', 'one', 'nine', '10', '1,200']);
    expect(spokenDate('2026-04-10', 'us')).toBe('April 10, 2026');
    expect(spokenDate('2026-04-10', 'metric')).toBe('10 April 2026');
    expect(spokenDate('2026-04', 'us')).toBe('April 2026');
  });
});

describe('a value in a sentence', () => {
  const cylinder = { one: 'propane cylinder', many: 'propane cylinders' };
  const two: SpecValue = { kind: 'counted', count: 2, each: 30 };
  it('is said behind a verb, before a noun, or as how many of which size', () => {
    expect(spokenSpec('lpCylinders', two, { form: 'each', noun: cylinder }, 'us')).toBe(
      'two 30-pound propane cylinders',
    );
    expect(
      spokenSpec('lpCylinders', { ...two, count: 1 }, { form: 'each', noun: cylinder }, 'us'),
    ).toBe('one 30-pound propane cylinder');
    expect(spokenSpec('lpCylinders', two, { form: 'plain', noun: cylinder }, 'us')).toBe(
      'two propane cylinders',
    );
    const choice: SpecValue = { kind: 'choice', choice: '2-5-16' };
    expect(spokenSpec('ballSize', choice, { form: 'plain', noun: undefined }, 'us')).toBe(
      'two and five-sixteenths',
    );
  });
  it('is not said of which size where nobody read it, nor before a noun where it is only about so much', () => {
    const counted: SpecValue = { kind: 'counted', count: 2 };
    expect(
      spokenSpec('lpCylinders', counted, { form: 'each', noun: cylinder }, 'us'),
    ).toBeUndefined();
    const about: SpecValue = { kind: 'quantity', amount: 6, bound: 'about' };
    const before = { form: 'before', noun: undefined } as const;
    expect(spokenSpec('heaterTank', about, before, 'us')).toBeUndefined();
    expect(spokenSpec('heaterTank', about, { ...before, form: 'plain' }, 'us')).toBe(
      'about 6 gallons',
    );
    const range: SpecValue = { kind: 'quantity', amount: 192, to: 216 };
    expect(spokenSpec('awningLength', range, { ...before, form: 'plain' }, 'us')).toBe(
      '16 feet to 18 feet',
    );
  });
  it.each([
    ['a {heaterTank-} tank', 'eight-gallon', 'an eight-gallon tank'],
    ['a {furnace-} furnace', '18,000-BTU', 'an 18,000-BTU furnace'],
    ['a {tvSize-} TV', '180-inch', 'a 180-inch TV'],
    ['a {tvSize-} TV', '80-inch', 'an 80-inch TV'],
    ['a {tvSize-} TV', '11-inch', 'an 11-inch TV'],
  ])('%s with %s has its article', (wording, text, whole) => {
    expect(filledIn(wording, 'tv', () => text)).toBe(whole);
  });
});

/** Every sentence of the catalog's cards, its blanks filled with sample values. */
const all: readonly (Spec | Feature)[] = [...specs, ...features];

const rawOf = (entry: Spec | Feature): readonly string[] => {
  const { say, sayWhen = {}, sayWithout = {}, lack = '' } = wordsFor(entry.key);
  return [...wordingsOf(say), ...Object.values(sayWhen), ...Object.values(sayWithout), lack].filter(
    (wording) => wording !== '',
  );
};

const filled = (wording: string, own: string): string =>
  filledIn(
    wording,
    own,
    (blank) => spokenSpec(blank.spec, valueFor(specEntry(blank.spec)), blank, 'us') ?? '?',
  );

const sentencesOf = (text: string): readonly string[] => text.split(/(?<=[.?!]) /);
const wordsIn = (text: string): number => text.split(/\s+/).length;

describe('the sentence of a card', () => {
  it('is one breath, or two short ones', () => {
    const long = all.flatMap((entry) =>
      rawOf(entry)
        .map((wording) => filled(wording, entry.key))
        .filter((text) => {
          const parts = sentencesOf(text);
          return parts.length > 2 || parts.some((part) => wordsIn(part) > 18);
        }),
    );
    expect(long).toEqual([]);
  });

  it('has no placeholder, no dash and no abbreviation of a unit', () => {
    const odd = all.flatMap((entry) =>
      rawOf(entry)
        .map((wording) => filled(wording, entry.key))
        .filter((text) =>
          /[{}?–—×]|\d\s?(?:lb|ft|in|gal|W|V|A|Ah|psi\.)\b|\bone (?:can|may|sits|walks|has to)\b/.test(
            text,
          ),
        ),
    );
    expect(odd).toEqual([]);
  });

  it('names the thing it is of', () => {
    const small = new Set(
      'a an the of in on at to for by with and or its that you is from it off up'.split(' '),
    );
    const stem = (word: string): string => word.replace(/(?:’s|(?<!s)s)$/, '').slice(0, 5);
    const stems = (text: string): readonly string[] =>
      text
        .toLowerCase()
        .split(/[^a-z0-9’/]+/)
        .filter((word) => word.length > 1 && !small.has(word))
        .map(stem);
    const nameless = all.flatMap((entry) => {
      const noun = 'noun' in entry ? entry.noun : '';
      const names = new Set(stems([entry.label, noun, ...namesOf(entry.key)].join(' ')));
      return rawOf(entry)
        .filter((wording) => !stems(filled(wording, entry.key)).some((word) => names.has(word)))
        .map((wording) => `${entry.key}: ${wording}`);
    });
    expect(nameless).toEqual([]);
  });

  it('has a wording without any value', () => {
    for (const entry of all) {
      const last = wordingsOf(wordsFor(entry.key).say).at(-1);
      if (last !== undefined)
        expect([entry.key, blanksIn(last, entry.key)]).toEqual([entry.key, []]);
    }
  });

  it('says how many of which size with their noun', () => {
    for (const entry of all) {
      for (const wording of rawOf(entry)) {
        for (const { spec, form, noun } of blanksIn(wording, entry.key)) {
          expect([wording, isSpecKey(spec)]).toEqual([wording, true]);
          const { kind } = specEntry(spec).value;
          if (kind === 'counted') expect([wording, noun !== undefined]).toEqual([wording, true]);
          if (form === 'each') expect([wording, kind]).toEqual([wording, 'counted']);
          if (form === 'before') expect([wording, kind]).toEqual([wording, 'quantity']);
        }
      }
    }
  });
});
