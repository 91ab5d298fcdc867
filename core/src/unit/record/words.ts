import { inText } from '../../base/words/index.ts';
import {
  featureEntry,
  featureStates,
  findingKind,
  gravities,
  inspectionItem,
  isFeatureKey,
  isInspectionKey,
  isSpecKey,
  isWheelKey,
  specEntry,
  stationEntry,
  wears,
  wheelPlace,
  type HowKnown,
} from '../catalog/index.ts';
import { formatQuantity, type System } from '../../base/quantity/index.ts';
import type { FieldValue, ValueOf } from './change.ts';
import { formatSpec } from './read.ts';
import type { FeatureValue, Part, Place } from './schema.ts';
import { verdicts } from './values/finding.ts';

const entryLabel = (key: string): string => {
  if (isSpecKey(key)) return specEntry(key).label;
  return isFeatureKey(key) ? featureEntry(key).label : key;
};

/** What a card is about, by its id. */
const wordingOf = (id: string): string => {
  const [kind, key = ''] = id.split('.');
  if (kind === 'own') return 'a thing of our own';
  if (kind === 'objections') return 'an objection';
  return kind === 'changes' ? 'what we would change' : inText(entryLabel(key));
};

/** What a part's field is called, where its key alone does not say it. */
const labels: { readonly [P in Part]?: (key: string) => string } = {
  places: (key) => `${entryLabel(key)}, its place`,
  settlements: (key) => `Note on ${inText(entryLabel(key.split(':')[1] ?? key))}`,
  findings: () => 'A finding',
  wheels: (key) => (isWheelKey(key) ? `Wheel, ${wheelPlace(key).label}` : key),
  moisture: () => 'A moisture reading',
  photos: () => 'A photo',
  inspection: (key) => (isInspectionKey(key) ? inspectionItem(key).label : key),
  signatures: (key) => (key === 'inspection' ? 'Inspection, signed' : 'A finding, signed'),
  stowed: (key) => `${entryLabel(key)}, where it is kept`,
  fitted: () => 'Fitted here',
  questions: () => 'A question',
  trials: () => 'A trial that was kept',
  wordings: (key) => `What is said of ${wordingOf(key)}`,
};

/**
 * A field in words, for histories and lists.
 * @example fieldLabel('places', 'awning') // 'Awning, its place'
 */
export const fieldLabel = (part: Part, key: string): string =>
  labels[part]?.(key) ?? entryLabel(key);

const sides: Readonly<Record<Place['side'], string>> = {
  door: 'door side',
  'off-door': 'off-door side',
  centre: 'in the middle',
  front: 'in front',
  rear: 'at the rear',
};

const placeText = ({ back, side, length, depth }: Place, system: System): string => {
  const show = (inches: number): string => formatQuantity(inches, 'feet', system);
  const size = [length && `${show(length)} long`, depth && `${show(depth)} deep`].filter(Boolean);
  return [`${show(back)} back, ${sides[side]}`, ...size].join(', ');
};

const featureText = ({ state, tried }: FeatureValue): string => {
  const label = featureStates.find((row) => row.key === state)?.label ?? state;
  return tried ? `${label}, tried and ${tried === 'works' ? 'works' : 'faulty'}` : label;
};

const treads = (inches: readonly number[]): string =>
  `${inches.map((n) => Math.round(n * 32)).join(', ')} thirty-seconds of tread`;

const labelIn = (rows: readonly { key: string; label: string }[], key: string): string =>
  rows.find((row) => row.key === key)?.label ?? key;

const wheelText = (wheel: ValueOf<'wheels'>, system: System): string =>
  [
    wheel.make,
    wheel.size,
    wheel.range && `load range ${wheel.range}`,
    wheel.index !== undefined && `load index ${wheel.index}`,
    wheel.tread && treads(wheel.tread),
    wheel.pressure !== undefined && formatQuantity(wheel.pressure, 'pressure', system),
    wheel.wear && `worn ${labelIn(wears, wheel.wear)}`,
    wheel.well && `well ${wheel.well}`,
    wheel.wheel && `wheel ${wheel.wheel}`,
    wheel.note && `“${wheel.note}”`,
  ]
    .filter(Boolean)
    .join(', ') || 'looked at';

const inspectedText = (
  key: string,
  { result, measured, note }: ValueOf<'inspection'>,
  system: System,
): string => {
  const display = isInspectionKey(key) ? inspectionItem(key).measure?.display : undefined;
  const words = { pass: 'passed', fail: 'failed', 'not-tried': 'not tried' } as const;
  return [
    words[result],
    measured !== undefined && display && formatQuantity(measured, display, system),
    note && `“${note}”`,
  ]
    .filter(Boolean)
    .join(', ');
};

/** A value as its part writes it. */
const texts: {
  readonly [P in Part]: (value: ValueOf<P>, key: string, how: HowKnown, system: System) => string;
} = {
  specs: (value, key, how, system) => (isSpecKey(key) ? formatSpec(key, value, system, how) : ''),
  features: (value) => featureText(value),
  places: (value, _key, _how, system) => placeText(value, system),
  settlements: ({ reason }) => `“${reason}”`,
  findings: ({ kind, gravity, station, note, repaired }) =>
    [
      `${findingKind(kind).label}, ${inText(stationEntry(station).label)}`,
      inText(labelIn(gravities, gravity)),
      note && `“${note}”`,
      repaired && `repaired by ${repaired.by}`,
    ]
      .filter(Boolean)
      .join(', '),
  wheels: (value, _key, _how, system) => wheelText(value, system),
  moisture: ({ percent, dry }) => `${percent} %${dry ? ', at a dry place' : ''}`,
  photos: ({ of, caption }) =>
    caption ?? `of ${of.map((target) => targetLabel(target)).join(', ')}`,
  inspection: (value, key, _how, system) => inspectedText(key, value, system),
  signatures: ({ verdict, note }) =>
    [inText(labelIn(verdicts, verdict)), note && `“${note}”`].filter(Boolean).join(', '),
  stowed: ({ where }) => where,
  fitted: ({ what, weight }, _key, _how, system) =>
    `${what}, ${formatQuantity(weight, 'weight', system)}`,
  questions: ({ text, answer }) => (answer ? `${text} Answer: ${answer}` : text),
  trials: ({ name, card }) => (card ? `“${name}”, with a card on the walk` : `“${name}”`),
  wordings: ({ words, wanted }) =>
    [words && `“${words}”`, wanted && `${wanted} in the plan`].filter(Boolean).join(', ') ||
    'as the record words it',
};

/**
 * What a photo shows, in words.
 * @example targetLabel('specs.gvwr') // 'Gross weight rating'
 */
export const targetLabel = (target: string): string => {
  const [part = '', key = ''] = target.split('.');
  if (part === 'stations') return stationEntry(key as never).label;
  return part in texts ? fieldLabel(part as Part, key) : target;
};

/** Who says something of a unit; what came in by a file was written by whoever that file names. */
export const whoSaid = ({
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
): string => {
  if (value === null) return 'not known';
  const write = texts[part] as (
    value: FieldValue,
    key: string,
    how: HowKnown,
    system: System,
  ) => string;
  return write(value, key, how, system);
};
