import { inText, listed } from '../../base/words/index.ts';
import { z } from 'zod';
import {
  featureEntry,
  isFeatureKey,
  isSpecKey,
  specEntry,
  type FeatureKey,
  type SpecKey,
} from '../../unit/catalog/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import { amountOf, hasFeature, textOf, type Basics, type Brief } from '../../unit/record/index.ts';
import type { Need } from '../to-do/index.ts';
import { isFoundIn } from './search.ts';

/** How many columns of one's own stand beside the drawing. */
export const mostColumns = 4;

/** By what a yard can be sorted. */
export const sorts = ['length', 'gvwr', 'name', 'stock-number', 'year', 'need'] as const;
export type Sort = (typeof sorts)[number];

const inches = z.number().positive().max(1000);
const pounds = z.number().positive().max(100_000);
const specKey = z.string().refine(isSpecKey, 'No such field.');
const featureKey = z.string().refine(isFeatureKey, 'No such feature.');

/** Which units of a yard are looked at, in which order, and what is shown of each. */
export const viewSchema = z.strictObject({
  text: z.string().trim().max(80).default(''),
  condition: z.enum(['new', 'used']).nullable().default(null),
  /** Overall, inches. */
  longest: inches.nullable().default(null),
  /** GVWR, pounds. */
  heaviest: pounds.nullable().default(null),
  /** Dry weight, pounds. */
  driest: pounds.nullable().default(null),
  /** Model year, at least. */
  fromYear: z.number().int().min(1950).max(2100).nullable().default(null),
  /** Sleeping places, at least. */
  sleeps: z.number().int().min(1).max(20).nullable().default(null),
  /** A figure that nobody knows yet. */
  unknown: specKey.nullable().default(null),
  has: z.array(featureKey).max(8).default([]),
  need: z.enum(['now', 'soon', 'none']).nullable().default(null),
  sort: z.enum(sorts).default('length'),
  columns: z.array(specKey).max(mostColumns).default([]),
});

export interface YardView {
  readonly text: string;
  readonly condition: 'new' | 'used' | null;
  readonly longest: number | null;
  readonly heaviest: number | null;
  readonly driest: number | null;
  readonly fromYear: number | null;
  readonly sleeps: number | null;
  readonly unknown: SpecKey | null;
  readonly has: readonly FeatureKey[];
  readonly need: Need['urgency'] | null;
  readonly sort: Sort;
  readonly columns: readonly SpecKey[];
}

/** A view kept under a name, by one person. */
export const savedViewSchema = z.strictObject({
  name: z.string().trim().min(1).max(40),
  view: viewSchema,
});
export const savedViewsSchema = z.array(savedViewSchema).max(20);
export interface SavedView {
  readonly name: string;
  readonly view: YardView;
}

/** The whole yard, by length. */
export const wholeYard: YardView = {
  text: '',
  condition: null,
  longest: null,
  heaviest: null,
  driest: null,
  fromYear: null,
  sleeps: null,
  unknown: null,
  has: [],
  need: null,
  sort: 'length',
  columns: [],
};

/** Whether a unit fits a view; `unknown` where nobody can say, for a figure that is asked for is not known. */
export type Fit = 'yes' | 'no' | 'unknown';

const held = (
  figure: number | undefined,
  limit: number | null,
  isOver: (figure: number, limit: number) => boolean,
): Fit => {
  if (limit === null) return 'yes';
  if (figure === undefined) return 'unknown';
  return isOver(figure, limit) ? 'no' : 'yes';
};
const over = (figure: number, limit: number): boolean => figure > limit;
const under = (figure: number, limit: number): boolean => figure < limit;

const countOf = (record: Basics, key: 'modelYear' | 'sleeps'): number | undefined => {
  const value = record.specs[key]?.value;
  return value?.kind === 'number' ? value.number : undefined;
};

const figuresFit = (record: Basics, view: YardView): readonly Fit[] => [
  held(amountOf(record, 'overallLength'), view.longest, over),
  held(amountOf(record, 'gvwr'), view.heaviest, over),
  held(amountOf(record, 'uvw'), view.driest, over),
  held(countOf(record, 'modelYear'), view.fromYear, under),
  held(countOf(record, 'sleeps'), view.sleeps, under),
];

/** A unit as it is looked for: what is asked of few units is worked out only then. */
export interface Lookable {
  readonly record: Basics;
  readonly brief: () => Brief;
  /** `searchText`; who searches often keeps it. */
  readonly words: () => string;
}

/** Whether a unit is looked at in a view, but for what it needs. */
export const fitOf = ({ record, brief, words }: Lookable, view: YardView): Fit => {
  const { condition, unknown } = view;
  const fits =
    (condition === null || textOf(record, 'condition') === condition) &&
    (unknown === null || brief().specs[unknown] === undefined) &&
    view.has.every((key) => hasFeature(brief(), key)) &&
    (view.text.trim() === '' || isFoundIn(words(), view.text.trim()));
  if (!fits) return 'no';
  const figures = figuresFit(record, view);
  if (figures.includes('no')) return 'no';
  return figures.includes('unknown') ? 'unknown' : 'yes';
};

const conditions = { new: 'New units', used: 'Used units' } as const;
const needs: Readonly<Record<Need['urgency'], string>> = {
  now: 'that need something now',
  soon: 'that need something before they are shown',
  none: 'that are ready to show',
};
const orders: Readonly<Record<Sort, string>> = {
  length: 'by length',
  gvwr: 'by GVWR',
  name: 'by name',
  'stock-number': 'by stock number',
  year: 'by model year, newest first',
  need: 'by what they need',
};

/**
 * A view as a sentence.
 * @example sentenceOf(wholeYard, 'us') // 'All units, by length'
 */
export const sentenceOf = (view: YardView, system: System): string => {
  const { condition, longest, heaviest, driest, fromYear, sleeps, unknown } = view;
  const { has, need, text, sort } = view;
  const parts = [
    condition ? conditions[condition] : 'All units',
    longest !== null && `up to ${formatQuantity(longest, 'feet', system)}`,
    heaviest !== null && `GVWR up to ${formatQuantity(heaviest, 'weight', system)}`,
    driest !== null && `UVW up to ${formatQuantity(driest, 'weight', system)}`,
    fromYear !== null && `${fromYear} or newer`,
    sleeps !== null && `that sleep ${sleeps} or more`,
    unknown !== null && `with ${inText(specEntry(unknown).label)} not known`,
    has.length > 0 && `with ${listed(has.map((key) => inText(featureEntry(key).label)))}`,
    text !== '' && `with “${text}” anywhere`,
    need && needs[need],
    orders[sort],
  ];
  return parts.filter(Boolean).join(', ');
};

/** What stands over the columns of one's own. */
export const columnLabels = (view: YardView): readonly string[] =>
  view.columns.map((key) => specEntry(key).label);

const yearOf = (record: Basics): number => Number(textOf(record, 'modelYear') ?? 0);
const stockOf = (record: Basics): string => (textOf(record, 'stockNumber') ?? '￿').toLowerCase();
const text = new Intl.Collator('en', { numeric: true });
const urgencies: readonly Need['urgency'][] = ['now', 'soon', 'none'];

/** A unit as it is sorted. */
export interface Sortable {
  readonly record: Basics;
  readonly name: string;
  /** Worked out only where one sorts by it. */
  readonly need: () => Need;
}

const amounts = (a: number | undefined, b: number | undefined): number =>
  (a ?? Infinity) === (b ?? Infinity) ? 0 : (a ?? Infinity) - (b ?? Infinity);

/** How two units stand to one another in a view; what is not known comes last. */
export const comparing =
  (sort: Sort) =>
  (a: Sortable, b: Sortable): number => {
    switch (sort) {
      case 'length':
        return amounts(amountOf(a.record, 'overallLength'), amountOf(b.record, 'overallLength'));
      case 'gvwr':
        return amounts(amountOf(a.record, 'gvwr'), amountOf(b.record, 'gvwr'));
      case 'name':
        return text.compare(a.name, b.name);
      case 'stock-number':
        return text.compare(stockOf(a.record), stockOf(b.record));
      case 'year':
        return yearOf(b.record) - yearOf(a.record);
      case 'need':
        return urgencies.indexOf(a.need().urgency) - urgencies.indexOf(b.need().urgency);
    }
  };
