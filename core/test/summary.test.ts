import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { features, specs } from '@fair-gable/core/unit/catalog';
import { checkRecord } from '@fair-gable/core/unit/checks';
import { drawingOf, outlineOf } from '@fair-gable/core/unit/outline';
import { modelKeyOf } from '@fair-gable/core/unit/questions';
import {
  amountOf,
  applyChange,
  basicsOf,
  briefParts,
  emptyRecord,
  nameOf,
  packed,
  particularsOf,
  unpacked,
  withoutOurs,
  type Brief,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { calledText, fitOf, searchText, wholeYard } from '@fair-gable/core/yard/list';
import { briefIn, checkedOn, summaryOf, verdictOf } from '@fair-gable/core/yard/summary';
import { basicsMissing, nextNeed, toConfirm } from '@fair-gable/core/yard/to-do';
import { demoFiles } from './demo-units.ts';

const today = '2026-04-15';
/** A record in brief, as it arrives with a yard's summaries. */
const briefOf = (record: UnitRecord): Brief => {
  const sent = JSON.parse(JSON.stringify(packed(record))) as ReturnType<typeof packed>;
  return { ...unpacked(sent), questions: record.questions };
};
const id = '7f3a0000-0000-4000-8000-000000000001';
/** Off by far too much: whatever objects to figures does. */
const wrong = (record: UnitRecord): UnitRecord =>
  (['gvwr', 'uvw', 'overallLength', 'freshTank'] as const).reduce(
    (r, key) =>
      applyChange(
        r,
        {
          part: 'specs',
          key,
          value: { kind: 'quantity', amount: 99_000 },
          how: 'read',
          basedOn: r.specs[key]?.version ?? 0,
        },
        'Ines',
        `${today}T09:00:00.000Z`,
      ),
    record,
  );
const records = demoFiles.flatMap(({ record }) => [record, wrong(record)]);
const all = [emptyRecord, ...records].map((record, i) => [i, record] as const);

const keys = fc.constantFrom(...specs.map(({ key }) => key));
const featureKeys = fc.constantFrom(...features.map(({ key }) => key));
const hows = fc.constantFrom('read', 'measured', 'guessed', 'told');
const states = fc.record(
  {
    state: fc.constantFrom('standard', 'option', 'prep', 'none'),
    tried: fc.constantFrom('works', 'faulty'),
  },
  { requiredKeys: ['state'] },
);
const number = fc.integer({ min: 0, max: 9999 });
const values = fc.oneof(
  fc.record({ kind: fc.constant('text'), text: fc.string({ minLength: 1 }) }),
  fc.record({ kind: fc.constant('number'), number }),
  fc.record({ kind: fc.constant('choice'), choice: fc.string({ minLength: 1 }) }),
  fc.record({ kind: fc.constant('date'), date: fc.constantFrom('2025-03', '2026-03-14') }),
  fc.record({ kind: fc.constant('size'), sides: fc.array(number, { minLength: 2, maxLength: 3 }) }),
  fc.record(
    { kind: fc.constant('counted'), count: number, each: number },
    { requiredKeys: ['kind', 'count'] },
  ),
  fc.record(
    {
      kind: fc.constant('quantity'),
      amount: number,
      bound: fc.constantFrom('about', 'under'),
      to: number,
    },
    { requiredKeys: ['kind', 'amount'] },
  ),
);

/** In whatever order: one searches for words. */
const linesOf = (record: Brief): readonly string[] => searchText(record).split(' \n').toSorted();

describe('a record in brief', () => {
  it('is asked for nothing that it has not: a basic that is missing is not known, another is no question', () => {
    const basics = basicsOf(emptyRecord);
    expect(amountOf(basics, 'gvwr')).toBeUndefined();
    // @ts-expect-error The tanks are not among the basics: undefined would not say that nobody knows them.
    expect(amountOf(basics, 'freshTank')).toBeUndefined();
  });

  it.each(all)('draws, finds and compares unit %d as its whole record does', (_, record) => {
    const [brief, basics] = [briefOf(record), basicsOf(record)];
    for (const read of [nameOf, particularsOf, calledText, modelKeyOf])
      expect(read(basics)).toEqual(read(record));
    for (const read of [linesOf, drawingOf, outlineOf]) expect(read(brief)).toEqual(read(record));
    const [small, whole] = [
      { record: basics, brief: () => brief, words: () => searchText(brief) },
      { record, brief: () => record, words: () => searchText(record) },
    ];
    for (const unknown of ['sleeps', 'gvwr'] as const) {
      const view = { ...wholeYard, unknown, longest: 300, text: 'fenlark' };
      expect(fitOf(small, view)).toBe(fitOf(whole, view));
    }
  });

  it('names nobody, but for whoever asked a question', () => {
    const { questions: _, ...brief } = briefOf(records[0] ?? emptyRecord);
    const keys = Object.values(brief).flatMap((part) =>
      Object.values(part).flatMap((known) => Object.keys(known ?? {})),
    );
    expect(new Set(keys)).toEqual(new Set(['value', 'how']));
  });
});

describe('a packed brief', () => {
  it.each(all)('of unit %d says what its record says, and how that is known', (_, record) => {
    const brief = briefOf(record);
    for (const part of briefParts) {
      const bare = Object.entries(record[part]).map(([key, known]) => [
        key,
        { value: known?.value, how: known?.how },
      ]);
      expect(brief[part]).toEqual(Object.fromEntries(bare));
    }
    const summary = summaryOf(id, 1, checkedOn(record, today));
    expect(briefIn(summary)).toEqual(brief);
    expect(briefIn(summary)).toBe(briefIn(summary));
  });

  it('holds any value that a field may have, whatever the kind of the field', () => {
    fc.assert(
      fc.property(fc.dictionary(keys, fc.record({ value: values, how: hows })), (specs) => {
        const brief = { ...emptyRecord, specs } as Brief;
        expect(unpacked(packed(brief)).specs).toEqual(specs);
      }),
    );
  });

  it('keeps apart what was only seen and what was tried', () => {
    fc.assert(
      fc.property(
        fc.dictionary(featureKeys, fc.record({ value: states, how: hows })),
        (features) => {
          const brief = { ...emptyRecord, features } as Brief;
          expect(unpacked(packed(brief)).features).toEqual(features);
        },
      ),
    );
  });

  it('leaves out a field that this version does not have, and takes no offence', () => {
    const from = { ...packed(emptyRecord), specs: { read: { lamps: 7, gvwr: 7490 } } };
    expect(Object.keys(unpacked(from).specs)).toEqual(['gvwr']);
  });

  it('is less than a third of the text of the whole record', () => {
    const [fullest = emptyRecord] = records;
    const size = (value: unknown): number => JSON.stringify(value).length;
    expect(size(packed(fullest)) * 3).toBeLessThan(size(fullest));
  });
});

describe('a verdict', () => {
  it.each(all)('on unit %d is what the checks find, in either unit system', (_, record) => {
    const { verdict } = summaryOf(id, 1, checkedOn(record, today));
    for (const system of ['us', 'metric'] as const) {
      const objections = checkRecord(record, { system, today });
      expect(verdict.need).toEqual(nextNeed(record, objections));
      const open = objections.filter((o) => !o.settled && o.severity !== 'look');
      expect(verdict.left.disagree).toBe(open.length);
    }
    expect([verdict.left.confirm, verdict.left.look]).toEqual([
      toConfirm(record).length,
      basicsMissing(record).length,
    ]);
  });

  it.each(all)('on unit %d is the same where only what changed is checked again', (_, record) => {
    const less = withoutOurs(record);
    const again = checkedOn(less, today, checkedOn(record, today));
    expect(verdictOf(again)).toEqual(verdictOf(checkedOn(less, today)));
  });
});
