import { describe, expect, it } from '@jest/globals';
import { checkRecord } from '@fair-gable/core/unit/checks';
import { drawingOf, outlineOf } from '@fair-gable/core/unit/outline';
import { modelKeyOf } from '@fair-gable/core/unit/questions';
import {
  applyChange,
  briefOf,
  emptyRecord,
  nameOf,
  particularsOf,
  withoutOurs,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { calledText, fitOf, searchText, wholeYard } from '@fair-gable/core/yard/list';
import { checkedOn, summaryOf, verdictOf } from '@fair-gable/core/yard/summary';
import { basicsMissing, nextNeed, toConfirm } from '@fair-gable/core/yard/to-do';
import { demoFiles } from './demo-units.ts';

const today = '2026-04-15';
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

describe('a record in brief', () => {
  it.each(all)('draws, finds and compares unit %d as its whole record does', (_, record) => {
    const brief = briefOf(record);
    for (const read of [nameOf, particularsOf, searchText, calledText, modelKeyOf, drawingOf])
      expect(read(brief)).toEqual(read(record));
    expect(outlineOf(brief)).toEqual(outlineOf(record));
    for (const unknown of ['sleeps', 'gvwr'] as const) {
      const view = { ...wholeYard, unknown, longest: 300, text: 'fenlark' };
      expect(fitOf(brief, view)).toBe(fitOf(record, view));
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

describe('a verdict', () => {
  it.each(all)('on unit %d is what the checks find, in either unit system', (_, record) => {
    const { verdict } = summaryOf({ id, record }, today, 1);
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
