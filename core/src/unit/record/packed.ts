import { isSpecKey, specEntry, type HowKnown, type ValueKind } from '../catalog/index.ts';
import type { Brief, Known } from './brief.ts';
import type { FeatureValue } from './parts/features.ts';
import type { Place } from './parts/places.ts';
import type { Settlement } from './parts/settlements.ts';
import type { SpecValue } from './values/spec.ts';

/** Entries by how they are known, and under it by their keys. */
type ByHow<T> = Readonly<Partial<Record<HowKnown, Readonly<Record<string, T>>>>>;

/** What alone says a value, where its kind is that of its field: 7490 for a GVWR; else all of it. */
type PlainSpec = number | string | readonly number[] | SpecValue;

/**
 * A brief but for its questions, without what the catalog says anyway and without saying of every entry how it is known: about a
 * seventh of its text, so that a large yard can be fetched and held.
 */
export interface PackedBrief {
  readonly specs: ByHow<PlainSpec>;
  /** Keys by state, one space between two: `{ read: { standard: 'awning coupler' } }`. */
  readonly features: ByHow<string>;
  readonly places: ByHow<Place>;
  readonly settlements: ByHow<Settlement>;
}

/** Where the value of each kind stands. */
const mainOf = {
  text: 'text',
  number: 'number',
  choice: 'choice',
  quantity: 'amount',
  counted: 'count',
  size: 'sides',
  date: 'date',
} as const satisfies Readonly<Record<ValueKind['kind'], string>>;

const plainSpec = (key: string, value: SpecValue): PlainSpec => {
  const { kind, ...rest } = value;
  const isUsual = isSpecKey(key) && specEntry(key).value.kind === kind;
  const [main, ...more] = Object.values(rest).filter((one) => one !== undefined);
  return isUsual && more.length === 0 ? (main as PlainSpec) : value;
};

/** Undefined for a field that this version's catalog does not have. */
const wholeSpec = (key: string, plain: PlainSpec): SpecValue | undefined => {
  if (typeof plain === 'object' && 'kind' in plain) return plain;
  if (!isSpecKey(key)) return undefined;
  const { kind } = specEntry(key).value;
  return { kind, [mainOf[kind]]: plain } as SpecValue;
};

const packedBy = <T, P>(
  entries: Readonly<Partial<Record<string, Known<T>>>>,
  plain: (key: string, value: T) => P,
): ByHow<P> => {
  const by: Partial<Record<HowKnown, Record<string, P>>> = {};
  for (const [key, known] of Object.entries(entries)) {
    if (known) (by[known.how] ??= {})[key] = plain(key, known.value);
  }
  return by;
};

const unpackedBy = <T, P>(
  by: ByHow<P>,
  whole: (key: string, plain: P) => T | undefined,
): Record<string, Known<T>> => {
  const entries: Record<string, Known<T>> = {};
  for (const [how, group] of Object.entries(by)) {
    for (const [key, plain] of Object.entries(group)) {
      const value = whole(key, plain);
      if (value !== undefined) entries[key] = { value, how: how as HowKnown };
    }
  }
  return entries;
};

const same = <T>(_key: string, value: T): T => value;

const packedFeatures = (features: Brief['features']): ByHow<string> => {
  const by: Partial<Record<HowKnown, Record<string, string>>> = {};
  for (const [key, known] of Object.entries(features)) {
    if (!known) continue;
    const { state, tried } = known.value;
    const group = (by[known.how] ??= {});
    const words = tried ? `${state} ${tried}` : state;
    group[words] = words in group ? `${group[words]} ${key}` : key;
  }
  return by;
};

/** All of one state share their value. */
const unpackedFeatures = (by: ByHow<string>): Brief['features'] => {
  const features: Record<string, Known<FeatureValue>> = {};
  for (const [how, group] of Object.entries(by)) {
    for (const [words, keys] of Object.entries(group)) {
      const [state, tried] = words.split(' ');
      const value = { state, ...(tried && { tried }) } as FeatureValue;
      const known = { value, how: how as HowKnown };
      for (const key of keys.split(' ')) features[key] = known;
    }
  }
  return features;
};

/** Packs a brief, to be held or sent with many others. */
export const packed = ({ specs, features, places, settlements }: Brief): PackedBrief => ({
  specs: packedBy(specs, plainSpec),
  features: packedFeatures(features),
  places: packedBy(places, same),
  settlements: packedBy(settlements, same),
});

/** The brief that was packed, but for its questions, and for fields that this version's catalog does not have. */
export const unpacked = (brief: PackedBrief): Omit<Brief, 'questions'> => ({
  specs: unpackedBy(brief.specs, wholeSpec),
  features: unpackedFeatures(brief.features),
  places: unpackedBy(brief.places, same),
  settlements: unpackedBy(brief.settlements, same),
});
