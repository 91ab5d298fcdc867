import { inText } from '../../base/words/index.ts';
import { routeOf } from '../../unit/route/index.ts';
import {
  features,
  featureEntry,
  isFeatureKey,
  isFitted,
  isPrepared,
  isSpecKey,
  leadOf,
  specEntry,
  specs,
  specsOnCard,
  wordingsOf,
  wordsFor,
  blanksIn,
  type EntryWords,
  type Feature,
  type FeatureKey,
  type FeatureState,
  type Spec,
  type SpecKey,
  type StationKey,
} from '../../unit/catalog/index.ts';
import { doubtedFigures, type Look } from '../../unit/checks/index.ts';
import { inspectedAt, operableOf } from '../../unit/condition/index.ts';
import { faultsOf, type Fault } from '../disclosure/index.ts';
import type { System } from '../../base/quantity/index.ts';
import {
  adviceFor,
  applies,
  hasFeature,
  isKnownMissing,
  isOfKind,
  type UnitRecord,
} from '../../unit/record/index.ts';
import { keptTrials, questionOf } from '../../numbers/trial/index.ts';
import { grid, secondsFor, usualPace, type CardNumber, type Point } from './point.ts';
import { asKnown, isFigure, sayableText, wordedFor, type Worded } from './sentence.ts';
import { asWorded, modelPoints, noTalk, type ModelTalk } from './wording.ts';
import { aboutOf, idAbout } from '../about/index.ts';

/** For whom cards are made: who reads them, when, and who presents. */
export interface Presenting extends Look {
  /** False for whoever may look and tell but operate nothing, such as a guest presenter. */
  readonly operates?: boolean;
  /** What the unit's model sheet adds, modelTalk. */
  readonly talk?: ModelTalk;
  /** Words a minute. */
  readonly pace?: number;
}

interface Telling {
  readonly record: UnitRecord;
  readonly system: System;
  readonly pace: number;
  readonly operates: boolean;
  /** Failed at the inspection, or could not be tried. */
  readonly toldOnly: ReadonlySet<string>;
  /** Cards that somebody worded, or wants: they stand by themselves. */
  readonly asked: ReadonlySet<string>;
}

/** A number set large; a guess has no text, for it is not to be said. */
const numberOn = ({ record, system }: Telling, key: SpecKey): CardNumber => {
  const { label } = specEntry(key);
  const how = record.specs[key]?.how;
  const text = sayableText(record, key, system);
  return { label, ...(text === undefined ? {} : { text }), ...(how === undefined ? {} : { how }) };
};

const isOnlyGuessed = (record: UnitRecord, key: string): boolean =>
  isSpecKey(key) && record.specs[key]?.how === 'guessed';

/**
 * Whether what a thing is part of is on the unit, or nobody has looked and its part is known: of what is only prepared
 * nothing is said, and a guess at a part says nothing of the whole.
 */
const isWholeThere = (record: UnitRecord, entry: Spec | Feature): boolean => {
  if (entry.partOf === undefined) return true;
  const whole = featureEntry(entry.partOf as FeatureKey);
  const state = record.features[whole.key]?.value.state;
  const isThere = state === undefined ? !isOnlyGuessed(record, entry.key) : isFitted(state);
  return isThere && isWholeThere(record, whole);
};

/** Whether another card says already that it is there. */
const isSaidBy = (record: UnitRecord, { key, saidBy }: Feature): boolean => {
  if (!saidBy || !hasFeature(record, key) || !isSpecKey(saidBy.spec)) return false;
  return record.specs[saidBy.spec]?.how !== 'guessed' && isOfKind(record, saidBy);
};

/** Whether there is anything to say of an entry on this unit. */
const isSpokenOf = (record: UnitRecord, entry: Spec | Feature): boolean =>
  applies(record, entry) &&
  isWholeThere(record, entry) &&
  !('noun' in entry && isSaidBy(record, entry));

/**
 * The numbers under a sentence: every figure that is known, and what else is known and the sentence does not say. One
 * that the sentence would have said and nobody knows, or only guesses, stands there as not to be said.
 */
const numbersUnder = (
  telling: Telling,
  entry: Spec | Feature,
  keys: readonly SpecKey[],
  sentence: string,
): readonly CardNumber[] => {
  const wished = new Set(
    wordingsOf(wordsFor(entry.key).say).flatMap((wording) =>
      blanksIn(wording, entry.key).map(({ spec }) => spec),
    ),
  );
  return keys
    .filter((key) => isSpokenOf(telling.record, specEntry(key)))
    .filter((key) => {
      const text = sayableText(telling.record, key, telling.system);
      const isMissed = telling.record.specs[key] !== undefined || specEntry(key).basic === true;
      if (text === undefined) return isMissed && isFigure(key) && wished.has(key);
      return isFigure(key) || !sentence.includes(text);
    })
    .map((key) => numberOn(telling, key));
};

const extras = (record: UnitRecord, { key }: Spec | Feature): Pick<Point, 'not' | 'caution'> => {
  const words = wordsFor(key);
  const [not, caution] = [
    adviceFor(record, words.notToBeConfused),
    adviceFor(record, words.caution),
  ];
  return { ...(not ? { not } : {}), ...(caution ? { caution } : {}) };
};

/** What to do beside the sentence; whoever operates nothing points. */
const showing = ({ key }: Spec | Feature, { operates, toldOnly }: Telling): EntryWords['show'] => {
  const { show } = wordsFor(key);
  if (!show || (operates && !toldOnly.has(key))) return show;
  return { what: 'Point it out; don’t operate anything.', seconds: grid };
};

/** A card of a spec, with others that are told with it. @param station where it is told */
const specPoint = (
  spec: Spec,
  others: readonly SpecKey[],
  station: StationKey,
  telling: Telling,
): readonly Point[] => {
  const { record, system, pace } = telling;
  const entry = record.specs[spec.key];
  const worded = entry && wordedFor(record, spec, entry.how, system);
  if (!worded) return [];
  const sentence = asKnown(worded);
  const show = showing(spec, telling);
  return [
    {
      id: idAbout('spec', spec.key),
      station,
      label: spec.label,
      sentence,
      how: worded.how,
      numbers: [...numbersUnder(telling, spec, [spec.key, ...others], sentence)],
      ...(show ? { show: show.what } : {}),
      ...extras(record, spec),
      seconds: secondsFor(sentence, pace, show?.seconds),
    },
  ];
};

const stateTail = {
  standard: '',
  option: ' It’s an option on this model.',
  ours: ' We added it here.',
};

/** What is lacking, and what makes up for it where that is fitted. */
const lackOf = (record: UnitRecord, { key, madeUpBy = [] }: Feature): string | undefined => {
  const { lack } = wordsFor(key);
  const instead = madeUpBy
    .filter((other) => isFeatureKey(other) && hasFeature(record, other))
    .map((other) => featureEntry(other as FeatureKey).noun);
  return lack && instead.length > 0 ? `${lack} Instead there’s ${instead.join(' and ')}.` : lack;
};

/** What is said of a thing that is not there, or only prepared. */
const absence = (record: UnitRecord, feature: Feature, state: FeatureState): string | undefined => {
  const said: Partial<Record<FeatureState, string>> = {
    prep: `It’s prepped for ${feature.noun}, but that isn’t installed.`,
    room: `There’s room for ${feature.noun}, but that isn’t installed.`,
    unreadable: `The ${inText(feature.label)} can’t be read, so I can’t go by it.`,
    missing: `Missing right now: ${feature.noun}.`,
  };
  return said[state] ?? lackOf(record, feature);
};

/** Words for a thing that does less without another, where that is recorded as not there. */
const wordedWithout = ({ record }: Telling, { key }: Feature): string | undefined => {
  const { sayWithout = {} } = wordsFor(key);
  const lacking = Object.keys(sayWithout)
    .filter(isFeatureKey)
    .find((other) => record.features[other]?.how !== 'guessed' && isKnownMissing(record, other));
  return lacking && sayWithout[lacking];
};

const wordedFeature = (feature: Feature, telling: Telling): Worded | undefined => {
  const { record, system } = telling;
  const entry = record.features[feature.key];
  if (!entry) return undefined;
  const { how, value } = entry;
  if (how === 'guessed') {
    const words = `I haven’t checked whether it has ${feature.noun}; I’d want to look before I say so.`;
    return { words, how, heldBack: undefined };
  }
  const { state, tried } = value;
  if (!isFitted(state)) {
    const words = absence(record, feature, state);
    return words === undefined ? undefined : { words, how, heldBack: undefined };
  }
  const less = wordedWithout(telling, feature);
  const worded =
    less === undefined
      ? wordedFor(record, feature, how, system)
      : { words: less, how, heldBack: undefined };
  const faulty = tried === 'faulty' ? ' It isn’t working right now.' : '';
  const tail = `${stateTail[state as keyof typeof stateTail]}${faulty}`;
  return worded && { ...worded, words: `${worded.words}${tail}` };
};

/** Whether a feature's card tells what belongs to it: it is there, and not by a guess. */
const isTelling = (record: UnitRecord, { key }: Feature): boolean =>
  hasFeature(record, key) && record.features[key]?.how !== 'guessed';

/** What stands beside a feature's sentence, by whether the thing is there, prepared for, or lacking. */
const besides = (
  record: UnitRecord,
  feature: Feature,
  state: FeatureState,
): Pick<Point, 'not' | 'caution' | 'prepared'> => {
  const { not, caution } = extras(record, feature);
  if (isTelling(record, feature)) return { ...(not && { not }), ...(caution && { caution }) };
  // What is lacking is confused with nothing; what is only prepared is taken for the thing.
  if (isPrepared(state)) return { prepared: true, ...(not && { not }) };
  return isFitted(state) && not ? { not } : {};
};

const featurePoint = (feature: Feature, telling: Telling): readonly Point[] => {
  const { record, pace } = telling;
  const entry = record.features[feature.key];
  const worded = wordedFeature(feature, telling);
  if (!entry || !worded) return [];
  const sentence = asKnown(worded);
  const { state, tried } = entry.value;
  const fitted = isTelling(record, feature);
  const show = fitted && tried !== 'faulty' ? showing(feature, telling) : undefined;
  return [
    {
      id: idAbout('feature', feature.key),
      station: feature.station,
      label: feature.label,
      sentence,
      how: worded.how,
      numbers: fitted ? [...numbersUnder(telling, feature, specsOnCard(feature), sentence)] : [],
      ...(show ? { show: show.what } : {}),
      ...besides(record, feature, state),
      seconds: secondsFor(sentence, pace, show?.seconds),
    },
  ];
};

/** Specs of a group whose lead has no card: the first that is known leads, the others stand under it. */
const ledByFirst = (keys: readonly SpecKey[], station: StationKey, telling: Telling) => {
  const { record } = telling;
  const known = keys.filter((key) => record.specs[key] && isSpokenOf(record, specEntry(key)));
  const sure = known.filter((key) => record.specs[key]?.how !== 'guessed');
  const [first] = sure.length > 0 ? sure : known;
  if (first === undefined) return [];
  const others = known.filter((key) => key !== first);
  return specPoint(specEntry(first), others, station, telling);
};

/** Cards that somebody worded stand by themselves, though their figure is told with another. */
const wordedApart = (keys: readonly SpecKey[], station: StationKey, telling: Telling) =>
  keys
    .filter((key) => telling.asked.has(idAbout('spec', key)))
    .flatMap((key) => specPoint(specEntry(key), [], station, telling));

const once = (points: readonly Point[]): readonly Point[] => [
  ...new Map(points.map((point) => [point.id, point])).values(),
];

/** A thing, its kind and its numbers: one card. */
const cardsOf = (entry: Spec | Feature, telling: Telling): readonly Point[] => {
  const { record } = telling;
  const keys = specsOnCard(entry);
  const isSpec = 'value' in entry;
  const here = isSpokenOf(record, entry);
  const own = !here
    ? []
    : isSpec
      ? specPoint(entry, keys, entry.station, telling)
      : featurePoint(entry, telling);
  const tellsAll = isSpec ? own.length > 0 : here && isTelling(record, entry);
  return once([
    ...own,
    ...(tellsAll ? [] : ledByFirst(keys, entry.station, telling)),
    ...wordedApart(keys, entry.station, telling),
  ]);
};

/** The kept trials that were made cards, with what they answer now. */
const trialPoints = ({ record, system, pace }: Telling): readonly Point[] =>
  keptTrials(record, system, ({ card }) => card)
    .filter(({ answer }) => answer !== undefined)
    .map(({ id, kept, answer, sentence }) => ({
      id: idAbout('trial', id),
      station: questionOf(kept.question).station,
      label: kept.name,
      sentence: sentence.slice(0, 500),
      numbers: [{ label: questionOf(kept.question).words, text: answer }],
      seconds: secondsFor(sentence, pace),
    }));

/** What is wrong with it, in plain words, never left out for want of time; what goes deep before anything else. */
const faultPoint = ({ id, title, where, text, first }: Fault, pace: number): Point => ({
  id,
  station: where,
  label: title,
  sentence: text.slice(0, 500),
  numbers: [],
  show: 'Show it; let them look as long as they like.',
  seconds: secondsFor(text, pace, 10),
  ...(first ? { first: true as const } : {}),
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

const askedFor = (record: UnitRecord, talk: ModelTalk): ReadonlySet<string> =>
  new Set([...Object.keys(record.wordings), ...Object.keys(talk.wordings)]);

/** A fault that tells of a thing takes the place of the card that says it is missing or broken. */
const isToldAsFault = (record: UnitRecord, { id }: Point, told: ReadonlySet<string>): boolean => {
  const { kind, name: key = '' } = aboutOf(id) ?? {};
  if (kind !== 'feature' || !isFeatureKey(key) || !told.has(key)) return false;
  return !hasFeature(record, key);
};

/** What a check doubts is no better known than a guess; what follows from a signature is there where one stands. */
const asSayable = (record: UnitRecord, look: Look): UnitRecord => {
  const doubted = doubtedFigures(record, look);
  const isSigned = inspectedAt(record) !== undefined;
  const entries = Object.entries(record.specs)
    .filter(([key]) => isSigned || !isSpecKey(key) || !specEntry(key).bySignature)
    .map(([key, entry]) => [
      key,
      doubted.has(key as SpecKey) ? { ...entry, how: 'guessed' as const } : entry,
    ]);
  return { ...record, specs: Object.fromEntries(entries) as UnitRecord['specs'] };
};

/**
 * Everything there is to say about a unit, what is wrong with it first, then in the order of its route.
 * Only what its record knows; what it lacks where a buyer would ask.
 * A unit that is not inspected is told and not operated; of one that is, not what failed or could not be tried.
 */
export const pointsOf = (record: UnitRecord, presenting: Presenting): readonly Point[] => {
  const { operates = true, talk = noTalk, pace = usualPace, system } = presenting;
  const { may, toldOnly } = operableOf(record);
  const telling: Telling = {
    record: asSayable(record, presenting),
    system,
    pace,
    operates: operates && may,
    toldOnly,
    asked: askedFor(record, talk),
  };
  const faults = faultsOf(record, presenting);
  const told = new Set<string>(faults.flatMap(({ about }) => about));
  const leading = [...specs.filter(({ key }) => !leadOf(key)), ...features];
  const all = [
    ...leading.flatMap((entry) => cardsOf(entry, telling)),
    ...trialPoints(telling),
    ...modelPoints(talk, pace),
  ]
    .filter((point) => !isToldAsFault(record, point, told))
    .map((point) => (links[point.id] ? { ...point, link: links[point.id] } : point));
  const wrong = faults.map((fault) => faultPoint(fault, pace));
  const first = wrong.filter((point) => point.first);
  const later = wrong.filter((point) => !point.first);
  return [...first, ...ordered(record, [...later, ...asWorded(all, record, talk, pace)])];
};

const ordered = (record: UnitRecord, all: readonly Point[]): readonly Point[] =>
  [...new Set([...routeOf(record), ...all.map(({ station }) => station)])].flatMap((station) =>
    all.filter((point) => point.station === station),
  );
