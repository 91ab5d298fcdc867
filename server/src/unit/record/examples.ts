import {
  emptyRecord,
  type Change,
  type HistoryRow,
  type UnitNow,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { sample } from '../../base/app/index.ts';

const { unit: id, at } = sample;

/** A rating as it is read off a label. */
export const sampleRating = { kind: 'quantity', amount: 7490 } as const;

export const sampleChange: Change = {
  part: 'specs',
  key: 'gvwr',
  value: sampleRating,
  how: 'read',
  basedOn: 1,
};

export const firstChange: Change = { ...sampleChange, basedOn: 0 };

export const sampleRecord: UnitRecord = {
  ...emptyRecord,
  specs: { gvwr: { value: sampleRating, how: 'read', by: 'Ines Rook', at, version: 2 } },
};

export const sampleUnit: UnitNow = { id, record: sampleRecord, revision: 2 };

export const sampleHistory: HistoryRow = {
  id: 'c4a00000-0000-4000-8000-000000000002',
  part: 'specs',
  key: 'gvwr',
  from: { kind: 'quantity', amount: 7940 },
  fromHow: 'told',
  to: sampleRating,
  how: 'read',
  by: 'Ines Rook',
  at,
};
