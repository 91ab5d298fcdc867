import type { FeatureKey, SpecKey } from '../catalogue/index.ts';
import { formatDate } from '../dates/index.ts';
import { formatQuantity, type Display, type System } from '../quantity/index.ts';
import type { RuleFinding, Look, Severity, Way } from './types.ts';
import { goTo, withReason } from './ways.ts';

type Key = SpecKey | FeatureKey;

/** What a rule says: of which field, how bad, in a few words and in a sentence with the numbers in it. */
interface Said {
  readonly field: Key;
  readonly severity: Severity;
  readonly title: string;
  readonly sentence: string;
  /** Other fields that may be the wrong one. */
  readonly also?: readonly Key[];
  /** Ways of its own, before the usual ones. */
  readonly ways?: readonly Way[];
}

/** A finding with the usual ways to settle it: go to the field, to the others, or state a reason. */
export const say = ({
  field,
  severity,
  title,
  sentence,
  also = [],
  ways = [],
}: Said): RuleFinding => ({
  field,
  severity,
  title,
  sentence,
  ways: [...ways, goTo(field), ...also.map((key) => goTo(key)), withReason()],
});

/** Amounts in the reader's units, for sentences. */
export const shown =
  (display: Display) =>
  (amount: number, system: System): string =>
    formatQuantity(amount, display, system);

export const feet = shown('feet');
export const inches = shown('inches');
export const amps = shown('current');
export const watts = shown('watts');
export const gallons = shown('volume');
export const heat = shown('heat');
export const psi = shown('pressure');

/** Today in the reader's words. */
export const todayOf = ({ today }: Look): string => formatDate(today);

/** A count and its noun: `1 thing`, `2 things`. */
export const many = (n: number, noun: string): string => `${n} ${noun}${n === 1 ? '' : 's'}`;

/** `1 thing is`, `2 things are`. */
export const manyAre = (n: number, noun: string): string =>
  `${many(n, noun)} ${n === 1 ? 'is' : 'are'}`;

export const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
