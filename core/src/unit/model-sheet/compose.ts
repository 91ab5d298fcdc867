import type { FeatureKey, FeatureState } from '../catalog/index.ts';
import { textOf, type Basics, type UnitRecord } from '../record/index.ts';
import { noValues, type ModelSheet, type SheetPackage, type SheetValues } from './schema.ts';

const plain = (text: string): string => text.replaceAll(/[\s-]+/g, '').toLowerCase();

const over = (under: SheetValues, top: SheetValues): SheetValues => ({
  specs: { ...under.specs, ...top.specs },
  features: { ...under.features, ...top.features },
  places: { ...under.places, ...top.places },
});

const without = (values: SheetValues, gone: readonly FeatureKey[]): SheetValues => {
  const none = Object.fromEntries(gone.map((key) => [key, 'none' satisfies FeatureState]));
  return { ...values, features: { ...values.features, ...none } };
};

/** The sheet of the whole series in the same year, whose values every model of it has. */
export const seriesSheetOf = (
  sheet: ModelSheet,
  sheets: readonly ModelSheet[],
): ModelSheet | undefined =>
  sheet.floorPlan === ''
    ? undefined
    : sheets.find(
        (s) =>
          s.floorPlan === '' && s.year === sheet.year && plain(s.series) === plain(sheet.series),
      );

/** Which unit of a model is meant. */
export interface Build {
  /** `2026-02` or `2026-02-11`; undefined where nobody knows: then as at the beginning of the year. */
  readonly built?: string | undefined;
  /** Keys of the packages ordered; standard ones need not be named. `none` leaves those out, too. */
  readonly packages?: readonly string[] | 'none' | undefined;
}

const changesBy = (sheet: ModelSheet, built: string | undefined) =>
  sheet.midYear
    .filter(({ from }) => built !== undefined && built.slice(0, 7) >= from)
    .toSorted((a, b) => (a.from < b.from ? -1 : 1));

const isOn = (pack: SheetPackage, packages: readonly string[] | 'none'): boolean =>
  packages !== 'none' && (pack.standard || packages.includes(pack.key));

const ownValues = (sheet: ModelSheet, { built, packages = [] }: Build): SheetValues => {
  const yearly = changesBy(sheet, built).reduce(
    (values, change) => over(without(values, change.without), change.values),
    sheet.values,
  );
  return sheet.packages
    .filter((pack) => isOn(pack, packages))
    .reduce((values, pack) => over(without(values, pack.replaces), pack.adds), yearly);
};

/**
 * What a unit of a model has by its sheet: the series, over it the model, what changed in mid-year by
 * then, and the packages. Later layers win; what a package replaces is not there.
 * @param series the sheet of the whole series, where there is one
 */
export const composed = (
  sheet: ModelSheet,
  series: ModelSheet | undefined,
  build: Build = {},
): SheetValues => {
  const under = series ? ownValues(series, build) : noValues;
  return over(under, ownValues(sheet, build));
};

/** The sheet of a unit: the one of its series, floor plan and year, however they are spaced. */
export const sheetFor = <S extends ModelSheet>(
  record: Basics,
  sheets: readonly S[],
): S | undefined => {
  const [series, floorPlan] = [textOf(record, 'series'), textOf(record, 'floorPlan')];
  if (!series || !floorPlan) return undefined;
  const year = Number(textOf(record, 'modelYear'));
  return sheets.find(
    (s) =>
      s.floorPlan !== '' &&
      s.year === year &&
      plain(s.series) === plain(series) &&
      plain(s.floorPlan) === plain(floorPlan),
  );
};

/** The packages that a unit's record names, and the names that its sheet does not have. */
export const packagesOn = (
  record: UnitRecord,
  packages: readonly SheetPackage[],
): { readonly keys: readonly string[]; readonly strange: readonly string[] } => {
  const names = (textOf(record, 'packages') ?? '')
    .split(/[,;+]/)
    .map((name) => name.trim())
    .filter(Boolean);
  const found = (name: string) =>
    packages.find((p) => [p.name, p.key].some((n) => plain(n) === plain(name)));
  return {
    keys: names.flatMap((name) => found(name)?.key ?? []),
    strange: names.filter((name) => !found(name)),
  };
};

/** Pairs of packages on one unit that cannot be ordered together. */
export const forbiddenPairs = (
  keys: readonly string[],
  packages: readonly SheetPackage[],
): readonly (readonly [SheetPackage, SheetPackage])[] => {
  const on = packages.filter((p) => isOn(p, keys));
  return on.flatMap((a, i) =>
    on
      .slice(i + 1)
      .filter((b) => a.forbids.includes(b.key) || b.forbids.includes(a.key))
      .map((b) => [a, b] as const),
  );
};

/** Before all changes of a year. */
const atFirst = '0000-00';

/** The months in which a unit may have been built as far as its sheet tells them apart. */
const buildsOf = (sheet: ModelSheet, series: ModelSheet | undefined): readonly string[] => [
  atFirst,
  ...new Set([...sheet.midYear, ...(series?.midYear ?? [])].map(({ from }) => from)),
];

type Values = Readonly<Partial<Record<string, unknown>>>;

const sameIn = (all: readonly Values[]): Values => {
  const [first = {}, ...rest] = all;
  return Object.fromEntries(
    Object.entries(first).filter(([key, value]) =>
      rest.every((values) => JSON.stringify(values[key]) === JSON.stringify(value)),
    ),
  );
};

/** What holds whenever it was built: what a change in mid-year touched is not known without its date. */
const inCommon = (all: readonly SheetValues[]): SheetValues =>
  ({
    specs: sameIn(all.map(({ specs }) => specs)),
    features: sameIn(all.map(({ features }) => features)),
    places: sameIn(all.map(({ places }) => places)),
  }) as SheetValues;

/** What this unit has by its sheet, as ordered; undefined where the yard has no such sheet. */
export const inheritedBy = (
  record: UnitRecord,
  sheets: readonly ModelSheet[],
): { readonly sheet: ModelSheet; readonly values: SheetValues } | undefined => {
  const sheet = sheetFor(record, sheets);
  if (!sheet) return undefined;
  const series = seriesSheetOf(sheet, sheets);
  const packages = [...sheet.packages, ...(series?.packages ?? [])];
  const built = textOf(record, 'buildDate');
  const keys = packagesOn(record, packages).keys;
  const whenever = built === undefined ? buildsOf(sheet, series) : [built];
  const each = whenever.map((one) => composed(sheet, series, { built: one, packages: keys }));
  return { sheet, values: inCommon(each) };
};
