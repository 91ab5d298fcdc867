import type { System } from '@fair-gable/core/base/quantity';
import {
  differenceText,
  sheetDifferences,
  type ModelSheet,
} from '@fair-gable/core/unit/model-sheet';

const names: readonly (readonly [keyof ModelSheet, string])[] = [
  ['series', 'Series'],
  ['floorPlan', 'Floor plan'],
  ['year', 'Model year'],
  ['source', 'Where it comes from'],
];
const lists: readonly (readonly [keyof ModelSheet, string])[] = [
  ['packages', 'Packages and options'],
  ['midYear', 'Mid-year changes'],
  ['sisters', 'Sister models'],
  ['objections', 'Objections'],
  ['wouldChange', 'We’d change'],
  ['wordings', 'Cards in our own words'],
  ['values', 'Places'],
];

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const isListSame = (from: ModelSheet, to: ModelSheet, key: keyof ModelSheet): boolean =>
  key === 'values' ? isSame(from.values.places, to.values.places) : isSame(from[key], to[key]);

/** In what a sheet differs from what it was, a line each: old and new, or which part of it was changed. */
export const changesOfSheet = (
  from: ModelSheet,
  to: ModelSheet,
  system: System,
): readonly string[] => [
  ...names
    .filter(([key]) => from[key] !== to[key])
    .map(([key, label]) => `${label}: ${String(from[key]) || '—'} → ${String(to[key]) || '—'}`),
  ...sheetDifferences(from.values, to.values).map((d) => differenceText(d, system)),
  ...lists.filter(([key]) => !isListSame(from, to, key)).map(([, label]) => `${label}: changed`),
];
