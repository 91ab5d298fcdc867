import type { YardWalk, WalkEvent, WalkPlan } from '@fair-gable/core/show/walk';
import { sample } from '../../base/app/index.ts';

export const samplePlan: WalkPlan = {
  id: sample.walk,
  unit: sample.unit,
  minutes: 15,
  points: [
    {
      id: 'specs.gvwr',
      station: 'labels',
      label: 'GVWR',
      sentence: 'Fully loaded it may weigh 7,490 lb.',
      numbers: [{ label: 'GVWR', text: '7,490 lb', how: 'read' }],
      seconds: 10,
    },
  ],
};

export const sampleEvent: WalkEvent = {
  id: 'e7e40000-0000-4000-8000-000000000001',
  device: 'de71ce00-0000-4000-8000-000000000001',
  counter: 2,
  elapsed: 9000,
  what: { kind: 'said', point: 'specs.gvwr' },
};

export const sampleWalk: YardWalk = {
  plan: samplePlan,
  by: 'Ines Rook',
  own: true,
  account: 'ines@thornquay.example',
  createdAt: sample.at,
  events: [sampleEvent],
};
