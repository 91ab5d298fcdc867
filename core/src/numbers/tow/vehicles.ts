import {
  figureSources,
  type Figure,
  type Vehicle,
  type VehicleFigureKey,
} from '../../unit/record/index.ts';
import type { Given } from '../../unit/outcome/index.ts';

/** What a middling vehicle of a class has, of no maker's own. Pounds. */
interface ClassRow {
  readonly key: string;
  readonly label: string;
  readonly payload: number;
  readonly towRating: number;
  readonly gcwr: number;
  readonly curb: number;
  readonly receiver: number;
  readonly receiverDistributing: number;
}

/** Common practice; a door label, a tow guide and a receiver's plate decide. */
const rows: readonly ClassRow[] = [
  {
    key: 'crossover',
    label: 'Crossover',
    payload: 1200,
    towRating: 3500,
    gcwr: 8600,
    curb: 4200,
    receiver: 350,
    receiverDistributing: 350,
  },
  {
    key: 'mid-suv',
    label: 'Mid-size SUV',
    payload: 1400,
    towRating: 5000,
    gcwr: 10_900,
    curb: 4700,
    receiver: 500,
    receiverDistributing: 500,
  },
  {
    key: 'mid-truck',
    label: 'Mid-size truck',
    payload: 1500,
    towRating: 6500,
    gcwr: 12_500,
    curb: 4600,
    receiver: 650,
    receiverDistributing: 650,
  },
  {
    key: 'half-ton',
    label: 'Half-ton truck',
    payload: 1700,
    towRating: 9000,
    gcwr: 15_500,
    curb: 5300,
    receiver: 500,
    receiverDistributing: 1100,
  },
  {
    key: 'half-ton-heavy',
    label: 'Half-ton, heavy payload',
    payload: 2200,
    towRating: 11_000,
    gcwr: 17_500,
    curb: 5500,
    receiver: 500,
    receiverDistributing: 1300,
  },
  {
    key: 'three-quarter-ton',
    label: 'Three-quarter-ton truck',
    payload: 3000,
    towRating: 14_000,
    gcwr: 22_000,
    curb: 6800,
    receiver: 1200,
    receiverDistributing: 1800,
  },
];

const asClass = ({ key, label, ...figures }: ClassRow): Vehicle => ({
  key,
  label,
  kind: 'class',
  figures: Object.fromEntries(
    Object.entries(figures).map(([name, amount]): [string, Figure] => [
      name,
      { amount, from: 'class' },
    ]),
  ),
});

/** The classes that stand until a yard writes its own. */
export const vehicleClasses: readonly Vehicle[] = rows.map(asClass);

/** A yard's vehicles: the usual classes, each as the yard has written it, then its buyers' own by name. */
export const vehiclesOf = (kept: readonly Vehicle[]): readonly Vehicle[] => {
  const own = new Map(kept.map((vehicle) => [vehicle.key, vehicle]));
  const usual = new Set(vehicleClasses.map(({ key }) => key));
  const rest = kept
    .filter(({ key }) => !usual.has(key))
    .toSorted((a, b) => b.kind.localeCompare(a.kind) || a.label.localeCompare(b.label, 'en'));
  return [...vehicleClasses.map((vehicle) => own.get(vehicle.key) ?? vehicle), ...rest];
};

/** A figure of a vehicle as an input, as sure as where it was found. */
export const figureGiven = (vehicle: Vehicle, key: VehicleFigureKey): Given | undefined => {
  const figure = vehicle.figures[key];
  const source = figureSources.find((row) => row.key === figure?.from);
  return figure && source ? { amount: figure.amount, how: source.how } : undefined;
};
