/*
 * How tight lug nuts are pulled, where the maker's figure is not at hand: common practice of trailer-axle workshops, from
 * memory. The maker's figure goes before it. Pound-feet.
 */

/** A window by the wheel's diameter and its studs. */
export interface TorqueWindow {
  /** Inches of the wheel, from and to. */
  readonly from: number;
  readonly to: number;
  readonly stud: string;
  readonly least: number;
  readonly most: number;
}

export const torqueWindows: readonly TorqueWindow[] = [
  { from: 8, to: 13, stud: '1/2 in', least: 50, most: 75 },
  { from: 14, to: 16, stud: '1/2 in', least: 90, most: 120 },
  { from: 15, to: 17.5, stud: '9/16 in', least: 120, most: 140 },
];

/**
 * Windows for a wheel; more than one where its studs decide.
 * @param diameter inches
 */
export const torqueFor = (diameter: number): readonly TorqueWindow[] =>
  torqueWindows.filter(({ from, to }) => diameter >= from && diameter <= to);

/** Pulled in three rounds across the wheel, each to a share of the whole; common practice. */
const rounds = [0.25, 0.55, 1] as const;

/** What each round is pulled to, to the nearest five. @param torque pound-feet in the end */
export const torqueRounds = (torque: number): readonly number[] =>
  rounds.map((share) => (share === 1 ? torque : Math.round((torque * share) / 5) * 5));

/** Miles after which nuts of a wheel that was off are pulled again; common practice. */
export const recheckMiles = [10, 25, 50] as const;
