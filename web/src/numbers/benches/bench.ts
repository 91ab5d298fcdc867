import type { System } from '@fair-gable/core/base/quantity';
import type { Asking } from '@fair-gable/core/numbers/trial';
import type { Trial, UnitRecord } from '@fair-gable/core/unit/record';

/** What every bench is given; it asks for what it shows. */
export interface BenchProps {
  /** The unit's id; undefined for a trailer nobody has a record of. */
  unit: string | undefined;
  record: UnitRecord;
  trial: Trial;
  system: System;
  asking: Asking;
}

/** What every bench says: something else is tried. */
export interface BenchEmits {
  set: [more: Partial<Trial>];
}
