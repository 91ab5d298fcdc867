import type { KeptSheet, ModelSheet, Offer, SheetChange } from '@fair-gable/core/unit/model-sheet';
import { sample } from '../../base/app/index.ts';
import { sampleRating } from '../record/index.ts';

const { unit, at } = sample;

export const sampleSheet: ModelSheet = {
  id: '5e1ec7ed-0000-4000-8000-000000000001',
  series: 'Fenlark',
  floorPlan: '24 RKD',
  year: 2026,
  source: 'Maker’s sheet of January 2026',
  values: { specs: { gvwr: sampleRating }, features: { awning: 'standard' }, places: {} },
  packages: [
    {
      key: 'winter',
      name: 'Winter',
      standard: false,
      adds: { specs: {}, features: { tankHeat: 'option' }, places: {} },
      replaces: [],
      forbids: [],
    },
  ],
  midYear: [],
  sisters: [],
  objections: [{ says: 'The step count is low.', answer: 'The floor is low too.' }],
  wouldChange: ['A second outlet by the dinette.'],
  wordings: { 'specs.gvwr': { words: 'By its label 7,490 lb at most.' } },
};

export const keptSheet: KeptSheet = {
  sheet: sampleSheet,
  version: 1,
  by: 'Maren Holt',
  at,
  offers: [],
};

export const sheetChange: SheetChange = {
  id: unit,
  version: 1,
  from: null,
  to: sampleSheet,
  units: 0,
  by: 'Maren Holt',
  at,
};

export const sampleOffer: Omit<Offer, 'by' | 'at'> = {
  id: '0ffe4000-0000-4000-8000-000000000001',
  unit,
  unitName: 'Fenlark 24 RKD',
  part: 'specs',
  key: 'gvwr',
  spec: sampleRating,
};
