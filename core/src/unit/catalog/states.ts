/**
 * States of a feature. “Not fitted” and “not checked” are different things; not checked is the absence of a state.
 * Which of them a thing can have, and what they are called there, says its kind.
 */
export const featureStates = [
  { key: 'standard', label: 'standard', fitted: true },
  { key: 'option', label: 'option', fitted: true },
  { key: 'ours', label: 'added here', fitted: true },
  { key: 'prep', label: 'prep only', fitted: false },
  { key: 'room', label: 'room for', fitted: false },
  { key: 'none', label: 'not fitted', fitted: false },
  { key: 'unreadable', label: 'unreadable', fitted: false },
  { key: 'missing', label: 'missing', fitted: false },
] as const;

export type FeatureState = (typeof featureStates)[number]['key'];

/** A state that a kind of feature can have, as it is called there. */
export interface StateChoice {
  readonly key: FeatureState;
  readonly label: string;
}

const yesOrNo = [
  { key: 'standard', label: 'yes' },
  { key: 'none', label: 'no' },
] as const satisfies readonly StateChoice[];

/** What sort of thing a feature is, with the states it can have, in the order of the digit keys that set them. */
export const featureKinds = {
  /** Something built in or bolted on. */
  equipment: [
    { key: 'standard', label: 'standard' },
    { key: 'option', label: 'option' },
    { key: 'ours', label: 'added here' },
    { key: 'prep', label: 'prep only' },
    { key: 'room', label: 'room for' },
    { key: 'none', label: 'not fitted' },
  ],
  /** A label or a sticker. */
  label: [
    { key: 'standard', label: 'there and legible' },
    { key: 'unreadable', label: 'unreadable' },
    { key: 'none', label: 'missing' },
  ],
  /** Something that was looked up, looked at or handed over. */
  proof: yesOrNo,
  /** What comes along without being fixed to it. */
  comes: [
    { key: 'standard', label: 'here' },
    { key: 'ours', label: 'here, from us' },
    { key: 'missing', label: 'missing' },
    { key: 'none', label: 'not included' },
  ],
  /** How something lies. */
  position: yesOrNo,
} as const satisfies Readonly<Record<string, readonly StateChoice[]>>;

export type FeatureKind = keyof typeof featureKinds;

/** The states that a kind of feature can have. */
export const statesOf = (kind: FeatureKind = 'equipment'): readonly StateChoice[] =>
  featureKinds[kind];

/** What a state is called of a kind of feature; of one that it cannot have, as of a thing fitted. */
export const stateLabel = (state: string, kind?: FeatureKind): string =>
  [...statesOf(kind), ...featureStates].find(({ key }) => key === state)?.label ?? state;

/** Whether the thing itself is there: prep and room are not. */
export const isFitted = (state: FeatureState | undefined): boolean =>
  featureStates.some((row) => row.key === state && row.fitted);

/** Whether it is prepared for, or has room, and is not there. */
export const isPrepared = (state: FeatureState | undefined): boolean =>
  state === 'prep' || state === 'room';

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
