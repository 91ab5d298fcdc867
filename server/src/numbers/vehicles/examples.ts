import type { Vehicle } from '@fair-gable/core/unit/record';

export const sampleVehicle: Vehicle = {
  key: 'half-ton',
  label: 'Half-ton truck',
  kind: 'class',
  figures: { payload: { amount: 1640, from: 'label' } },
};
