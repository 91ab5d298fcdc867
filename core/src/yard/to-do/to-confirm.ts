import {
  features,
  specs,
  type Feature,
  type FeatureKey,
  type Spec,
  type SpecKey,
} from '../../unit/catalog/index.ts';
import { rules } from '../../unit/checks/index.ts';
import { applies, entryOf, statementsOf, type UnitRecord } from '../../unit/record/index.ts';

/** Why a field wants somebody to go and look: a guess, sources that disagree, only told, or nothing known. */
export type Why = 'conflict' | 'guess' | 'missing' | 'told';

/** A field to measure or confirm, and what hangs on it. */
export interface ToConfirm {
  readonly part: 'specs' | 'features';
  readonly key: SpecKey | FeatureKey;
  readonly why: Why;
  readonly hangs: Hanging;
}

/** What leans on a field: the checks that read it, and the cards that say its number. */
export interface Hanging {
  readonly checks: readonly string[];
  readonly cards: readonly string[];
}

/** A check that reads more than this looks at every field alike: nothing hangs on one of them. */
const mostNeeds = 24;

const hangings: ReadonlyMap<string, Hanging> = new Map(
  [...specs, ...features].map(({ key }) => [
    key,
    {
      checks: rules
        .filter(
          ({ needs }) => needs.length <= mostNeeds && (needs as readonly string[]).includes(key),
        )
        .map(({ about }) => about),
      cards: [...specs, ...features]
        .filter(({ numbers }) => numbers?.includes(key))
        .map(({ label }) => label),
    },
  ]),
);

/** What leans on a field. */
export const hangingOn = (key: SpecKey | FeatureKey): Hanging =>
  hangings.get(key) ?? { checks: [], cards: [] };

const weightOf = ({ hangs }: ToConfirm): number => hangs.checks.length + hangs.cards.length;

const urgency: Readonly<Record<Why, number>> = { conflict: 0, guess: 1, missing: 2, told: 3 };

const whyOf = (
  record: UnitRecord,
  part: ToConfirm['part'],
  entry: Spec | Feature,
): Why | undefined => {
  const known = entryOf(record, part, entry.key);
  if (!known) return part === 'specs' && entry.basic ? 'missing' : undefined;
  if (statementsOf(known).some((s, i) => i > 0 && s.how !== 'sheet')) return 'conflict';
  if (known.how === 'guessed') return 'guess';
  return known.how === 'told' && part === 'specs' ? 'told' : undefined;
};

const atPart = (
  record: UnitRecord,
  part: ToConfirm['part'],
  entries: readonly (Spec | Feature)[],
): readonly ToConfirm[] =>
  entries
    .filter((entry) => applies(record, entry))
    .flatMap((entry) => {
      const why = whyOf(record, part, entry);
      return why ? [{ part, key: entry.key, why, hangs: hangingOn(entry.key) }] : [];
    });

/**
 * What is to be measured or confirmed on a unit, by how much hangs on it: the checks that lean on it and
 * the cards that say it. What we were told and nothing depends on is left alone.
 */
export const toConfirm = (record: UnitRecord): readonly ToConfirm[] =>
  [...atPart(record, 'specs', specs), ...atPart(record, 'features', features)]
    .filter((row) => row.why !== 'told' || weightOf(row) > 0)
    .toSorted((a, b) => weightOf(b) - weightOf(a) || urgency[a.why] - urgency[b.why]);
