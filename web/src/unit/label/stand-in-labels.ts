import type { LabelKind } from '@fair-gable/core/unit/catalog';
import type { Aim } from './ports.ts';

/** A label of one of the two units that stand at the demo's gate; see demo/labels. Invented. */
export interface StandInLabel {
  readonly model: string;
  readonly label: LabelKind['key'];
  readonly title: string;
  readonly lines: readonly string[];
  /** What its code says, and of which kind it is. */
  readonly says?: string;
  readonly code?: 'qr' | 'bar';
}

export const standInLabels: readonly StandInLabel[] = [
  {
    model: 'Pell 12 K',
    label: 'vin',
    title: 'TRAILER',
    lines: [
      'VIN   9TPKT121?T1000460',
      'GVWR  2,950 lb (1,338 kg)',
      'GAWR  3,500 lb  one axle',
      'MANUFACTURED  02/2026',
    ],
    says: '9TPKT1211T1000460',
    code: 'bar',
  },
  {
    model: 'Pell 12 K',
    label: 'weight',
    title: 'WEIGHT OF THIS UNIT',
    lines: ['UVW  2,120 lb', 'CCC    810 lb'],
  },
  {
    model: 'Pell 12 K',
    label: 'tire',
    title: 'TIRE AND LOADING INFORMATION',
    lines: ['ST205/75R14   LOAD RANGE C', 'COLD 50 PSI (345 kPa)'],
  },
  {
    model: 'Pell 12 K',
    label: 'number',
    title: 'THORNQUAY YARD',
    lines: ['TQ-0460', 'Pell 12 K, new'],
    says: 'https://yard.example/u/TQ-0460',
    code: 'qr',
  },
  {
    model: 'Skerry 21 G',
    label: 'vin',
    title: 'TRAILER',
    lines: [
      'VIN   9TPGT211?M1000177',
      'GVWR  7,600 lb (3,447 kg)',
      'GAWR  3,800 lb  two axles',
      'MANUFACTURED  04/2021',
    ],
    says: '9TPGT2118M1000177',
    code: 'bar',
  },
  {
    model: 'Skerry 21 G',
    label: 'weight',
    title: 'CARGO CARRYING CAPACITY',
    lines: ['CCC  2,310 lb', 'UVW  (scratched)'],
  },
  {
    model: 'Skerry 21 G',
    label: 'tire',
    title: 'TIRE AND LOADING INFORMATION',
    lines: ['ST225/75R15   LOAD RANGE D', 'COLD 65 PSI (448 kPa)'],
  },
  {
    model: 'Skerry 21 G',
    label: 'number',
    title: 'THORNQUAY YARD',
    lines: ['TQ-0461', 'Skerry 21 G, used'],
    says: 'https://yard.example/u/TQ-0461',
    code: 'qr',
  },
];

const plain = (text: string): string => text.toLowerCase().replaceAll(/\W/g, '');

/** The demo's label that is aimed at: that of the unit by name, else any of its kind. */
export const labelAt = ({ label, unitName }: Aim): StandInLabel | undefined => {
  const ofKind = standInLabels.filter((row) => row.label === label);
  return ofKind.find(({ model }) => plain(unitName).includes(plain(model))) ?? ofKind[0];
};
