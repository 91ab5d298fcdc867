import { featureStates, knownBy } from '@fair-gable/core';

/** One row of the page of keys: what is pressed, and what it does. */
export interface KeyRow {
  readonly keys: readonly string[];
  readonly does: string;
}

export interface KeyGroup {
  readonly place: string;
  readonly rows: readonly KeyRow[];
}

/** Every key of ours, by the place where it is pressed. What each does can be done by a button too. */
export const keyGroups: readonly KeyGroup[] = [
  {
    place: 'Anywhere',
    rows: [
      { keys: ['F'], does: 'Find a unit and go to it' },
      { keys: ['?'], does: 'Show these keys' },
      { keys: ['Esc'], does: 'Close what lies over the page' },
    ],
  },
  {
    place: 'Record, at a station',
    rows: [
      { keys: ['Page Down'], does: 'Walk on to the next station' },
      { keys: ['Page Up'], does: 'Back to the station before' },
      { keys: ['Tab'], does: 'Next field' },
    ],
  },
  {
    place: 'Record, on a feature',
    rows: [
      ...featureStates.map(({ label }, i) => ({ keys: [String(i + 1)], does: label })),
      { keys: ['0'], does: 'Not checked' },
    ],
  },
  {
    place: 'Record, how a value is known (with Alt while typing)',
    rows: knownBy.map(({ letter, word }) => ({ keys: [letter.toUpperCase()], does: word })),
  },
  {
    place: 'Giving a walk',
    rows: [
      { keys: ['Space', '→', 'Page Down'], does: 'Said, next card' },
      { keys: ['S'], does: 'Shown' },
      { keys: ['L'], does: 'Later, on the come-back pile' },
      { keys: ['U', '←', 'Page Up'], does: 'Undo' },
    ],
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
