import { inText } from '../../base/words/index.ts';
import {
  audiences,
  entryFor,
  isFeatureKey,
  isSpecKey,
  type Audience,
} from '../../unit/catalog/index.ts';
import type { Point } from '../cards/index.ts';
import { aboutOf } from '../about/index.ts';

/** Who is there, and how much each of them counts. */
export interface Listener {
  readonly audience: Audience;
  /** Above 0; what the others have does not matter, only the shares. */
  readonly weight: number;
}

/*
 * Common practice, in hundredths: what an audience asks for by name, what concerns everybody, what concerns others; and
 * what every buyer is told, whoever they are.
 */
const asked = 1000;
const everybody = 400;
const others = 100;
const basic = 800;
/** A station that is visited at all. */
export const stationBonus = 150;

/** What is only prepared for is told to whoever asks for the thing; nobody has to be told it. */
const interestIn = (point: Point, interest: number, isBasic: boolean): number =>
  point.prepared ? Math.min(interest / 2, everybody) : interest + (isBasic ? basic : 0);

const worthTo = (point: Point, audience: Audience): number => {
  const { kind, name: key = '' } = aboutOf(point.id) ?? {};
  if (kind === 'objection' || kind === 'change') return everybody;
  if (!isSpecKey(key) && !isFeatureKey(key)) return asked;
  const entry = entryFor(key);
  const named = entry.audiences as readonly Audience[];
  const interest = named.includes(audience) ? asked : named.length === 0 ? everybody : others;
  return interestIn(point, interest, entry.basic === true);
};

/**
 * What a card is worth to those who listen, hundredths; a whole number.
 * @param listeners nobody in particular where it is empty
 */
export const worthOfPoint = (point: Point, listeners: readonly Listener[]): number => {
  const all: readonly Listener[] =
    listeners.length > 0 ? listeners : audiences.map(({ key }) => ({ audience: key, weight: 1 }));
  const whole = all.reduce((sum, { weight }) => sum + weight, 0);
  const sum = all.reduce((so, { audience, weight }) => so + weight * worthTo(point, audience), 0);
  return Math.round(sum / whole);
};

/** How much of interest a card is, in words. */
export const interestWords = (point: Point, listeners: readonly Listener[]): string => {
  const worth = worthOfPoint(point, listeners);
  const names = listeners.map(({ audience }) =>
    inText(audiences.find(({ key }) => key === audience)?.label ?? ''),
  );
  const to = names.length > 0 ? ` to ${names.join(' and ')}` : '';
  if (worth >= asked * 0.8) return `of real interest${to}`;
  return worth >= everybody ? `of some interest${to}` : `of little interest${to}`;
};
