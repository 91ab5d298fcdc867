import type { System } from '@fair-gable/core/base/quantity';
import { specEntry, type HowKnown, type SpecKey } from '@fair-gable/core/unit/catalog';
import type { Objection, Way } from '@fair-gable/core/unit/checks';
import { type Change, type UnitRecord } from '@fair-gable/core/unit/record';
import { drafted } from '../units/units.ts';
import { asTyped, readTyped } from './typing.ts';

interface Group {
  readonly title: string;
  readonly keys: readonly SpecKey[];
  /** How such things are mostly known when a unit comes in. */
  readonly how: HowKnown;
}

/** What is typed of a unit that comes in, as its labels stand. */
export const unitGroups: readonly Group[] = [
  {
    title: 'What it is called',
    keys: ['stockNumber', 'series', 'floorPlan', 'modelYear', 'condition'],
    how: 'read',
  },
  {
    title: 'VIN and weight labels',
    keys: ['vin', 'gvwr', 'uvw', 'ccc', 'hitchWeight', 'axleRating'],
    how: 'read',
  },
  {
    title: 'Tire label',
    keys: ['labelTireSize', 'labelLoadRange', 'coldPressure'],
    how: 'read',
  },
  { title: 'The tires on it', keys: ['tireSize', 'loadRange'], how: 'read' },
  { title: 'Size', keys: ['overallLength', 'boxLength', 'width', 'heightWithAc'], how: 'measured' },
  {
    title: 'Tanks, propane, power',
    keys: ['freshTank', 'grayTank', 'blackTank', 'lpCylinders', 'shoreAmps'],
    how: 'read',
  },
];
const keys = unitGroups.flatMap((group) => group.keys);

/** A unit while it is typed. */
export interface UnitDraft {
  /** One id for all tries, also after the page was closed: sent twice, the unit is made once. */
  readonly id: string;
  typed: Record<string, string>;
  /** How a group's fields are known, by its title. */
  hows: Record<string, HowKnown>;
  /** Fields that are known otherwise than the rest of their group. */
  own: Partial<Record<string, HowKnown>>;
}

/** Nothing typed yet. */
export const emptyUnit = (id: string): UnitDraft => ({
  id,
  typed: Object.fromEntries(keys.map((key) => [key, ''])),
  hows: Object.fromEntries(unitGroups.map(({ title, how }) => [title, how])),
  own: {},
});

/** How a field is known: by its own choice, else as its group. */
export const howTyped = ({ own, hows }: UnitDraft, key: SpecKey): HowKnown => {
  const group = unitGroups.find((one) => one.keys.includes(key));
  return own[key] ?? hows[group?.title ?? ''] ?? 'read';
};

/** What was typed, as changes, and the fields that can’t be read. */
export const unitTyped = (
  draft: UnitDraft,
  system: System,
): { readonly changes: readonly Change[]; readonly unreadable: readonly SpecKey[] } => {
  const readings = keys.map((key) => ({
    key,
    reading: readTyped(specEntry(key), draft.typed[key] ?? '', system),
  }));
  return {
    changes: readings.flatMap(({ key, reading: { value } }) =>
      value ? [{ part: 'specs', key, value, how: howTyped(draft, key), basedOn: 0 } as const] : [],
    ),
    unreadable: readings.filter(({ reading }) => reading.problem).map(({ key }) => key),
  };
};

/** Ways that can be gone here: a reason is stated on the record, and only fields that stand here are gone to. */
export const waysHere = ({ ways }: Objection): readonly Way[] =>
  ways.filter(
    (way) => way.kind === 'enter' || (way.kind === 'go' && keys.includes(way.field as SpecKey)),
  );

/** A suggested value as it would be typed into its field. */
export const textsOf = (
  record: UnitRecord,
  changes: readonly Change[],
  system: System,
): Readonly<Record<string, string>> => {
  const { specs } = drafted(record, changes, 'you');
  return Object.fromEntries(
    changes
      .filter(({ part }) => part === 'specs')
      .map(({ key }) => [key, asTyped(specEntry(key as SpecKey), specs[key as SpecKey], system)]),
  );
};
