import type { WalkEvent, WalkPlan } from './events.ts';
import { logOf, type LogLine } from './log.ts';
import { breath, paces, usualPace, wordsIn } from '../cards/index.ts';

/** How fast somebody speaks, and from how many cards that is known. */
export interface LearnedPace {
  /** Words a minute. */
  readonly pace: number;
  readonly cards: number;
}

/** Fewer cards than these say nothing of how somebody speaks. */
const cardsEnough = 12;
/** A card that took longer was talked over, milliseconds. */
const longest = 90_000;

const median = (sorted: readonly number[]): number =>
  ((sorted[Math.floor((sorted.length - 1) / 2)] ?? 0) +
    (sorted[Math.ceil((sorted.length - 1) / 2)] ?? 0)) /
  2;

/** Words a minute of each card that was told and not shown, straight after another. */
const ratesOf = (done: readonly LogLine[]): readonly number[] =>
  done.flatMap(({ point, how, at }, i) => {
    const before = done[i - 1];
    if (!before || how !== 'said' || before.point.station !== point.station) return [];
    const spoken = at - before.at - breath * 1000;
    if (spoken <= 1000 || spoken > longest) return [];
    return [(wordsIn(point.sentence) * 60_000) / spoken];
  });

/**
 * The pace of whoever gave some walks: the middle of all cards they told without showing anything, so that a question
 * asked in between or a card tapped late does not count for much.
 * @returns undefined while too few cards say it
 */
export const paceFrom = (
  walks: readonly { readonly plan: WalkPlan; readonly events: readonly WalkEvent[] }[],
): LearnedPace | undefined => {
  const rates = walks
    .map(({ plan, events }) => logOf(plan, events))
    .filter(({ finished }) => finished)
    .flatMap(({ done }) => ratesOf(done))
    .toSorted((a, b) => a - b);
  if (rates.length < cardsEnough) return undefined;
  const pace = Math.min(Math.max(Math.round(median(rates)), paces.from), paces.to);
  return { pace, cards: rates.length };
};

/** The pace somebody is planned with: the one they set, else the one their walks show, else the usual one. */
export const paceFor = (own: number | null, learned: number | null): number =>
  own ?? learned ?? usualPace;
