import type { System } from '@fair-gable/core/base/quantity';
import { askingOf, label, load, nights, scale, tires, tow } from '@fair-gable/core/numbers/trial';
import type { Trial, UnitRecord } from '@fair-gable/core/unit/record';

/** Every answer at once, for tests that look at all of them. */
export const answersFor = (record: UnitRecord, trial: Trial, system: System, today: string) => {
  const asking = askingOf(record, trial, system, today);
  return {
    load: asking.of(load.work),
    tow: asking.of(tow.work),
    nights: asking.of(nights.work),
    tires: asking.of(tires.work),
    label: asking.of(label.work),
    scale: asking.of(scale.work),
  };
};
