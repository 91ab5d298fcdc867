import type { AtStation, SpecEntry } from '../types.ts';

/** Where a tire sits. A unit has only the positions its axles give it. */
export const tirePositions = [
  { key: 'DoorFront', label: 'door side, front', axles: 1 },
  { key: 'DoorMiddle', label: 'door side, middle', axles: 3 },
  { key: 'DoorRear', label: 'door side, rear', axles: 2 },
  { key: 'OffDoorFront', label: 'off-door side, front', axles: 1 },
  { key: 'OffDoorMiddle', label: 'off-door side, middle', axles: 3 },
  { key: 'OffDoorRear', label: 'off-door side, rear', axles: 2 },
  { key: 'Spare', label: 'spare', axles: 1 },
] as const;

type Position = (typeof tirePositions)[number];
type DateKey = `tireDate${Position['key']}`;

/** All of them are told on one card, which the first leads. */
const [{ key: first }, ...rest] = tirePositions;
const others = rest.map(({ key }) => `tireDate${key}`);

/** A tire as a sentence begins with it. @example tireAt('door side, front') // 'The front tire on the door side' */
const tireAt = (label: Position['label']): string => {
  const [side, end] = label.split(', ');
  return end === undefined ? `The ${label} tire` : `The ${end} tire on the ${side}`;
};

/** The week each tire was built in, tire by tire: they are seldom all of one age. */
export const tireDates = tirePositions.map(
  ({ key, label, axles }): AtStation<SpecEntry> & { readonly key: DateKey } => ({
    key: `tireDate${key}`,
    label: `Tire date, ${label}`,
    explain: 'The last four digits after DOT: week and year in which this tire was built.',
    check: 'On one sidewall only, often the inner one; lie down with a light.',
    say: [`${tireAt(label)} was built in {}.`, 'Every tire has its build week on one sidewall.'],
    ...(key === first ? { numbers: others } : {}),
    notToBeConfused: 'The characters before it are plant and size.',
    caution:
      'Rubber ages standing still: watch from five years, replace by seven, whatever the tread.',
    audiences: [],
    value: { kind: 'text', limit: 16 },
    fromAxles: axles,
    unitOnly: true,
    ...(key === 'Spare' ? { partOf: 'spare' } : {}),
  }),
);
