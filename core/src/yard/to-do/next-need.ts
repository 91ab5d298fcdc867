import { counted, inText } from '../../base/words/index.ts';
import {
  entryFor,
  features,
  findingKind,
  gravities,
  specEntry,
  specs,
  stationEntry,
  stations,
  type Feature,
  type Spec,
  type SpecKey,
  type StationKey,
} from '../../unit/catalog/index.ts';
import { openObjections, type Objection } from '../../unit/checks/index.ts';
import {
  findingsOf,
  gravityNow,
  needsTechnician,
  type FoundThing,
} from '../../unit/condition/index.ts';
import { knownAt, type Known } from '../../unit/outline/index.ts';
import { applies, type UnitRecord } from '../../unit/record/index.ts';

/** What a unit needs next before it can be shown; `now` wants somebody, `soon` can wait. */
export interface Need {
  readonly urgency: 'now' | 'soon' | 'none';
  readonly text: string;
  /** Where to go for it. */
  readonly station: StationKey | undefined;
}

/** Without these nobody should stand beside the unit and talk. */
const labels = [
  'vin',
  'gvwr',
  'uvw',
  'axleRating',
  'overallLength',
] as const satisfies readonly SpecKey[];

/** Values that are only guessed, in catalog order. */
export const guessesIn = (record: UnitRecord): readonly SpecKey[] =>
  specs.filter((s) => record.specs[s.key]?.how === 'guessed').map((s) => s.key);

/** How much of what there is to know of this unit is known. */
export const knownOf = (record: UnitRecord): Known =>
  stations
    .map(({ key }) => knownAt(record, key))
    .reduce(
      (sum, at) => ({
        known: sum.known + at.known,
        taken: sum.taken + at.taken,
        of: sum.of + at.of,
      }),
      { known: 0, taken: 0, of: 0 },
    );

const toRead = (record: UnitRecord): Need | undefined => {
  const missing = labels.filter((key) => !record.specs[key]);
  const first = missing[0];
  if (!first) return undefined;
  const names = missing.map((key) => inText(specEntry(key).label)).join(', ');
  return { urgency: 'now', text: `Still to read: ${names}`, station: specEntry(first).station };
};

/** What says “do not show”, and what a technician has not decided. */
const toDecide = (record: UnitRecord): Need | undefined => {
  const waiting = findingsOf(record).filter(
    (found) => !found.finding.repaired && needsTechnician(found),
  );
  const [worst] = waiting.toSorted((a, b) => graveness(b) - graveness(a));
  if (!worst) return undefined;
  const label = inText(findingKind(worst.finding.kind).label);
  const isNow = gravityNow(worst) === 'do-not-show';
  return {
    urgency: isNow ? 'now' : 'soon',
    text: `${isNow ? 'Don’t show it' : 'Technician'}: ${label}`,
    station: worst.finding.station,
  };
};
const graveness = (found: FoundThing): number =>
  gravities.findIndex(({ key }) => key === gravityNow(found));

const toSettle = (open: readonly Objection[]): Need | undefined => {
  const first = open.find((o) => o.severity === 'wrong') ?? open.find((o) => o.severity !== 'look');
  if (!first) return undefined;
  const others = open.filter((o) => o.severity !== 'look').length - 1;
  const more = others > 0 ? `, and ${counted(others, 'more note')}` : '';
  return { urgency: 'now', text: `${first.title}${more}`, station: entryFor(first.field).station };
};

const toMeasure = (record: UnitRecord): Need | undefined => {
  const guesses = guessesIn(record);
  const first = guesses[0];
  if (!first) return undefined;
  const names = guesses.map((key) => inText(specEntry(key).label)).join(', ');
  return { urgency: 'soon', text: `To measure: ${names}`, station: specEntry(first).station };
};

const basics: readonly (Spec | Feature)[] = stations.flatMap(({ key }) =>
  [...specs, ...features].filter((entry) => entry.basic && entry.station === key),
);

const isKnown = (record: UnitRecord, { key }: Spec | Feature): boolean =>
  key in record.specs || key in record.features;

/** What should be known of this unit before it is shown and is not, in walking order. */
export const basicsMissing = (record: UnitRecord): readonly (Spec | Feature)[] =>
  basics.filter((entry) => applies(record, entry) && !isKnown(record, entry));

const toLookAt = (record: UnitRecord): Need | undefined => {
  const missing = basicsMissing(record);
  const [first] = missing;
  if (!first) return undefined;
  return {
    urgency: 'soon',
    text: `${counted(missing.length, 'thing')} to check before you show it: go on at ${stationEntry(first.station).label}`,
    station: first.station,
  };
};

/**
 * What a unit needs next: labels first, then what keeps it from being shown, numbers that disagree, guesses, and what nobody looked at.
 * @param objections those of the whole record
 */
export const nextNeed = (record: UnitRecord, objections: readonly Objection[]): Need =>
  toRead(record) ??
  (toDecide(record)?.urgency === 'now' ? toDecide(record) : undefined) ??
  toSettle(openObjections(objections)) ??
  toDecide(record) ??
  toMeasure(record) ??
  toLookAt(record) ?? { urgency: 'none', text: 'Ready to show', station: undefined };
