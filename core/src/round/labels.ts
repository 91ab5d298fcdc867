import type { SpecKey } from '../catalogue/index.ts';
import { countedOf, type Change, type UnitRecord } from '../record/index.ts';

/** A label of a unit, and the fields it settles, in the order in which it is read. */
export interface LabelKind {
  readonly key: 'vin' | 'weight' | 'tyre' | 'number';
  readonly label: string;
  /** Where it is as a rule. */
  readonly where: string;
  readonly settles: readonly SpecKey[];
  /** The feature that says it is on the unit. */
  readonly feature?: 'vinLabel' | 'weightLabel' | 'tyreLabel';
}

/** Labels by 49 CFR 565, 571.110 and 571.120, from memory; where they sit is common practice. */
export const labelKinds: readonly LabelKind[] = [
  {
    key: 'vin',
    label: 'VIN label',
    where: 'Off-door side, in front, low on the wall; and on the frame.',
    settles: ['vin', 'buildDate', 'gvwr', 'axleRating'],
    feature: 'vinLabel',
  },
  {
    key: 'weight',
    label: 'Weight label',
    where: 'Inside the entry door or beside it: what may be loaded, and the weight as built.',
    settles: ['uvw', 'ccc', 'labelWater', 'hitchWeight'],
    feature: 'weightLabel',
  },
  {
    key: 'tyre',
    label: 'Tyre label',
    where: 'Off-door side in front, with the VIN label or below it.',
    settles: ['labelTyreSize', 'labelLoadRange', 'coldPressure'],
    feature: 'tyreLabel',
  },
  {
    key: 'number',
    label: 'Stock tag',
    where: 'In a window or on the tongue: the yard’s own.',
    settles: ['stockNumber'],
  },
];

/** The labels of a unit with what they settle and is not read off them yet. */
export const labelsOf = (
  record: UnitRecord,
): readonly (LabelKind & { readonly unread: readonly SpecKey[] })[] =>
  labelKinds.map((kind) => ({
    ...kind,
    unread: kind.settles.filter(
      (key) =>
        record.specs[key]?.how !== 'read' &&
        (key !== 'axleRating' || countedOf(record, key) === undefined),
    ),
  }));

/** What a photo of a label is attached to: every field that it settles. */
export const labelTargets = ({ settles }: LabelKind): readonly string[] =>
  settles.map((key) => `specs.${key}`);

/** The labels that law asks for; a stock tag is the yard's own. */
const lawful: ReadonlySet<LabelKind['key']> = new Set(['vin', 'weight', 'tyre']);

/** The change that ticks the labels as photographed, once there is a photo of each; none before, and none twice. */
export const changesByLabelPhotos = (record: UnitRecord): readonly Change[] => {
  const shown = new Set(Object.values(record.photos).flatMap((entry) => entry?.value.of ?? []));
  const all = labelKinds.filter(({ key }) => lawful.has(key));
  const state = record.features.labelPhotos;
  const isThere = all.every((kind) => labelTargets(kind).some((target) => shown.has(target)));
  if (!isThere || state?.value.state === 'standard') return [];
  const basedOn = state?.version ?? 0;
  return [
    { part: 'features', key: 'labelPhotos', value: { state: 'standard' }, how: 'seen', basedOn },
  ];
};
