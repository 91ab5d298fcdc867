import type { System } from '@fair-gable/core/base/quantity';

/** What people call the two unit systems. */
export const systemNames: Readonly<Record<System, string>> = {
  us: 'feet, pounds, gallons',
  metric: 'meters, kilograms, liters',
};
