import type { Dimension, UnitKey } from './units.ts';

export const systems = ['us', 'metric'] as const;
export type System = (typeof systems)[number];

/** How a kind of number is shown in each system, and what a bare number typed there means. */
export interface DisplayRow {
  readonly dimension: Dimension;
  readonly us: { readonly unit: UnitKey; readonly decimals: number; readonly feetAndInches?: true };
  readonly metric: { readonly unit: UnitKey; readonly decimals: number };
}

export const displays = {
  feet: {
    dimension: 'length',
    us: { unit: 'ft', decimals: 0, feetAndInches: true },
    metric: { unit: 'm', decimals: 2 },
  },
  inches: {
    dimension: 'length',
    us: { unit: 'in', decimals: 1 },
    metric: { unit: 'cm', decimals: 0 },
  },
  weight: {
    dimension: 'mass',
    us: { unit: 'lb', decimals: 0 },
    metric: { unit: 'kg', decimals: 0 },
  },
  volume: {
    dimension: 'volume',
    us: { unit: 'gal', decimals: 1 },
    metric: { unit: 'L', decimals: 0 },
  },
  pressure: {
    dimension: 'pressure',
    us: { unit: 'psi', decimals: 0 },
    metric: { unit: 'kPa', decimals: 0 },
  },
  heat: {
    dimension: 'power',
    us: { unit: 'BTU/h', decimals: 0 },
    metric: { unit: 'kW', decimals: 2 },
  },
  current: {
    dimension: 'current',
    us: { unit: 'A', decimals: 0 },
    metric: { unit: 'A', decimals: 0 },
  },
} as const satisfies Record<string, DisplayRow>;

export type Display = keyof typeof displays;

/** The row of a display, widened so that both systems read alike. */
export const displayRow = (display: Display): DisplayRow => displays[display];

/** The other system, for the hover. */
export const otherSystem = (system: System): System => (system === 'us' ? 'metric' : 'us');
