import {
  entryFor,
  features,
  isFeatureKey,
  isSpecKey,
  isStationKey,
  specs,
  type FeatureKey,
  type SpecKey,
} from './catalog.ts';

/** All that may be shown to anybody: the entries that say so. */
export const publicEntries: readonly (SpecKey | FeatureKey)[] = [...specs, ...features]
  .filter((entry) => entry.public)
  .map(({ key }) => key);

const publicKeys: ReadonlySet<string> = new Set(publicEntries);

/** Whether a spec or a feature may be shown to anybody. */
export const isPublic = (key: SpecKey | FeatureKey): boolean => publicKeys.has(key);

/**
 * Whether what a card or a photo is about may be shown to anybody.
 * @example isPublicTarget('specs.vin') // false
 */
export const isPublicTarget = (target: string): boolean => {
  const [part = '', key = ''] = target.split('.');
  if (part === 'stations') return isStationKey(key) && key !== 'papers';
  // A fault is told before anything else.
  if (part === 'findings') return true;
  const isOf = part === 'specs' ? isSpecKey(key) : part === 'features' && isFeatureKey(key);
  return isOf && publicKeys.has(key);
};

/** What a card or a photo is about, in the catalog's own words; undefined for what only the yard may see. */
export const publicLabel = (target: string): string | undefined => {
  const [part = '', key = ''] = target.split('.');
  const isEntry = part === 'specs' || part === 'features';
  return isEntry && isPublicTarget(target) ? entryFor(key as SpecKey).label : undefined;
};
