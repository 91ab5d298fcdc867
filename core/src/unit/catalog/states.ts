/**
 * States of a feature, in the order of the digit keys that set them.
 * “Not fitted” and “not checked” are different things; not checked is the absence of a state.
 */
export const featureStates = [
  { key: 'standard', label: 'standard', fitted: true },
  { key: 'option', label: 'option', fitted: true },
  { key: 'ours', label: 'ours', fitted: true },
  { key: 'prep', label: 'prep', fitted: false },
  { key: 'room', label: 'room', fitted: false },
  { key: 'none', label: 'none', fitted: false },
] as const;

export type FeatureState = (typeof featureStates)[number]['key'];

/** Whether the thing itself is there: prep and room are not. */
export const isFitted = (state: FeatureState | undefined): boolean =>
  featureStates.some((row) => row.key === state && row.fitted);

/**
 * How a value is known, best first. `word` goes behind the value, `letter` is the desk's key for it.
 * A guess may never leave as a fact.
 */
export const knownBy = [
  { key: 'read', letter: 'r', label: 'Read', word: 'read off the label' },
  { key: 'measured', letter: 'm', label: 'Measured', word: 'measured' },
  { key: 'seen', letter: 's', label: 'Seen', word: 'seen or counted' },
  { key: 'sheet', letter: 'h', label: 'Sheet', word: 'maker’s sheet' },
  { key: 'told', letter: 't', label: 'Told', word: 'told' },
  { key: 'guessed', letter: 'g', label: 'Guess', word: 'guessed' },
] as const;

export type HowKnown = (typeof knownBy)[number]['key'];
