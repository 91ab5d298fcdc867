// What a browser runs for the benchmark of checks: the core alone, bundled.
import { checkRecord } from '@fair-gable/core/unit/checks';
import type { UnitRecord } from '@fair-gable/core/unit/record';

const look = { system: 'us', today: '2026-04-15' } as const;

/** How long all checks of each record take, ms. */
const timesOf = (records: readonly UnitRecord[]): readonly number[] =>
  records.map((record) => {
    const began = performance.now();
    checkRecord(record, look);
    return performance.now() - began;
  });

Object.assign(globalThis, { timesOf });
