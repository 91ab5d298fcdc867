import { inText } from '../../base/words/index.ts';
import type { FeatureKey, SpecKey } from '../catalog/index.ts';
import { entryFor } from '../catalog/index.ts';
import { inspectedAt } from '../condition/index.ts';
import { formatDate, monthsBetween } from '../../base/dates/index.ts';
import { hasFeature, textOf } from '../record/index.ts';
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
          title: 'An alarm past its date',
          sentence: `It was to be replaced by ${formatDate(date)}; today is ${todayOf(look)}. Replace it before anybody sleeps here, or the gas is opened.`,
        }),
      ];
    }),
};

const extinguisherAge: Rule = {
  key: 'extinguisher-age',
  about: 'The extinguisher is younger than twelve years',
  needs: ['extinguisherDate'],
  source: 'Disposable extinguishers end after 12 years: NFPA 10, from memory',
  test: (record, { today }) => {
    const date = textOf(record, 'extinguisherDate');
    if (!date || monthsBetween(date, today) < 144) return [];
    return [
      asFinding({
        field: 'extinguisherDate',
        severity: 'doubtful',
        title: 'An old extinguisher',
        sentence: `Made ${formatDate(date)}, ${Math.floor(monthsBetween(date, today) / 12)} years ago; they end after 12.`,
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
          title: 'Something that protects is missing',
          sentence: `Recorded as not fitted: ${inText(entryFor(field).label)}. Nobody sleeps here before it is.`,
        }),
      ),
};

/** The labels that a maker has to fix, and what each proves. */
const labels = [
  { key: 'vinLabel', label: 'VIN label', proves: 'who built it, when, and for what gross weight' },
  { key: 'weightLabel', label: 'weight label', proves: 'what may still be put aboard' },
  { key: 'tireLabel', label: 'tire label', proves: 'which tires carry it, and at what pressure' },
] as const satisfies readonly { key: FeatureKey; label: string; proves: string }[];

const labelMissing: Rule = {
  key: 'label-missing',
  about: 'The maker’s labels are there',
  needs: labels.map(({ key }) => key),
  fieldByField: true,
  source: '49 CFR 567 and 571.110, from memory',
  test: (record) =>
    labels
      .filter(({ key }) => record.features[key]?.value.state === 'none')
      .map(({ key, label, proves }) =>
        asFinding({
          field: key,
          severity: 'doubtful',
          title: 'A label is missing',
          sentence: `The ${label} is gone or cannot be read, and with it the proof of ${proves}. Ask the maker for another.`,
        }),
      ),
};

const notInspected: Rule = {
  key: 'not-inspected',
  about: 'A unit that has arrived was inspected',
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
        sentence: `Here since ${formatDate(arrived)}, and not inspected by ${todayOf(look)}: tell it, operate nothing.`,
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
        title: 'No way out for fuel vapor',
        sentence:
          'The garage has 0 of the 2 vents, high and low, that let vapor out. No fueled machine goes in before a technician has looked.',
        also: ['garageSpace'],
      }),
    ];
  },
};

const tieDowns: Rule = {
  key: 'tie-downs-floor',
  about: 'Tie-downs hold in more than the floor',
  needs: ['tieDowns', 'tieDownsInto'],
  source: 'The weaker of strap and anchor counts: 49 CFR 393.106, from memory',
  test: (record) => {
    const tie = record.specs.tieDowns?.value;
    if (tie?.kind !== 'counted' || textOf(record, 'tieDownsInto') !== 'floor') return [];
    return [
      asFinding({
        field: 'tieDownsInto',
        severity: 'doubtful',
        title: 'Tied to the floor alone',
        sentence: `${tie.count} tie-downs${tie.each === undefined ? '' : ', each rated for itself,'} are fixed in the floor only: what they are screwed into decides.`,
        also: ['tieDowns'],
      }),
    ];
  },
};

const gasPressure: Rule = {
  key: 'quick-connect-pressure',
  about: 'The quick connect’s pressure is that of the cooker',
  needs: ['lpQuickPressure', 'outsideCookerFuel', 'looseGrill'],
  source: 'High and low pressure are not interchangeable: common practice',
  test: (record) => {
    if (textOf(record, 'lpQuickPressure') !== 'high') return [];
    if (textOf(record, 'outsideCookerFuel') !== 'trailer-gas') return [];
    return [
      asFinding({
        field: 'lpQuickPressure',
        severity: 'doubtful',
        title: 'High pressure for a low-pressure cooker?',
        sentence:
          'The outlet is labeled high pressure and the cooker runs on the trailer’s gas, which is mostly at low pressure, 11 in of water column (28 mbar). Read both labels; licensed people connect them.',
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
