import type { System } from '@fair-gable/core/base/quantity';
import {
  isSpecKey,
  specEntry,
  stations,
  entryFor,
  type FeatureKey,
  type FeatureState,
  type SpecKey,
  type Station,
} from '@fair-gable/core/unit/catalog';
import {
  noValues,
  type ModelSheet,
  type Offer,
  type SheetValues,
} from '@fair-gable/core/unit/model-sheet';
import { fieldText, type SpecValue } from '@fair-gable/core/unit/record';

/** A row of a sheet: one field and what the sheet says of it. */
export interface SheetRow {
  readonly key: SpecKey | FeatureKey;
  readonly label: string;
  readonly text: string;
}

/** What a sheet says, station by station, as text. */
export const rowsByStation = (
  values: SheetValues,
  system: System,
): readonly { readonly station: Station; readonly rows: readonly SheetRow[] }[] => {
  const specs = Object.entries(values.specs).map(([key, value]) => ({
    key: key as SpecKey,
    label: entryFor(key as SpecKey).label,
    text: fieldText('specs', key, value, 'sheet', system),
  }));
  const features = Object.entries(values.features).map(([key, state]) => ({
    key: key as FeatureKey,
    label: entryFor(key as FeatureKey).label,
    text: fieldText('features', key, { state }, 'sheet', system),
  }));
  const rows = [...specs, ...features];
  return stations
    .map((station) => ({
      station,
      rows: rows.filter(({ key }) => entryFor(key).station === station.key),
    }))
    .filter(({ rows: here }) => here.length > 0);
};

/** Values with one field said, or no longer said. */
export const withField = (
  values: SheetValues,
  key: SpecKey | FeatureKey,
  said: SpecValue | FeatureState | undefined,
): SheetValues => {
  const part = isSpecKey(key) ? 'specs' : 'features';
  // One that is said already keeps its place.
  if (said) return { ...values, [part]: { ...values[part], [key]: said } };
  const rest = Object.entries(values[part]).filter(([other]) => other !== key);
  return { ...values, [part]: Object.fromEntries(rest) };
};

/** A sheet to begin with. */
export const blankSheet = (id: string, year: number): ModelSheet => ({
  id,
  series: '',
  floorPlan: '',
  year,
  source: '',
  values: noValues,
  packages: [],
  midYear: [],
  sisters: [],
  objections: [],
  wouldChange: [],
  wordings: {},
});

/** A new sheet that begins as another does: a sister’s of the same year, or the same model’s of the year before. */
export const sheetFrom = (other: ModelSheet, id: string, year: number): ModelSheet => ({
  ...other,
  id,
  year,
  source: '',
  floorPlan: other.year === year ? '' : other.floorPlan,
  sisters: other.year === year ? [other.id, ...other.sisters].slice(0, 10) : [],
  // What changed in the other’s year is the other’s.
  midYear: other.year === year ? other.midYear : [],
});

/** A sheet with an offer taken over. */
export const withOffer = (sheet: ModelSheet, offer: Offer): ModelSheet => ({
  ...sheet,
  values: withField(sheet.values, offer.key as SpecKey, offer.spec ?? offer.feature),
});

/** An offer in words: the field, and what was found. */
export const offerText = (offer: Offer, system: System): string => {
  const value = offer.spec ?? (offer.feature && { state: offer.feature });
  const label = isSpecKey(offer.key)
    ? specEntry(offer.key).label
    : entryFor(offer.key as FeatureKey).label;
  return value ? `${label}: ${fieldText(offer.part, offer.key, value, 'sheet', system)}` : label;
};
