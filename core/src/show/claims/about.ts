import {
  featureEntry,
  isFeatureKey,
  isSpecKey,
  specEntry,
  specsOnCard,
  type SpecKey,
} from '../../unit/catalog/index.ts';
import { aboutOf } from '../about/index.ts';

/** The specs that a card is of: a figure in its words needs no name. @example aboutCard('specs.freshTank') */
export const aboutCard = (id: string): readonly SpecKey[] => {
  const key = aboutOf(id)?.name ?? '';
  if (isSpecKey(key)) return [key, ...specsOnCard(specEntry(key))];
  return isFeatureKey(key) ? specsOnCard(featureEntry(key)) : [];
};
