import { inText, listed } from '../../base/words/index.ts';
import {
  entryFor,
  featureEntry,
  features,
  isFeatureKey,
  type FeatureKey,
} from '../../unit/catalog/index.ts';
import { checkRecord, type Look, type Objection } from '../../unit/checks/index.ts';
import { inspectionState, oddWheels, wheelsOf } from '../../unit/condition/index.ts';
import { formatDate } from '../../base/dates/index.ts';
import { formatQuantity } from '../../base/quantity/index.ts';
import { amountOf, formatSpec, howOf, textOf, type UnitRecord } from '../../unit/record/index.ts';
import type { Fault } from './fault.ts';
import { idAbout } from '../about/index.ts';

/** What a check found, in the words in which a buyer is told; nothing where this case is none of their concern. */
interface ForBuyer {
  readonly title: string;
  /** @param found all that the rule found, at least one */
  readonly tell: (
    found: readonly Objection[],
    record: UnitRecord,
    look: Look,
  ) => string | undefined;
  /** A finding of this kind that somebody entered tells the same. */
  readonly sameAs?: string;
}

const fieldNames = (found: readonly Objection[]): string =>
  listed(found.map(({ field }) => inText(entryFor(field).label)));

const choiceText = (
  record: UnitRecord,
  key: 'batteryKind' | 'controllerSetting' | 'converterSetting',
) => {
  const entry = record.specs[key];
  return entry ? formatSpec(key, entry.value, 'us', entry.how) : '';
};

const tooOld = 7;

/** Checks of which a buyer must know, by their keys, in the order in which they are told. */
export const buyersChecks: Readonly<Record<string, ForBuyer>> = {
  'safety-missing': {
    title: 'Safety equipment missing',
    tell: (found) =>
      `It’s missing ${listed(found.map(({ field }) => featureEntry(field as FeatureKey).noun))}, which has to be in before anybody sleeps in it.`,
  },
  'alarm-date': {
    title: 'Alarm past its date',
    tell: (found, record) =>
      found
        .map(({ field }) => {
          const date = textOf(record, field as 'coAlarmDate') ?? '';
          const what = entryFor(field).label.replace(/ replace by$/, '');
          return `The ${inText(what)} was good until ${formatDate(date)}.`;
        })
        .join(' '),
  },
  'extinguisher-age': {
    title: 'Old fire extinguisher',
    tell: (_, record) =>
      // One that is missing has no age.
      record.features.extinguisher?.value.state === 'none'
        ? undefined
        : `The fire extinguisher dates from ${formatDate(textOf(record, 'extinguisherDate') ?? '')}; disposable ones last twelve years.`,
  },
  'fuel-vents': {
    title: 'No fuel-vapor vents',
    tell: () => 'The garage has no vents for fuel vapor, so no fueled machine belongs in it.',
  },
  'breakaway-power': {
    title: 'Breakaway brakes without a battery',
    tell: () => 'There’s no battery, so the breakaway brakes can’t work.',
  },
  'tire-age': {
    title: 'Tires past their age',
    sameAs: 'tire-age',
    tell: (found, record, { today }) => {
      const old = wheelsOf(record, today).filter(({ age }) => (age ?? 0) >= tooOld);
      const told = old.filter(({ key }) => found.some(({ field }) => field === `tireDate${key}`));
      return told.length > 0
        ? `${told.length === 1 ? 'A tire is' : `${told.length} tires are`} ${tooOld} years old or more: ${listed(told.map(({ label }) => label))}. Replace tires this old, whatever their tread.`
        : undefined;
    },
  },
  'tire-dates-mixed': {
    title: 'Tires are different ages',
    sameAs: 'tire-mismatch',
    tell: () => 'The tires weren’t all built at about the same time.',
  },
  'tire-tread': {
    title: 'Tread is worn',
    sameAs: 'uneven-wear',
    tell: (_, record, { system }) =>
      `The lowest tread depth is ${formatQuantity(amountOf(record, 'tireTread') ?? 0, 'fineInches', system)}.`,
  },
  'tire-code': {
    title: 'Not trailer tires',
    tell: (found) =>
      found[0]?.severity === 'doubtful' ? 'It’s on tires that aren’t trailer tires.' : undefined,
  },
  'tire-label-size': {
    title: 'Tires aren’t the label’s size',
    tell: (_, record) =>
      `It’s on ${textOf(record, 'tireSize') ?? ''} tires, but its label calls for ${textOf(record, 'labelTireSize') ?? ''}.`,
  },
  'tire-label-range': {
    title: 'Load range below the label',
    tell: (_, record) =>
      `The tires are load range ${textOf(record, 'loadRange') ?? ''}, but its label calls for ${textOf(record, 'labelLoadRange') ?? ''}.`,
  },
  'tire-pressure': {
    title: 'Tires can’t take the label’s pressure',
    tell: () => 'The tires on it can’t take the pressure its label calls for.',
  },
  'wheel-against-label': {
    title: 'Tire doesn’t match the label',
    sameAs: 'tire-mismatch',
    tell: (found) => `It doesn’t match its tire label: ${fieldNames(found)}.`,
  },
  'tires-carry-axle': {
    title: 'Tires carry less than the axle',
    tell: (found) =>
      found[0]?.severity === 'wrong'
        ? 'The tires carry less than the axle is rated for.'
        : undefined,
  },
  'coupler-rating': {
    title: 'Coupler rating below GVWR',
    tell: () => 'The coupler is rated for less than the trailer’s GVWR.',
  },
  'jack-rating': {
    title: 'Tongue jack rating is low',
    tell: () => 'The tongue jack is rated for less than the loaded hitch can weigh.',
  },
  'controller-setting': {
    title: 'Solar controller setting is wrong',
    tell: (_, record) =>
      `The solar controller is set for ${choiceText(record, 'controllerSetting')}, but the battery is ${choiceText(record, 'batteryKind')}.`,
  },
  'converter-setting': {
    title: 'Converter setting is wrong',
    tell: (_, record) =>
      `The converter is set for ${choiceText(record, 'converterSetting')}, but the battery is ${choiceText(record, 'batteryKind')}.`,
  },
  'solar-controller': {
    title: 'Solar has no controller',
    tell: () => 'There’s a solar panel, but no controller for it.',
  },
  'controller-size': {
    title: 'Too much solar for its controller',
    tell: (found) =>
      found[0]?.severity === 'wrong'
        ? 'The panels can push more current than the solar controller is made for.'
        : undefined,
  },
  'solar-wiring': {
    title: 'Too much solar for its wiring',
    tell: () => 'There’s more solar on it than its wiring allows.',
  },
  'label-missing': {
    title: 'Label missing',
    tell: (found) =>
      `Missing or unreadable: ${listed(found.map(({ field }) => featureEntry(field as FeatureKey).noun.replace('a legible ', 'the ')))}.`,
  },
  'weight-label-after-fitting': {
    title: 'Weight label needs a correction',
    tell: (found, record, { system }) =>
      found[0]?.severity === 'wrong'
        ? `What was added here comes to ${formatQuantity(amountOf(record, 'fittedWeight') ?? 0, 'weight', system)}; the weight label has to be corrected before it’s sold.`
        : undefined,
  },
};

/** What rests on a guess is nothing to tell a buyer as a fact. */
const isSure = ({ guesses }: Objection): boolean => guesses.length === 0;

/** Whether any of its figures is only what we were told. */
const isHearsay = (record: UnitRecord, found: readonly Objection[]): boolean =>
  found.some(({ field }) => field in record.specs && howOf(record, field as 'vin') === 'told');

const byChecks = (
  record: UnitRecord,
  look: Look,
  entered: ReadonlySet<string>,
): readonly Fault[] => {
  const all = checkRecord(record, look).filter(isSure);
  return Object.entries(buyersChecks).flatMap(([rule, { title, tell, sameAs }]) => {
    const found = all.filter((objection) => objection.rule === rule);
    const [first] = found;
    if (!first || (sameAs !== undefined && entered.has(sameAs))) return [];
    const text = tell(found, record, look);
    if (text === undefined) return [];
    return [
      {
        id: idAbout('check', rule),
        title,
        where: entryFor(first.field).station,
        text: isHearsay(record, found) ? `We’re told: ${text}` : text,
        first: true,
        about: found.map(({ field }) => field),
      },
    ];
  });
};

/** A tire that is not like the others, where nobody has entered it. */
const byWheels = (
  record: UnitRecord,
  { today }: Look,
  entered: ReadonlySet<string>,
): readonly Fault[] => {
  const odd = oddWheels(wheelsOf(record, today));
  if (odd.length === 0 || entered.has('tire-mismatch')) return [];
  return [
    {
      id: idAbout('check', 'odd-wheels'),
      title: 'Tire doesn’t match the others',
      where: 'running-gear',
      text: `One tire doesn’t match the others: ${listed(odd.map(({ label }) => label))}.`,
      first: true,
      about: [],
    },
  ];
};

const byInspection = (record: UnitRecord): readonly Fault[] =>
  inspectionState(record).failed.map(({ item, entry }) => ({
    id: idAbout('inspection', item.key),
    title: item.label,
    where: item.station,
    text: `Didn’t pass our inspection: ${inText(item.label)}${entry?.value.note ? `, “${entry.value.note}”` : ''}.`,
    first: true,
    about: item.of !== undefined && isFeatureKey(item.of) ? [item.of] : [],
  }));

/** Of a thing that stands there. @example asKnownThing('an awning') // 'the awning' */
const asKnownThing = (noun: string): string => noun.replace(/^an? /, 'the ');

/** What was tried and does not work; what failed at the inspection is told there. */
const byTrying = (record: UnitRecord, told: ReadonlySet<string>): readonly Fault[] =>
  features
    .filter(({ key }) => {
      const entry = record.features[key];
      const isFaulty = entry?.value.tried === 'faulty' && entry.how !== 'guessed';
      return isFaulty && !told.has(key);
    })
    .map(({ key, label, noun, station }) => ({
      id: idAbout('faulty', key),
      title: `${label}: not working`,
      where: station,
      text:
        record.features[key]?.how === 'told'
          ? `We’re told it isn’t working: ${asKnownThing(noun)}.`
          : `Not working right now: ${asKnownThing(noun)}.`,
      first: true,
      about: [key],
    }));

const byRecall = (record: UnitRecord): readonly Fault[] => {
  const entry = record.features.openRecall;
  if (entry?.value.state !== 'none' || entry.how === 'guessed') return [];
  return [
    {
      id: idAbout('check', 'open-recall'),
      title: 'Open recall',
      where: 'papers',
      text:
        entry.how === 'told'
          ? 'We’re told there’s an open recall on it.'
          : 'There’s an open recall on it.',
      first: true,
      about: ['openRecall'],
    },
  ];
};

/**
 * What the record knows to be wrong without anybody having entered it as a finding: by the checks, the wheels, the
 * inspection, and what was tried.
 * @param entered kinds of the open findings: what they tell is not told twice
 */
export const knownFaults = (
  record: UnitRecord,
  look: Look,
  entered: ReadonlySet<string>,
): readonly Fault[] => {
  const inspected = byInspection(record);
  const told = new Set(inspected.flatMap(({ about }) => about));
  return [
    ...byRecall(record),
    ...inspected,
    ...byTrying(record, told),
    ...byChecks(record, look, entered),
    ...byWheels(record, look, entered),
  ];
};
