import { knownBy, statesOf, type FeatureKind } from '@fair-gable/core/unit/catalog';

/** One row of the page of keys: what is pressed, and what it does. */
export interface KeyRow {
  readonly keys: readonly string[];
  readonly does: string;
}

export interface KeyGroup {
  readonly place: string;
  readonly rows: readonly KeyRow[];
}

/** What a key does while a walk is given; `press` is the event's name of it. */
export interface GivingKey {
  readonly act: 'said' | 'shown' | 'later' | 'undo';
  readonly does: string;
  readonly keys: readonly { readonly press: string; readonly name: string }[];
}

const letter = (name: string) => ({ press: name.toLowerCase(), name });

/** A clicker sends Page Down and Page Up. */
export const givingKeys: readonly GivingKey[] = [
  {
    act: 'said',
    does: 'Said, next card',
    keys: [
      { press: ' ', name: 'Space' },
      { press: 'ArrowRight', name: '→' },
      { press: 'PageDown', name: 'Page Down' },
    ],
  },
  { act: 'shown', does: 'Shown, next card', keys: [letter('S')] },
  { act: 'later', does: 'Later, to come back to', keys: [letter('L')] },
  {
    act: 'undo',
    does: 'Undo',
    keys: [letter('U'), { press: 'ArrowLeft', name: '←' }, { press: 'PageUp', name: 'Page Up' }],
  },
];

/** The digits that set a state, by the kind of feature that has the focus. */
const featurePlaces = [
  { place: 'Record, on equipment', kind: 'equipment' },
  { place: 'Record, on a label', kind: 'label' },
  { place: 'Record, on a loose item', kind: 'comes' },
  { place: 'Record, on a yes-or-no question', kind: 'proof' },
] as const satisfies readonly { place: string; kind: FeatureKind }[];

const digitsOf = (kind: FeatureKind) => [
  ...statesOf(kind).map(({ label }, i) => ({ keys: [String(i + 1)], does: `Set “${label}”` })),
  { keys: ['0'], does: 'Not checked' },
];

/** Every key of ours, by the place where it is pressed. What each does can be done by a button too. */
export const keyGroups: readonly KeyGroup[] = [
  {
    place: 'Anywhere',
    rows: [
      { keys: ['F'], does: 'Find a unit and go to it' },
      { keys: ['?'], does: 'Show these keys' },
      { keys: ['Esc'], does: 'Close what’s over the page, or an open field' },
      {
        keys: ['←', '→'],
        does: 'Move between buttons in a group; Tab leaves it',
      },
    ],
  },
  {
    place: 'Record, at a station',
    rows: [
      { keys: ['Page Down'], does: 'Go to the next station, at its first field' },
      { keys: ['Page Up'], does: 'Back to the station before' },
      { keys: ['Tab'], does: 'Next field' },
      { keys: ['Enter'], does: 'Open a field; in it, save what you typed' },
    ],
  },
  ...featurePlaces.map(({ place, kind }) => ({ place, rows: digitsOf(kind) })),
  {
    place: 'Record, how a value is known (with Alt while typing)',
    rows: knownBy.map(({ letter, word }) => ({ keys: [letter.toUpperCase()], does: word })),
  },
  {
    place: 'Giving a walk',
    rows: givingKeys.map(({ keys, does }) => ({ keys: keys.map(({ name }) => name), does })),
  },
];

/** Where a letter is a letter, and not one of our keys: in fields, lists and whatever lies over the page. */
const typing = 'input, textarea, select, [contenteditable], [role=combobox], [role=dialog]';

/** A key pressed by itself, away from any field. */
export const isKeyAlone = (event: KeyboardEvent): boolean =>
  !event.ctrlKey &&
  !event.metaKey &&
  !event.altKey &&
  !event.defaultPrevented &&
  !(event.target as Element).closest(typing);
