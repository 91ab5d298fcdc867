import { z } from 'zod';
import { inText } from '../../../base/words/index.ts';
import { isFeatureKey, isSpecKey, type StationKey } from '../../catalog/index.ts';
import { entryLabel } from '../values/entry-label.ts';
import { isMadeKey, station, words } from '../values/spot.ts';
import { part } from './part.ts';

/** How somebody wants a card of the walk: worded otherwise, in every plan or in none, or one of their own. */
export const wordingSchema = z.strictObject({
  words: words.optional(),
  /** What the record would have had said when the words were written. */
  instead: words.optional(),
  wanted: z.enum(['always', 'never']).optional(),
  /** Where a card of one’s own is given, and what it is called. */
  station: station.optional(),
  label: z.string().trim().min(1).max(80).optional(),
});
export interface Wording {
  readonly words?: string | undefined;
  readonly instead?: string | undefined;
  readonly wanted?: 'always' | 'never' | undefined;
  readonly station?: StationKey | undefined;
  readonly label?: string | undefined;
}

const slug = /^[a-z0-9]+(?:-[a-z0-9]+)*$/;

/**
 * Which cards may be worded: of a spec, a feature, an objection, something that we would change, or one’s own. What is
 * said first and what a bench answers follow from the record alone.
 * @example isWordingKey('specs.gvwr') // true
 */
export const isWordingKey = (key: string): key is string => {
  const [kind, of = '', ...more] = key.split('.');
  if (more.length > 0 || of.length > 60) return false;
  if (kind === 'specs') return isSpecKey(of);
  if (kind === 'features') return isFeatureKey(of);
  if (kind === 'own') return isMadeKey(of);
  return (kind === 'objections' || kind === 'changes') && slug.test(of);
};

/** What a card is about, by its id. */
const wordingOf = (id: string): string => {
  const [kind, key = ''] = id.split('.');
  if (kind === 'own') return 'a thing of our own';
  if (kind === 'objections') return 'an objection';
  return kind === 'changes' ? 'what we would change' : inText(entryLabel(key));
};

/** Cards of the walk that somebody worded, wants always or never, or wrote; by the card’s id. */
export const wordings = part<Wording, string>({
  schema: wordingSchema,
  isKey: isWordingKey,
  label: (key) => `What is said of ${wordingOf(key)}`,
  text: ({ words: said, wanted }) =>
    [said && `“${said}”`, wanted && `${wanted} in the plan`].filter(Boolean).join(', ') ||
    'as the record words it',
  example: ['specs.gvwr', { words: 'Loaded, it may weigh 7,490 lb.', wanted: 'always' }],
});
