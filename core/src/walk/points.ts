import {
  featureEntry,
  features,
  findingKind,
  isFeatureKey,
  isFitted,
  specEntry,
  specs,
  type Feature,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type Spec,
  type SpecKey,
  type StationKey,
} from '../catalogue/index.ts';
import { operableOf, saidFirst } from '../condition/index.ts';
import {
  applies,
  formatSpec,
  hasFeature,
  type QuestionKey,
  type UnitRecord,
} from '../record/index.ts';
import { keptTrials, questionWords } from '../trial/index.ts';
import type { System } from '../quantity/index.ts';
import { grid, secondsFor, type CardNumber, type Point } from './point.ts';
import { asWorded, modelPoints, noTalk, type ModelTalk } from './told.ts';
import { hitchFirstDoorSide, layoutLength, stationPlaces } from '../outline/index.ts';

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** A sentence worded by how well it is known: read-off values stated, hearsay marked as such. */
const worded = (sentence: string, how: HowKnown): string => {
  if (how === 'sheet') return `The maker’s sheet says: ${lowerFirst(sentence)}`;
  return how === 'told' ? `We were told: ${lowerFirst(sentence)}` : sentence;
};

const numberOn = (record: UnitRecord, key: SpecKey, system: System): CardNumber => {
  const entry = record.specs[key];
  const { label } = specEntry(key);
  if (!entry) return { label };
  return { label, text: formatSpec(key, entry.value, system, entry.how), how: entry.how };
};

const valueText = (record: UnitRecord, key: SpecKey, system: System): string | undefined =>
  numberOn(record, key, system).text;

const extras = (entry: Spec | Feature): Pick<Point, 'not' | 'caution'> => ({
  ...(entry.notToBeConfused ? { not: entry.notToBeConfused } : {}),
  ...(entry.caution ? { caution: entry.caution } : {}),
});

interface Telling {
  readonly record: UnitRecord;
  readonly system: System;
  readonly operates: boolean;
  /** Failed at the inspection, or could not be tried. */
  readonly toldOnly: ReadonlySet<string>;
}

/** What to do beside the sentence; whoever operates nothing points. */
const showing = (
  entry: Spec | Feature,
  { operates, toldOnly }: Telling,
): { readonly what: string; readonly seconds: number } | undefined =>
  entry.show &&
  (operates && !toldOnly.has(entry.key)
    ? entry.show
    : { what: 'Point it out; operate nothing.', seconds: grid });

const specPoint = (spec: Spec, telling: Telling): Point | undefined => {
  const { record, system } = telling;
  const entry = record.specs[spec.key];
  if (!entry || !spec.say) return undefined;
  const value = formatSpec(spec.key, entry.value, system, entry.how);
  const sentence =
    entry.how === 'guessed'
      ? `Give no figure yet: ${lowerFirst(spec.label)} is only guessed, ${value}.`
      : worded(spec.say.replace('{}', value), entry.how);
  const show = showing(spec, telling);
  const keys = [spec.key, ...((spec.numbers ?? []) as readonly SpecKey[])];
  return {
    id: `specs.${spec.key}`,
    station: spec.station,
    label: spec.label,
    sentence,
    numbers: keys.map((key) => numberOn(record, key, system)),
    ...(show ? { show: show.what } : {}),
    ...extras(spec),
    seconds: secondsFor(sentence, show?.seconds),
  };
};

/** Fills `{key}` with a spec's value; a clause whose number is unknown or guessed says so. */
const filled = (record: UnitRecord, say: string, system: System): string =>
  say.replaceAll(/\{(\w+)\}/g, (_, key: string) => {
    const text = valueText(record, key as SpecKey, system);
    return text ?? 'a size nobody has measured yet';
  });

const stateTail = {
  standard: '',
  option: ' It is an option on this model.',
  ours: ' We fitted it here.',
};

/** What is lacking, and what makes up for it where that is fitted. */
const lackOf = (record: UnitRecord, { lack, madeUpBy = [] }: Feature): string | undefined => {
  const instead = madeUpBy
    .filter((key) => isFeatureKey(key) && hasFeature(record, key))
    .map((key) => featureEntry(key as FeatureKey).noun);
  return lack && instead.length > 0 ? `${lack} Instead there is ${instead.join(' and ')}.` : lack;
};

const sentenceFor = (record: UnitRecord, feature: Feature, system: System): string | undefined => {
  const entry = record.features[feature.key];
  if (!entry) return undefined;
  const { state, tried } = entry.value;
  if (state === 'none') return lackOf(record, feature);
  if (entry.how === 'guessed')
    return `Promise nothing: whether there is ${feature.noun} is only guessed.`;
  if (state === 'prep')
    return worded(`Prepared for ${feature.noun}; the thing itself is not fitted.`, entry.how);
  if (state === 'room')
    return worded(`There is room for ${feature.noun}; none is fitted.`, entry.how);
  const faulty = tried === 'faulty' ? ' It does not work at present.' : '';
  return worded(filled(record, feature.say, system) + stateTail[state] + faulty, entry.how);
};

/** What is only prepared is taken for the thing; what is lacking is confused with nothing. */
const lookAlike = ({ notToBeConfused }: Feature, state: FeatureState): Pick<Point, 'not'> =>
  notToBeConfused && state !== 'none' ? { not: notToBeConfused } : {};

const featurePoint = (feature: Feature, telling: Telling): Point | undefined => {
  const { record, system } = telling;
  const sentence = sentenceFor(record, feature, system);
  const entry = record.features[feature.key];
  if (!sentence || !entry) return undefined;
  const fitted = isFitted(entry.value.state);
  const show = fitted && entry.value.tried !== 'faulty' ? showing(feature, telling) : undefined;
  const keys = fitted ? ((feature.numbers ?? []) as readonly SpecKey[]) : [];
  return {
    id: `features.${feature.key}`,
    station: feature.station,
    label: feature.label,
    sentence,
    numbers: keys.map((key) => numberOn(record, key, system)),
    ...(show ? { show: show.what } : {}),
    ...(fitted ? extras(feature) : lookAlike(feature, entry.value.state)),
    seconds: secondsFor(sentence, show?.seconds),
  };
};

/** Where a kept trial is told: at the labels, but tyres at the wheels and water at the hookups. */
const trialStation: Readonly<Record<QuestionKey, StationKey>> = {
  load: 'labels',
  tow: 'hitch',
  nights: 'utilities',
  tyres: 'running-gear',
  label: 'labels',
  scale: 'labels',
};

/** The kept trials that were made cards, with what they answer now. */
const trialPoints = (record: UnitRecord, system: System): readonly Point[] =>
  keptTrials(record, system)
    .filter(({ kept, answer }) => kept.card && answer !== undefined)
    .map(({ id, kept, answer, sentence }) => ({
      id: `trials.${id}`,
      station: trialStation[kept.question],
      label: kept.name,
      sentence: sentence.slice(0, 500),
      numbers: [{ label: questionWords[kept.question], text: answer }],
      seconds: secondsFor(sentence),
    }));

/** What is told before anything else: each fault in plain words, never left out for want of time. */
const findingPoints = (record: UnitRecord): readonly Point[] =>
  saidFirst(record).map(({ id, finding }) => {
    const { label, plain } = findingKind(finding.kind);
    const note = finding.note ? ` ${finding.note.replace(/[.!?]?$/, '.')}` : '';
    const sentence = `${plain}${note}`.slice(0, 500);
    return {
      id: `findings.${id}`,
      station: finding.station,
      label,
      sentence,
      numbers: [],
      show: 'Show it; let them look as long as they like.',
      seconds: secondsFor(sentence, 10),
      first: true,
    };
  });

/** Things that belong together though they are at different stations: both are given, or neither. */
const links: Readonly<Record<string, string>> = {
  'features.solar': 'sun',
  'features.solarController': 'sun',
  'features.outsideKitchen': 'outside-cooking',
  'features.outsideFridge': 'outside-cooking',
  'features.tvBracket': 'television',
  'features.tv': 'television',
};

/** Stations in the order of the one route there is: hitch first, door side. */
export const routeOf = (record: UnitRecord): readonly StationKey[] =>
  hitchFirstDoorSide(stationPlaces(record, layoutLength(record)));

/**
 * Everything there is to say about a unit, in the order of its route.
 * Only what its record knows; what it lacks where a buyer would ask.
 * A unit that is not inspected is told and not operated; of one that is, not what failed or could not be tried.
 * @param operates false for whoever may look and tell but operate nothing, such as a guest presenter
 * @param talk what its model sheet adds, modelTalk
 */
export const pointsOf = (
  record: UnitRecord,
  system: System,
  operates = true,
  talk: ModelTalk = noTalk,
): readonly Point[] => {
  const { may, toldOnly } = operableOf(record);
  const telling: Telling = { record, system, operates: operates && may, toldOnly };
  const all = [
    // Nothing is said of a part of something that is not fitted, whatever stands in the record.
    ...specs.filter((s) => applies(record, s)).flatMap((s) => specPoint(s, telling) ?? []),
    ...features.filter((f) => applies(record, f)).flatMap((f) => featurePoint(f, telling) ?? []),
    ...trialPoints(record, system),
    ...modelPoints(talk),
  ].map((point) => (links[point.id] ? { ...point, link: links[point.id] } : point));
  const first = findingPoints(record);
  return [...first, ...ordered(record, asWorded(all, record, talk))];
};

const ordered = (record: UnitRecord, all: readonly Point[]): readonly Point[] =>
  [...new Set([...routeOf(record), ...all.map(({ station }) => station)])].flatMap((station) =>
    all.filter((point) => point.station === station),
  );
