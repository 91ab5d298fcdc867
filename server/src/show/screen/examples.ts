import type { ScreenView } from '@fair-gable/core/show/screen';
import { drawingOf } from '@fair-gable/core/unit/outline';
import { sampleRecord } from '../../unit/record/index.ts';

export const sampleScreen: ScreenView = {
  unit: 'Fenlark 24 RKD',
  state: 'walking',
  station: 'labels',
  title: 'GVWR',
  system: 'us',
  numbers: [{ label: 'GVWR', text: '7,490 lb' }],
  photos: [],
  drawing: drawingOf(sampleRecord),
};
