import { basicsOf, packed } from '@fair-gable/core/unit/record';
import type { UnitSummary } from '@fair-gable/core/yard/summary';
import { sampleUnit } from '../../unit/record/index.ts';

const { id, revision, record } = sampleUnit;

export const sampleSummary: UnitSummary = {
  id,
  revision,
  record: basicsOf(record),
  packed: packed(record),
  verdict: {
    day: '2026-04-13',
    need: { urgency: 'now', text: 'Still to read: VIN', station: 'labels' },
    left: { disagree: 0, confirm: 3, look: 41, prep: 0 },
    followsSheet: false,
  },
};
