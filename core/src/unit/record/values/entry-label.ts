import { featureEntry, isFeatureKey, isSpecKey, specEntry } from '../../catalog/index.ts';

/** What the catalog calls a spec or a feature; of anything else its key. */
export const entryLabel = (key: string): string => {
  if (isSpecKey(key)) return specEntry(key).label;
  return isFeatureKey(key) ? featureEntry(key).label : key;
};

/** The label of a row. */
export const labelIn = (
  rows: readonly { readonly key: string; readonly label: string }[],
  key: string,
): string => rows.find((row) => row.key === key)?.label ?? key;
