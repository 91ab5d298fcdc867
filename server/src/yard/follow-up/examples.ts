import type { Buyer, FollowUp, KeptLetter, Letter } from '@fair-gable/core/yard/follow-up';
import { sample } from '../../base/app/index.ts';

const { walk, unit, at } = sample;

export const sampleFollowUp: FollowUp = {
  id: 'f0110000-0000-4000-8000-000000000001',
  walk,
  unit,
  kind: 'promise',
  text: 'Send the manual of the fridge',
  due: '2026-04-14',
  who: 'Ines Rook',
};

export const sampleBuyer: Buyer = {
  id: 'b0e40000-0000-4000-8000-000000000001',
  name: 'Asa Fenn',
  email: 'asa@harbor.example',
};

/** Until when they are kept. */
export const sampleKeepUntil = '2026-10-10';

export const sampleLetter: Letter = {
  id: '1e77e400-0000-4000-8000-000000000001',
  walk,
  subject: 'The Fenlark 24 RKD you looked at',
  text: 'Good day Asa Fenn, …',
};

export const keptLetter: KeptLetter = {
  ...sampleLetter,
  to: 'asa@harbor.example',
  by: 'Ines Rook',
  at,
  sentAt: at,
};

/** All that is kept of a buyer. */
export const allOfBuyer = {
  buyer: sampleBuyer,
  keepUntil: sampleKeepUntil,
  walks: [{ id: walk, unit, by: 'Ines Rook', at, marks: [] }],
  followUps: [sampleFollowUp],
  letters: [],
};
