import { counted } from '../../base/words/index.ts';
import type { FeatureKey, SpecKey } from '../catalog/index.ts';
import { formatDate } from '../../base/dates/index.ts';
import { formatQuantity, type Display, type System } from '../../base/quantity/index.ts';
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
export const asFinding = ({
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

/** `1 thing is`, `2 things are`. */
export const manyAre = (n: number, noun: string): string =>
  `${counted(n, noun)} ${n === 1 ? 'is' : 'are'}`;
