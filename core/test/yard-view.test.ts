import { describe, expect, it } from '@jest/globals';
import type { SpecKey } from '@fair-gable/core/unit/catalog';
import { emptyRecord, type SpecValue, type UnitRecord } from '@fair-gable/core/unit/record';
import {
  fitOf,
  searchText,
  sentenceOf,
  viewSchema,
  wholeYard,
  type Lookable,
  type YardView,
} from '@fair-gable/core/yard/list';
import { demoFiles } from './demo-units.ts';

const entry = (value: SpecValue) => ({
  value,
  how: 'read' as const,
  by: 'Ines',
  at: '2026-04-15T09:00:00.000Z',
  version: 1,
});
const withSpecs = (values: Partial<Record<SpecKey, number>>): UnitRecord => ({
  ...emptyRecord,
  specs: Object.fromEntries(
    Object.entries(values).map(([key, n]) => [
      key,
      entry(
        key === 'sleeps' || key === 'modelYear'
          ? { kind: 'number', number: n }
          : { kind: 'quantity', amount: n },
      ),
    ]),
  ),
});
const lookable = (record: UnitRecord): Lookable => ({
  record,
  brief: () => record,
  words: () => searchText(record),
});
const fit = (view: Partial<YardView>, values: Partial<Record<SpecKey, number>>) =>
  fitOf(lookable(withSpecs(values)), { ...wholeYard, ...view });

describe('the yard as one looks at it', () => {
  it.each([
    [{ driest: 5000 }, { uvw: 4999 }, 'yes'],
    [{ driest: 5000 }, { uvw: 5001 }, 'no'],
    [{ driest: 5000 }, {}, 'unknown'],
    [{ fromYear: 2024 }, { modelYear: 2024 }, 'yes'],
    [{ fromYear: 2024 }, { modelYear: 2023 }, 'no'],
    [{ sleeps: 6 }, { sleeps: 8 }, 'yes'],
    [{ sleeps: 6 }, { sleeps: 4 }, 'no'],
    [{ sleeps: 6, driest: 5000 }, { sleeps: 4 }, 'no'],
    [{ unknown: 'gvwr' }, {}, 'yes'],
    [{ unknown: 'gvwr' }, { gvwr: 7000 }, 'no'],
  ] as const)('%j of %j: %s', (view, values, expected) => {
    expect(fit(view, values)).toBe(expected);
  });

  it('counts every unit once: it fits, it does not, or nobody can say', () => {
    const view = { ...wholeYard, driest: 5000, sleeps: 4 };
    const fits = demoFiles.map(({ record }) => fitOf(lookable(record), view));
    expect(new Set(fits)).toEqual(new Set(['yes', 'no', 'unknown']));
    expect(fits).toHaveLength(demoFiles.length);
  });

  it('reads as a sentence, and a view that was kept before still is one', () => {
    const view = {
      ...wholeYard,
      driest: 5000,
      fromYear: 2024,
      sleeps: 4,
      unknown: 'gvwr' as const,
    };
    expect(sentenceOf(view, 'us')).toBe(
      'All units, UVW up to 5,000 lb, 2024 or newer, that sleep 4 or more, with GVWR not known, by length',
    );
    expect(viewSchema.parse({ text: '', sort: 'gvwr' })).toMatchObject({ driest: null });
  });
});
