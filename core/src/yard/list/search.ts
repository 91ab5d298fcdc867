import {
  featureEntry,
  isFeatureKey,
  isFitted,
  isSpecKey,
  namesOf,
  specEntry,
  specs,
} from '../../unit/catalog/index.ts';
import { inOneSpelling } from '../../base/words/index.ts';
import { nameOf, particularsOf, textOf, type Basics, type Brief } from '../../unit/record/index.ts';

const words = (record: Brief, key: string): string => {
  if (!isSpecKey(key)) return '';
  const value = record.specs[key]?.value;
  const { value: kind } = specEntry(key);
  if (value?.kind === 'text') return value.text;
  if (value?.kind === 'number') return String(value.number);
  if (value?.kind !== 'choice' || kind.kind !== 'choice') return '';
  return kind.choices.find((c) => c.key === value.choice)?.label ?? '';
};

const ours = new Set<string>(specs.filter((s) => s.ours).map((s) => s.key));

/**
 * All that is text in a record, in small letters, to be searched: what was typed, the names of choices and
 * of what is fitted, and the reasons given. Nothing of the yard's own prices.
 */
export const searchText = (record: Brief): string => {
  // In one order, however the record was read: the same record is the same text.
  const typed = Object.keys(record.specs)
    .toSorted()
    .filter((key) => !ours.has(key))
    .map((key) => words(record, key));
  const fitted = Object.entries(record.features)
    .flatMap(([key, entry]) => (isFeatureKey(key) && isFitted(entry?.value.state) ? [key] : []))
    .toSorted()
    .flatMap((key) => [featureEntry(key).label, ...namesOf(key)]);
  const reasons = Object.values(record.settlements)
    .map((entry) => entry?.value.reason ?? '')
    .toSorted();
  return inOneSpelling([...typed, ...fitted, ...reasons].filter(Boolean).join(' \n').toLowerCase());
};

/** The words of a search, as `searchText` has them. */
export const searchedWords = (search: string): readonly string[] =>
  inOneSpelling(search.trim().toLowerCase()).split(/\s+/).filter(Boolean);

/** Whether every word of a search is somewhere in a text of `searchText`. */
export const isFoundIn = (text: string, search: string): boolean =>
  searchedWords(search).every((word) => text.includes(word));

/** What a unit is called, to be searched by `isFoundIn`: name, stock number, year, new or used, VIN. */
export const calledText = (record: Basics): string =>
  [nameOf(record), particularsOf(record), textOf(record, 'vin') ?? ''].join(' ').toLowerCase();
