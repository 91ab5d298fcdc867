import { z } from 'zod';
import {
  featureEntry,
  featureStates,
  isFeatureKey,
  stateLabel,
  type FeatureKey,
  type FeatureState,
} from '../../catalog/index.ts';
import { entryLabel } from '../values/entry-label.ts';
import { keysOf } from '../values/spot.ts';
import { part } from './part.ts';

export const featureStateSchema = z.enum(keysOf<FeatureState>(featureStates));

/** Whether it was only seen, or tried. */
export const triedSchema = z.enum(['works', 'faulty']);

export const featureValueSchema = z.strictObject({
  state: featureStateSchema,
  tried: triedSchema.optional(),
});
export type FeatureValue = z.infer<typeof featureValueSchema>;

/** The checklist: whether a thing is there, and works. */
export const features = part({
  schema: featureValueSchema,
  isKey: isFeatureKey,
  label: entryLabel,
  text: ({ state, tried }, { key }) => {
    const label = stateLabel(state, featureEntry(key as FeatureKey).kind);
    return tried ? `${label}, tried and ${tried === 'works' ? 'works' : 'faulty'}` : label;
  },
  isDisputable: true,
  example: ['awning', { state: 'standard', tried: 'works' }],
});
