import { counted, inText } from '../../base/words/index.ts';
import type { FeatureKey, SpecKey } from '../catalog/index.ts';
import { entryFor } from '../catalog/index.ts';
import { inspectedAt } from '../condition/index.ts';
import { formatDate, monthsBetween } from '../../base/dates/index.ts';
import { hasFeature, isKnownMissing, textOf } from '../record/index.ts';
import { asFinding, todayOf } from './as-finding.ts';
import type { Rule } from './types.ts';

const alarms: readonly SpecKey[] = ['smokeAlarmDate', 'coAlarmDate', 'lpDetectorDate'];

const alarmDates: Rule = {
  key: 'alarm-date',
  about: 'No alarm is past its date',
  needs: alarms,
  fieldByField: true,
  source: 'The date on the alarm decides: common practice',
  test: (record, look) =>
    alarms.flatMap((field) => {
      const date = textOf(record, field);
      if (!date || date >= look.today.slice(0, date.length)) return [];
      return [
        asFinding({
          field,
          severity: 'wrong',
          title: `${entryFor(field).label.replace(/ replace by$/, '')} is past its date`,
          sentence: `It was due to be replaced by ${formatDate(date)}; today is ${todayOf(look)}. Replace it before anybody sleeps here or opens the propane.`,
        }),
      ];
    }),
};

const extinguisherAge: Rule = {
  key: 'extinguisher-age',
  about: 'The extinguisher is under twelve years old',
  needs: ['extinguisherDate'],
  source: 'Disposable extinguishers end after 12 years: NFPA 10, from memory',
  test: (record, { today }) => {
    const date = textOf(record, 'extinguisherDate');
    if (!date || monthsBetween(date, today) < 144) return [];
    return [
      asFinding({
        field: 'extinguisherDate',
        severity: 'doubtful',
        title: 'Fire extinguisher is too old',
        sentence: `The fire extinguisher is from ${formatDate(date)}, ${Math.floor(monthsBetween(date, today) / 12)} years ago; they’re good for 12. Replace it.`,
      }),
    ];
  },
};

const protectors: readonly FeatureKey[] = ['extinguisher', 'lpDetector', 'coAlarm'];

const missing: Rule = {
  key: 'safety-missing',
  about: 'Extinguisher, propane detector and alarms are there',
  needs: protectors,
  besides: ['lpCylinders'],
  fieldByField: true,
  source: 'NFPA 1192, from memory',
  test: (record) =>
    protectors
      .filter((key) => record.features[key]?.value.state === 'none')
      .filter((key) => key !== 'lpDetector' || record.specs.lpCylinders)
      .map((field) =>
        asFinding({
          field,
          severity: 'wrong',
          title: `${entryFor(field).label}: missing`,
          sentence: `The ${inText(entryFor(field).label)} ${field === 'coAlarm' ? 'are' : 'is'} recorded as missing. Nobody sleeps here until that’s fixed.`,
        }),
      ),
};

/** The labels that a maker has to fix, and what each proves. */
const labels = [
  { key: 'vinLabel', label: 'VIN label', proves: 'who built it, when, and its GVWR' },
  { key: 'weightLabel', label: 'weight label', proves: 'its cargo capacity' },
  { key: 'tireLabel', label: 'tire label', proves: 'its tires and their pressure' },
] as const satisfies readonly { key: FeatureKey; label: string; proves: string }[];

const labelMissing: Rule = {
  key: 'label-missing',
  about: 'The maker’s labels are there',
  needs: labels.map(({ key }) => key),
  fieldByField: true,
  source: '49 CFR 567 and 571.110, from memory',
  test: (record) =>
    labels
      .filter(({ key }) => isKnownMissing(record, key))
      .map(({ key, label, proves }) =>
        asFinding({
          field: key,
          severity: 'doubtful',
          title: `${label.replace(/^./, (first) => first.toUpperCase())} ${record.features[key]?.value.state === 'unreadable' ? 'can’t be read' : 'is missing'}`,
          sentence: `The ${label} is gone or can’t be read, and with it the proof of ${proves}. Ask the maker for a new one.`,
        }),
      ),
};

const notInspected: Rule = {
  key: 'not-inspected',
  about: 'A unit on the yard is inspected',
  needs: ['arrived', 'inspected'],
  reads: ['features', 'inspection', 'signatures'],
  source: 'Common practice',
  test: (record, look) => {
    const arrived = textOf(record, 'arrived');
    // A date without a signature is another check's.
    if (!arrived || inspectedAt(record) || textOf(record, 'inspected')) return [];
    return [
      asFinding({
        field: 'inspected',
        severity: 'look',
        title: 'Not inspected yet',
        sentence: `It’s been here since ${formatDate(arrived)}, and it isn’t inspected as of ${todayOf(look)}. Show and tell only: don’t operate anything.`,
      }),
    ];
  },
};

const fuelVents: Rule = {
  key: 'fuel-vents',
  about: 'A garage has vents for fuel vapor',
  needs: ['garageSpace', 'fuelVents'],
  source: 'NFPA 1192, from memory',
  test: (record) => {
    if (!hasFeature(record, 'garageSpace') || record.features.fuelVents?.value.state !== 'none') {
      return [];
    }
    return [
      asFinding({
        field: 'fuelVents',
        severity: 'wrong',
        title: 'Garage has no fuel-vapor vents',
        sentence:
          'The garage is recorded without vents, high and low, to let fuel vapor out. No fueled machine goes in until a technician has looked.',
        also: ['garageSpace'],
      }),
    ];
  },
};

const tieDowns: Rule = {
  key: 'tie-downs-floor',
  about: 'Tie-downs are anchored in more than the floor',
  needs: ['tieDowns', 'tieDownsInto'],
  source: 'The weaker of strap and anchor counts: 49 CFR 393.106, from memory',
  test: (record) => {
    const tie = record.specs.tieDowns?.value;
    if (tie?.kind !== 'counted' || textOf(record, 'tieDownsInto') !== 'floor') return [];
    return [
      asFinding({
        field: 'tieDownsInto',
        severity: 'doubtful',
        title: 'Tie-downs are only in the floor',
        sentence: `${counted(tie.count, 'tie-down')} ${tie.count === 1 ? 'is' : 'are'} anchored in the floor only, so the floor decides, not the ring’s rating. Have a technician look before anybody hauls with ${tie.count === 1 ? 'it' : 'them'}.`,
        also: ['tieDowns'],
      }),
    ];
  },
};

const gasPressure: Rule = {
  key: 'quick-connect-pressure',
  about: 'The LP quick connect matches the cooktop’s pressure',
  needs: ['lpQuickPressure', 'outsideCookerFuel', 'looseGrill'],
  source: 'High and low pressure are not interchangeable: common practice',
  test: (record) => {
    if (textOf(record, 'lpQuickPressure') !== 'high') return [];
    if (textOf(record, 'outsideCookerFuel') !== 'trailer-gas') return [];
    return [
      asFinding({
        field: 'lpQuickPressure',
        severity: 'doubtful',
        title: 'LP pressure may not match',
        sentence:
          'The quick connect is labeled high pressure, but the outside cooktop runs on the trailer’s propane, usually low pressure, 11 in of water column (28 mbar). Read both labels; let licensed people connect them.',
        also: ['outsideCookerFuel'],
      }),
    ];
  },
};

export const safetyRules: readonly Rule[] = [
  alarmDates,
  extinguisherAge,
  missing,
  labelMissing,
  notInspected,
  fuelVents,
  tieDowns,
  gasPressure,
];
