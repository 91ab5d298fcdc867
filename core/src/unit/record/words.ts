import type { System } from '../../base/quantity/index.ts';
import { stationEntry, type HowKnown } from '../catalog/index.ts';
import { partRow, parts, type FieldValue, type Part } from './parts/index.ts';

/**
 * A field in words, for histories and lists.
 * @example fieldLabel('places', 'awning') // 'Awning, its place'
 */
export const fieldLabel = (part: Part, key: string): string => partRow(part).label(key);

const isPart = (name: string): name is Part => (parts as readonly string[]).includes(name);

/**
 * What a photo shows, in words.
 * @example targetLabel('specs.gvwr') // 'GVWR'
 */
export const targetLabel = (target: string): string => {
  const [part = '', key = ''] = target.split('.');
  if (part === 'stations') return stationEntry(key as never).label;
  return isPart(part) ? fieldLabel(part, key) : target;
};

/** Who says something of a unit; what came in by a file was written by whoever that file names. */
export const byWhom = ({
  by,
  filed,
}: {
  readonly by: string;
  readonly filed?: true | undefined;
}): string => (filed ? `${by}, as the file says` : by);

/** The same in a narrow column: by first name, or that a file said it. */
export const whoBriefly = ({
  by,
  filed,
}: {
  readonly by: string;
  readonly filed?: true | undefined;
}): string => {
  const [first = by] = by.split(' ');
  return filed ? 'from a file' : first;
};

/**
 * A field's value in words; a guess bears “about”, what is not known says so.
 * @example fieldText('features', 'awning', { state: 'prep' }, 'seen', 'us') // 'prep'
 */
export const fieldText = (
  part: Part,
  key: string,
  value: FieldValue | null,
  how: HowKnown,
  system: System,
): string =>
  value === null
    ? 'not known'
    : partRow(part).text(value, { key, how, system, called: targetLabel });
