import { describe, expect, it } from '@jest/globals';
import { checkAgain, checkRecord, rules } from '@fair-gable/core/unit/checks';
import { features, isFeatureKey, specs } from '@fair-gable/core/unit/catalog';
import {
  applyChange,
  emptyRecord,
  parts,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { givenTo } from '../src/unit/checks/given.ts';
import { demoFiles } from './demo-units.ts';
import { valueFor } from './sample-values.ts';

const look = { system: 'us', today: '2026-04-15' } as const;

const entry = <V>(value: V) => ({
  value,
  how: 'read' as const,
  by: 'Ines Rook',
  at: '2026-04-15T10:00:00.000Z',
  version: 1,
});
const all = {
  ...emptyRecord,
  specs: Object.fromEntries(specs.map((spec) => [spec.key, entry(valueFor(spec))])),
  features: Object.fromEntries(features.map(({ key }) => [key, entry({ state: 'standard' })])),
} as UnitRecord;
const nothingFitted = {
  ...all,
  features: Object.fromEntries(features.map(({ key }) => [key, entry({ state: 'none' })])),
} as UnitRecord;
/** Units as they come, with everything, with nothing fitted, and with each spec missing in turn. */
const tried: readonly UnitRecord[] = [
  ...demoFiles.map(({ record }) => record),
  all,
  nothingFitted,
  { ...all, features: {} },
  ...specs.map(({ key }) => {
    const { [key]: _, ...others } = all.specs;
    return { ...all, specs: others };
  }),
];

/** A record that notes which of its fields are asked for. */
const noting = (record: UnitRecord, asked: Set<string>): UnitRecord => {
  const noted = <T extends object>(fields: T): T =>
    new Proxy(fields, {
      get: (of, key) => {
        asked.add(String(key));
        return Reflect.get(of, key);
      },
    });
  return { ...record, specs: noted(record.specs), features: noted(record.features) };
};

describe('a rule', () => {
  it.each(rules.map((rule) => [rule.key, rule] as const))(
    '%s asks for no other field',
    (_, rule) => {
      const asked = new Set<string>();
      for (const record of tried) rule.test(noting(record, asked), look);
      const named = new Set<string>([...rule.needs, ...(rule.besides ?? [])]);
      const readWhole = rule.reads?.includes('features') ? isFeatureKey : () => false;
      expect([...asked].filter((key) => !named.has(key) && !readWhole(key))).toEqual([]);
    },
  );

  it.each(rules.map((rule) => [rule.key, rule] as const))(
    '%s finds by what it is given what it would find in the whole record',
    (_, rule) => {
      for (const { record } of demoFiles) {
        expect(rule.test(givenTo(rule, record), look)).toEqual(rule.test(record, look));
      }
    },
  );
});

describe('a second look, at what changed since the first', () => {
  it('finds what a whole look finds, whichever field of a unit is taken away or put back', () => {
    for (const { record } of demoFiles) {
      let before = checkAgain(undefined, record, look);
      for (const part of parts) {
        for (const key of Object.keys(record[part]).filter((_, i) => i % 7 === 0)) {
          const gone = { part, key, value: null, how: 'seen', basedOn: 1 } as Change;
          const without = applyChange(record, gone, 'Ines Rook', '2026-04-15T10:00:00.000Z');
          before = checkAgain(before, without, look);
          expect(before.objections).toEqual(checkRecord(without, look));
        }
      }
      before = checkAgain(before, record, look);
      expect(before.objections).toEqual(checkRecord(record, look));
    }
    expect(checkRecord(emptyRecord, look)).toEqual([]);
  });
});
