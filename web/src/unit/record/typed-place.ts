import { sentence } from '@fair-gable/core/base/problems';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import type { Feature, HowKnown, Spec } from '@fair-gable/core/unit/catalog';
import { typedDistance, type Change, type Place } from '@fair-gable/core/unit/record';

/** A place as it is typed, or tapped on the outline. */
export interface PlaceDraft {
  back: string;
  length: string;
  depth: string;
  side: Place['side'];
  how: HowKnown;
  basedOn: number;
  /** Inches back from the coupler, where it was only tapped. */
  tapped?: number | undefined;
}

/** What a typed distance from the coupler means: inches and how they read in both systems, or what is wrong. */
export interface TypedDistance {
  readonly inches: number | undefined;
  readonly echo: string;
  readonly problem: string;
}

/** Reads a distance as it is typed. An empty field is nothing, not a problem. */
export const readDistance = (label: string, text: string, system: System): TypedDistance => {
  if (text.trim() === '') return { inches: undefined, echo: '', problem: '' };
  const read = typedDistance(text, system);
  if (!read.ok) return { inches: undefined, echo: '', problem: sentence(label, read.problem) };
  const inBoth = (['us', 'metric'] as const).map((s) => formatQuantity(read.value, 'feet', s));
  return { inches: read.value, echo: inBoth.join(' = '), problem: '' };
};

/** The change that keeps a place as typed, or the sentence that says what of it can’t be read. */
export const placeChange = (
  draft: PlaceDraft,
  entry: Spec | Feature,
  system: System,
): Change | string => {
  const { back, side, how, basedOn } = draft;
  if (back.trim() === '') return 'Distance from the coupler: type how far back it is.';
  const sizes = entry.located?.shape === 'slide' ? (['length', 'depth'] as const) : [];
  const typed = [
    { key: 'back', ...readDistance('Distance from the coupler', back, system) },
    ...sizes.map((key) => ({ key, ...readDistance(`Slide ${key}`, draft[key], system) })),
  ];
  const wrong = typed.find(({ problem }) => problem);
  if (wrong) return wrong.problem;
  const inches = typed.flatMap(({ key, inches: n }) => (n === undefined ? [] : [[key, n]]));
  const value = { side, ...Object.fromEntries(inches) } as Place;
  return { part: 'places', key: entry.key, value, how, basedOn };
};
