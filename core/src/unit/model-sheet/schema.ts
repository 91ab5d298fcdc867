import { z } from 'zod';
import {
  entryFor,
  isFeatureKey,
  isLocatedKey,
  isSpecKey,
  specEntry,
  type FeatureKey,
  type FeatureState,
  type SpecKey,
} from '../catalog/index.ts';
import { sentence } from '../../base/problems/index.ts';
import {
  featureStateSchema,
  isWordingKey,
  placeSchema,
  wordingSchema,
  specProblem,
  stateProblem,
  specValueSchema,
  type Place,
  type Wording,
  type SpecValue,
} from '../record/index.ts';
import { sheetStateProblem } from './states.ts';

const words = z.string().trim().min(1).max(400);
const month = z.string().regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'A month, as 2026-02.');
const slug = z.string().regex(/^[a-z][a-z0-9-]{0,40}$/, 'Small letters, digits and hyphens.');

/** What a sheet, a package or a change says of a unit. */
export const sheetValuesSchema = z
  .strictObject({
    specs: z.record(z.string(), specValueSchema).default({}),
    features: z.record(z.string(), featureStateSchema).default({}),
    places: z.record(z.string(), placeSchema).default({}),
  })
  .superRefine((values, context) => {
    const message = valuesProblem(values);
    if (message !== undefined) context.addIssue({ code: 'custom', message });
  });

/** Values of a sheet; what is not there it does not say. */
export interface SheetValues {
  readonly specs: Readonly<Partial<Record<SpecKey, SpecValue>>>;
  readonly features: Readonly<Partial<Record<FeatureKey, FeatureState>>>;
  readonly places: Readonly<Partial<Record<SpecKey | FeatureKey, Place>>>;
}

export const noValues: SheetValues = { specs: {}, features: {}, places: {} };

/** The head of a sheet says these; its values do not. */
const inHead: readonly string[] = ['series', 'floorPlan', 'modelYear'];

const ownToUnits = (keys: readonly string[]): string | undefined =>
  keys.find(
    (key) =>
      (isSpecKey(key) || isFeatureKey(key)) && (entryFor(key).unitOnly || inHead.includes(key)),
  );

const strangeKey = (values: Shape): string | undefined =>
  Object.keys(values.specs).find((key) => !isSpecKey(key)) ??
  Object.keys(values.features).find((key) => !isFeatureKey(key)) ??
  Object.keys(values.places).find((key) => !isLocatedKey(key));

interface Shape {
  readonly specs: Readonly<Record<string, SpecValue>>;
  readonly features: Readonly<Record<string, FeatureState>>;
  readonly places: Readonly<Record<string, Place>>;
}

const valuesProblem = (values: Shape): string | undefined => {
  const strange = strangeKey(values);
  if (strange !== undefined)
    return sentence('The sheet', { code: 'unknown-field', params: { field: strange } });
  const own = ownToUnits([...Object.keys(values.specs), ...Object.keys(values.features)]);
  if (own !== undefined)
    return `${entryFor(own as SpecKey).label} is each unit’s own: leave it off the sheet.`;
  for (const [key, value] of Object.entries(values.specs)) {
    const problem = specProblem(key as SpecKey, value);
    if (problem) return sentence(specEntry(key as SpecKey).label, problem);
  }
  for (const [key, state] of Object.entries(values.features)) {
    const problem = stateProblem(key as FeatureKey, state);
    if (problem) return sentence(entryFor(key as FeatureKey).label, problem);
    const ofUnit = sheetStateProblem(key as FeatureKey, state);
    if (ofUnit) return ofUnit;
  }
  return undefined;
};

/** A package or an option: what it adds, what it takes away, and what it cannot be ordered with. */
export const packageSchema = z.strictObject({
  key: slug,
  name: z.string().trim().min(1).max(60),
  /** On every unit of the model. */
  standard: z.boolean().default(false),
  adds: sheetValuesSchema,
  /** Features that make way for it. */
  replaces: z.array(z.string().refine(isFeatureKey, 'No such feature.')).max(40).default([]),
  /** Keys of packages that cannot be on the same unit. */
  forbids: z.array(slug).max(20).default([]),
  note: words.optional(),
});

/** What changed in mid-year, for units built in this month or later. */
export const midYearSchema = z.strictObject({
  from: month,
  says: words,
  values: sheetValuesSchema,
  /** Features that are no longer there. */
  without: z.array(z.string().refine(isFeatureKey, 'No such feature.')).max(40).default([]),
});

const objectionSchema = z.strictObject({
  says: words,
  answer: words,
  /** The spec or feature that brings it up, which says where it is answered. */
  about: z
    .string()
    .refine((key) => isSpecKey(key) || isFeatureKey(key), 'No such spec or feature.')
    .optional(),
});

/** What somebody found on a unit and offers to the sheet; a manager takes it over or leaves it. */
export const offerSchema = z.strictObject({
  id: z.uuid(),
  unit: z.uuid(),
  unitName: z.string().max(120),
  part: z.enum(['specs', 'features']),
  key: z.string().max(90),
  spec: specValueSchema.optional(),
  feature: featureStateSchema.optional(),
  by: z.string().max(80),
  at: z.iso.datetime(),
});

/** What the maker's sheet says of a model of one year. Without a floor plan: of the whole series. */
export const modelSheetSchema = z
  .strictObject({
    id: z.uuid(),
    series: z.string().trim().min(1).max(40),
    floorPlan: z.string().trim().max(20).default(''),
    year: z.number().int().min(1950).max(2100),
    /** Where it comes from: “maker’s sheet of January 2026”. */
    source: z.string().trim().max(160).default(''),
    values: sheetValuesSchema,
    packages: z.array(packageSchema).max(40).default([]),
    midYear: z.array(midYearSchema).max(20).default([]),
    /** Other models that are the same but for a few things. */
    sisters: z.array(z.uuid()).max(10).default([]),
    objections: z.array(objectionSchema).max(30).default([]),
    wouldChange: z.array(words).max(30).default([]),
    /** How cards are worded on every unit of the model that does not word them itself. */
    wordings: z.record(z.string().refine(isWordingKey, 'No such card.'), wordingSchema).default({}),
  })
  .superRefine((sheet, context) => {
    const message = sheetProblem(sheet);
    if (message) context.addIssue({ code: 'custom', message, path: ['packages'] });
  });

const sheetProblem = (sheet: {
  readonly packages: readonly { key: string; name: string; forbids: readonly string[] }[];
}): string | undefined => {
  const keys = sheet.packages.map((p) => p.key);
  const twice = keys.find((key, i) => keys.indexOf(key) !== i);
  if (twice) return `Two packages have the key “${twice}”: give one another.`;
  const lost = sheet.packages.find((p) => p.forbids.some((key) => !keys.includes(key)));
  return lost && `“${lost.name}” forbids a package that isn’t on this sheet.`;
};

export interface SheetPackage {
  readonly key: string;
  readonly name: string;
  readonly standard: boolean;
  readonly adds: SheetValues;
  readonly replaces: readonly FeatureKey[];
  readonly forbids: readonly string[];
  readonly note?: string | undefined;
}

export interface MidYear {
  /** `2026-02` */
  readonly from: string;
  readonly says: string;
  readonly values: SheetValues;
  readonly without: readonly FeatureKey[];
}

export interface Offer {
  readonly id: string;
  readonly unit: string;
  readonly unitName: string;
  readonly part: 'specs' | 'features';
  readonly key: string;
  readonly spec?: SpecValue | undefined;
  readonly feature?: FeatureState | undefined;
  readonly by: string;
  readonly at: string;
}

/** What people say of a model, and the honest answer. */
export interface SheetObjection {
  readonly says: string;
  readonly answer: string;
  readonly about?: string | undefined;
}

export interface ModelSheet {
  readonly id: string;
  readonly series: string;
  readonly floorPlan: string;
  readonly year: number;
  readonly source: string;
  readonly values: SheetValues;
  readonly packages: readonly SheetPackage[];
  readonly midYear: readonly MidYear[];
  readonly sisters: readonly string[];
  readonly objections: readonly SheetObjection[];
  readonly wouldChange: readonly string[];
  readonly wordings: Readonly<Record<string, Wording>>;
}

/** A sheet as the yard keeps it. */
export interface KeptSheet {
  readonly sheet: ModelSheet;
  /** Counts its changes, from 1. */
  readonly version: number;
  readonly by: string;
  readonly at: string;
  readonly offers: readonly Offer[];
}
