import { tirePositions } from '../entries/tires.ts';
import type { Choice } from '../choice.ts';

/** Where a wheel sits; the same places as those of the tire dates. */
export const wheelPlaces = tirePositions;
export type WheelKey = (typeof tirePositions)[number]['key'];

export const isWheelKey = (key: string): key is WheelKey => wheelPlaces.some((p) => p.key === key);

export const wheelPlace = (key: WheelKey): (typeof tirePositions)[number] =>
  wheelPlaces.find((p) => p.key === key) as (typeof tirePositions)[number];

/** How a tread is worn across, and what that most often comes from; common practice. */
export const wears = [
  { key: 'even', label: 'even' },
  { key: 'one-edge', label: 'one edge' },
  { key: 'both-edges', label: 'both edges' },
  { key: 'middle', label: 'the middle' },
  { key: 'cupped', label: 'in cups' },
] as const satisfies readonly Choice[];

export const wellStates = [
  { key: 'clean', label: 'clean' },
  { key: 'scraped', label: 'scraped' },
  { key: 'torn', label: 'torn' },
] as const satisfies readonly Choice[];

export const wheelStates = [
  { key: 'good', label: 'good' },
  { key: 'scuffed', label: 'scuffed' },
  { key: 'rusted', label: 'rusted' },
  { key: 'bent', label: 'bent' },
] as const satisfies readonly Choice[];
