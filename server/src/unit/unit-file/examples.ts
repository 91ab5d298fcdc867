import { toUnitFile } from '@fair-gable/core/unit/unit-file';
import { sampleUnit } from '../record/index.ts';

export const sampleFile = toUnitFile(sampleUnit.id, sampleUnit.record);
