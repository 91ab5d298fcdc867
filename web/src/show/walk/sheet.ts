import type { Mark } from '@fair-gable/core/show/walk';

/** What the sheet at the bottom of a walk is open for. */
export type Sheet = 'jump' | 'missed' | 'mark' | 'replan' | undefined;

/** The four marks, as their buttons say them. */
export const markButtons: readonly { key: Mark; label: string }[] = [
  { key: 'liked', label: 'Liked' },
  { key: 'asked', label: 'Asked' },
  { key: 'promise', label: 'Promise' },
  { key: 'not-working', label: 'Not working' },
];

/** The four marks, as a log says them. */
export const markWords: Readonly<Record<Mark, string>> = {
  liked: 'liked',
  asked: 'asked',
  promise: 'promised',
  'not-working': 'not working',
};

/** Of whose draft the words to a mark are. */
export const markPlace = (
  walk: string | undefined,
  point: string | undefined,
  mark: Mark,
): string => `walk.${walk ?? ''}.${point ?? ''}.${mark}`;
