import type { YardChange } from '@fair-gable/core/yard/settings';
import { sample } from '../../base/app/index.ts';

const { at } = sample;

export const sampleYardChange: YardChange = {
  id: 'c4a00000-0000-4000-8000-000000000001',
  what: 'role',
  subject: 'Bram Oake',
  from: 'viewer',
  to: 'technician',
  by: 'Maren Holt',
  account: 'maren@thornquay.example',
  at,
};
