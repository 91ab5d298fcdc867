import { z } from 'zod';
import { isFeatureKey } from '../../catalog/index.ts';
import { entryLabel } from '../values/entry-label.ts';
import { words } from '../values/spot.ts';
import { part } from './part.ts';

/** Where a loose item is kept on the unit. */
export const stowedSchema = z.strictObject({ where: words });
export type Stowed = z.infer<typeof stowedSchema>;

/** Loose items that go with the unit, and where they are. */
export const stowed = part({
  schema: stowedSchema,
  isKey: isFeatureKey,
  label: (key) => `${entryLabel(key)}, where it’s stowed`,
  text: ({ where }) => where,
  example: ['manuals', { where: 'in the drawer under the sink' }],
});
