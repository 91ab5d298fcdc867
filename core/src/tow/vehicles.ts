/** A tow vehicle by its class. Pounds; each figure has its own place on the real vehicle, which goes before it. */
export interface VehicleClass {
  readonly key: string;
  readonly label: string;
  readonly payload: number;
  readonly towRating: number;
  readonly gcwr: number;
  /** Of the receiver: with and without weight distribution. */
  readonly receiver: { readonly plain: number; readonly distributing: number };
  readonly curb: number;
}

/** Middling vehicles of each class, no maker's own. Common practice; a door label and a tow guide decide. */
export const vehicleClasses: readonly VehicleClass[] = [
  {
    key: 'crossover',
    label: 'Crossover',
    payload: 1200,
    towRating: 3500,
    gcwr: 8600,
    receiver: { plain: 350, distributing: 350 },
    curb: 4200,
  },
  {
    key: 'mid-suv',
    label: 'Mid-size SUV',
    payload: 1400,
    towRating: 5000,
    gcwr: 10_900,
    receiver: { plain: 500, distributing: 500 },
    curb: 4700,
  },
  {
    key: 'mid-truck',
    label: 'Mid-size truck',
    payload: 1500,
    towRating: 6500,
    gcwr: 12_500,
    receiver: { plain: 650, distributing: 650 },
    curb: 4600,
  },
  {
    key: 'half-ton',
    label: 'Half-ton truck',
    payload: 1700,
    towRating: 9000,
    gcwr: 15_500,
    receiver: { plain: 500, distributing: 1100 },
    curb: 5300,
  },
  {
    key: 'half-ton-heavy',
    label: 'Half-ton, heavy payload',
    payload: 2200,
    towRating: 11_000,
    gcwr: 17_500,
    receiver: { plain: 500, distributing: 1300 },
    curb: 5500,
  },
  {
    key: 'three-quarter-ton',
    label: 'Three-quarter-ton truck',
    payload: 3000,
    towRating: 14_000,
    gcwr: 22_000,
    receiver: { plain: 1200, distributing: 1800 },
    curb: 6800,
  },
];

export const vehicleClass = (key: string): VehicleClass | undefined =>
  vehicleClasses.find((row) => row.key === key);
