import {
  featureEntry,
  featureStates,
  isFeatureKey,
  isSpecKey,
  specEntry,
  type HowKnown,
} from '../catalogue/index.ts';
import { formatQuantity, type System } from '../quantity/index.ts';
import type { FieldValue, Part } from './change.ts';
import { formatSpec } from './read.ts';
import type { FeatureValue, Place, Settlement, SpecValue } from './schema.ts';

const entryLabel = (key: string): string => {
  if (isSpecKey(key)) return specEntry(key).label;
  return isFeatureKey(key) ? featureEntry(key).label : key;
};

/**
 * A field in words, for histories and lists.
 * @example fieldLabel('places', 'awning') // 'Awning, its place'
 */
export const fieldLabel = (part: Part, key: string): string => {
  if (part === 'places') return `${entryLabel(key)}, its place`;
  if (part !== 'settlements') return entryLabel(key);
  return `Note on ${entryLabel(key.split(':')[1] ?? key).toLowerCase()}`;
};

const sides: Readonly<Record<Place['side'], string>> = {
  door: 'door side',
  'off-door': 'off-door side',
  centre: 'in the middle',
  front: 'in front',
  rear: 'at the rear',
};

const placeText = ({ back, side, length, depth }: Place, system: System): string => {
  const show = (inches: number): string => formatQuantity(inches, 'feet', system);
  const size = [length && `${show(length)} long`, depth && `${show(depth)} deep`].filter(Boolean);
  return [`${show(back)} back, ${sides[side]}`, ...size].join(', ');
};

const featureText = ({ state, tried }: FeatureValue): string => {
  const label = featureStates.find((row) => row.key === state)?.label ?? state;
  return tried ? `${label}, tried and ${tried === 'works' ? 'works' : 'faulty'}` : label;
};

/**
 * A field's value in words; a guess bears “about”, what is not known says so.
 * @example fieldText('features', 'awning', { state: 'prep' }, 'seen', 'us') // 'prep'
 */
export const fieldText = (
  part: Part,
  key: string,
  value: FieldValue | null,
  how: HowKnown,
  system: System,
): string => {
  if (value === null) return 'not known';
  switch (part) {
    case 'specs':
      return isSpecKey(key) ? formatSpec(key, value as SpecValue, system, how) : '';
    case 'features':
      return featureText(value as FeatureValue);
    case 'places':
      return placeText(value as Place, system);
    case 'settlements':
      return `“${(value as Settlement).reason}”`;
  }
};
