import type { Dimension, UnitKey } from './units.ts';

export const systems = ['us', 'metric'] as const;
export type System = (typeof systems)[number];

interface Scale {
  readonly unit: UnitKey;
  readonly decimals: number;
}

/** How a kind of number is shown in each system, and what a bare number typed there means. */
export interface DisplayRow {
  readonly dimension: Dimension;
  readonly us: Scale & {
    readonly feetAndInches?: true;
    /** Shown in parts of this size: 32 for thirty-seconds of an inch. */
    readonly fraction?: 32;
  };
  readonly metric: Scale;
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
  fineInches: {
    dimension: 'length',
    us: { unit: 'in', decimals: 0, fraction: 32 },
    metric: { unit: 'mm', decimals: 0 },
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
    us: { unit: 'A', decimals: 1 },
    metric: { unit: 'A', decimals: 1 },
  },
  cubicFeet: {
    dimension: 'volume',
    us: { unit: 'ft³', decimals: 1 },
    metric: { unit: 'L', decimals: 0 },
  },
  watts: {
    dimension: 'power',
    us: { unit: 'W', decimals: 0 },
    metric: { unit: 'W', decimals: 0 },
  },
  charge: {
    dimension: 'charge',
    us: { unit: 'Ah', decimals: 0 },
    metric: { unit: 'Ah', decimals: 0 },
  },
  voltage: {
    dimension: 'voltage',
    us: { unit: 'V', decimals: 1 },
    metric: { unit: 'V', decimals: 1 },
  },
  airflow: {
    dimension: 'airflow',
    us: { unit: 'CFM', decimals: 0 },
    metric: { unit: 'm³/h', decimals: 0 },
  },
  temperature: {
    dimension: 'temperature',
    us: { unit: '°F', decimals: 0 },
    metric: { unit: '°C', decimals: 0 },
  },
  rValue: {
    dimension: 'thermal-resistance',
    us: { unit: 'R', decimals: 1 },
    metric: { unit: 'RSI', decimals: 2 },
  },
  torque: {
    dimension: 'torque',
    us: { unit: 'lb·ft', decimals: 0 },
    metric: { unit: 'N·m', decimals: 0 },
  },
  speed: {
    dimension: 'speed',
    us: { unit: 'mph', decimals: 0 },
    metric: { unit: 'km/h', decimals: 0 },
  },
} as const satisfies Record<string, DisplayRow>;

export type Display = keyof typeof displays;

/** The row of a display, widened so that both systems read alike. */
export const displayRow = (display: Display): DisplayRow => displays[display];

/** The other system, for the hover. */
export const otherSystem = (system: System): System => (system === 'us' ? 'metric' : 'us');
