import type { SpecKey } from './entries/index.ts';

/** A label of a unit, and the fields it settles, in the order in which it is read. */
export interface LabelKind {
  readonly key: 'vin' | 'weight' | 'tire' | 'number';
  readonly label: string;
  /** Where it is as a rule. */
  readonly where: string;
  readonly settles: readonly SpecKey[];
  /** The feature that says it is on the unit. */
  readonly feature?: 'vinLabel' | 'weightLabel' | 'tireLabel';
}

/** Labels by 49 CFR 565, 571.110 and 571.120, from memory; where they sit is common practice. */
export const labelKinds: readonly LabelKind[] = [
  {
    key: 'vin',
    label: 'VIN label',
    where: 'Off-door side, up front, low on the wall; also on the frame.',
    settles: ['vin', 'buildDate', 'gvwr', 'axleRating'],
    feature: 'vinLabel',
  },
  {
    key: 'weight',
    label: 'Weight label',
    where: 'Inside the entry door or next to it: CCC and UVW.',
    settles: ['uvw', 'ccc', 'labelWater', 'hitchWeight'],
    feature: 'weightLabel',
  },
  {
    key: 'tire',
    label: 'Tire label',
    where: 'Off-door side up front, with the VIN label or below it.',
    settles: ['labelTireSize', 'labelLoadRange', 'coldPressure'],
    feature: 'tireLabel',
  },
  {
    key: 'number',
    label: 'Stock tag',
    where: 'In a window or on the tongue: the yard’s own.',
    settles: ['stockNumber'],
  },
];

/** What a photo of a label is attached to: every field that it settles. */
export const labelTargets = ({ settles }: LabelKind): readonly string[] =>
  settles.map((key) => `specs.${key}`);

/** The labels that law asks for; a stock tag is the yard's own. */
export const lawfulLabels: readonly LabelKind[] = labelKinds.filter(({ key }) => key !== 'number');
