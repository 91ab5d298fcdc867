import {
  statesOf,
  type FeatureKind,
  type FeatureState,
  type HowKnown,
  type StateChoice,
} from '@fair-gable/core/unit/catalog';
import type { Entry, FeatureValue } from '@fair-gable/core/unit/record';

/** What a tap keeps of a feature; null takes it back: not checked. */
export interface Tapped {
  readonly value: FeatureValue | null;
  readonly how: HowKnown;
}

/** What only the sheet says is looked at now: a tap says that it was seen. */
const howAfter = (entry: Entry<FeatureValue> | undefined): HowKnown =>
  entry && entry.how !== 'sheet' ? entry.how : 'seen';

/**
 * A tap on a state. A second one on the same takes it back; on what the sheet says it confirms it.
 * @param state what is chosen then; null where it was chosen before
 */
export const afterTap = (
  entry: Entry<FeatureValue> | undefined,
  state: FeatureState | null,
): Tapped => {
  const confirmed = entry?.how === 'sheet' ? entry.value.state : undefined;
  const chosen = state ?? confirmed;
  return { value: chosen ? { state: chosen } : null, how: howAfter(entry) };
};

/** A tap on whether it works, which a second one takes back; nothing where nobody knows that it is there. */
export const afterTrying = (
  entry: Entry<FeatureValue> | undefined,
  tried: 'works' | 'faulty',
): Tapped | undefined => {
  if (!entry) return undefined;
  const { state } = entry.value;
  const value = entry.value.tried === tried ? { state } : { state, tried };
  return { value, how: howAfter(entry) };
};

/** The state of a kind that a digit stands for: 1 the first; null for 0, not checked after all; nothing for any other key. */
export const stateOfDigit = (key: string, kind?: FeatureKind): FeatureState | null | undefined =>
  key === '0' ? null : /^[1-9]$/.test(key) ? statesOf(kind)[Number(key) - 1]?.key : undefined;

/** Whether all states of a kind have room beside one another on a phone. */
export const hasFewStates = (kind?: FeatureKind): boolean => statesOf(kind).length <= 4;

/** The states to tap: all of them, or the likelier two where there is little room. */
export const statesOffered = (
  state: FeatureState | undefined,
  all: boolean,
  kind?: FeatureKind,
): StateChoice[] => {
  const likely = state && state !== 'none' ? state : 'standard';
  const isFew = hasFewStates(kind);
  return statesOf(kind).filter(({ key }) => all || isFew || key === likely || key === 'none');
};
