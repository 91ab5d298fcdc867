import { describe, expect, it } from '@jest/globals';
import { modelTalk, noTalk, pointSchema, pointsOf, type Point } from '@fair-gable/core/show/cards';
import { planCards, type PlanWish } from '@fair-gable/core/show/plan';
import { cardNow, faultsSince, type WalkPlan } from '@fair-gable/core/show/walk';
import type { FeatureKey, HowKnown } from '@fair-gable/core/unit/catalog';
import type { ModelSheet } from '@fair-gable/core/unit/model-sheet';
import {
  applyChange,
  emptyRecord,
  isWordingKey,
  recordSchema,
  type UnitRecord,
  type Wording,
} from '@fair-gable/core/unit/record';
import { usualRoute } from '@fair-gable/core/unit/route';
import { demoFiles, demoRecord, us } from './demo-units.ts';
import { demoSheets } from './demo-sheets.ts';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const fenlark = demoRecord('TQ-0417');
const talk = modelTalk(fenlark, demoSheets);
const entry = <T>(value: T, how: HowKnown = 'seen') => ({
  value,
  how,
  by: 'Ines',
  at: '2026-03-14T09:00:00.000Z',
  version: 1,
});
const wordedAs = (record: UnitRecord, id: string, wording: Wording): UnitRecord => ({
  ...record,
  wordings: { ...record.wordings, [id]: entry(wording) },
});
const cardOf = (points: readonly Point[], id: string): Point => {
  const found = points.find((point) => point.id === id);
  if (!found) throw new Error(`no card ${id}`);
  return found;
};
const gvwr = cardOf(pointsOf(fenlark, us), 'specs.gvwr');
const heavier = (record: UnitRecord): UnitRecord => {
  const { gvwr: rating, ccc } = record.specs;
  if (!rating || !ccc) throw new Error('no rating');
  const heavy = (amount: number) => ({ kind: 'quantity' as const, amount });
  const specs = {
    ...record.specs,
    gvwr: { ...rating, value: heavy(7700) },
    // A rating alone would not agree with its label.
    ccc: { ...ccc, value: heavy(2068) },
  };
  return { ...record, specs };
};
const wish = (more: Partial<PlanWish> = {}): PlanWish => ({
  listeners: [],
  available: 900,
  route: usualRoute,
  ready: [],
  pinned: new Set(),
  dropped: new Set(),
  ...more,
});

describe('what the model’s sheet adds', () => {
  it('each objection is a card with its honest answer, the series’ too', () => {
    const points = pointsOf(fenlark, { ...us, talk: talk });
    const answers = points.filter(({ id }) => id.startsWith('objections.'));
    expect(answers.map(({ asked }) => asked).toSorted()).toEqual(
      talk.objections.map(({ says }) => says).toSorted(),
    );
    expect(answers.some(({ asked }) => asked === 'Laminated walls come apart.')).toBe(true);
  });

  it('is answered where it is seen', () => {
    const points = pointsOf(fenlark, { ...us, talk: talk });
    const steps = points.find(({ asked }) => asked?.startsWith('Only three steps'));
    expect(steps?.station).toBe('entry');
  });

  it('what we would change comes last, at the papers', () => {
    const points = pointsOf(fenlark, { ...us, talk: talk });
    expect(points.filter(({ id }) => id.startsWith('changes.'))).toHaveLength(
      talk.wouldChange.length,
    );
    expect(points.at(-1)?.asked).toBe('We would change');
  });

  it('a unit of no known model has none of it', () => {
    expect(modelTalk(emptyRecord, demoSheets)).toEqual(noTalk);
  });

  it('all cards of all demo units are cards, with ids of their own', () => {
    for (const { record } of demoFiles) {
      const points = pointsOf(record, { ...us, talk: modelTalk(record, demoSheets) });
      for (const point of points) expect(pointSchema.safeParse(point).error).toBeUndefined();
      expect(new Set(points.map(({ id }) => id)).size).toBe(points.length);
    }
  });
});

describe('what is lacking', () => {
  it('is confused with nothing; what is only prepared is', () => {
    for (const { record } of demoFiles) {
      for (const { id, not } of pointsOf(record, us)) {
        const key = id.startsWith('features.') ? (id.slice(9) as FeatureKey) : undefined;
        if (key && record.features[key]?.value.state === 'none') expect(not).toBeUndefined();
      }
    }
    const prepared = pointsOf(fenlark, us).find(({ id }) => id === 'features.ladder');
    expect(prepared?.not).toBeDefined();
  });
});

describe('a card in somebody’s own words', () => {
  const words = 'Seven and a half thousand pounds at most, by the label.';
  const own = wordedAs(fenlark, 'specs.gvwr', { words, instead: gvwr.sentence });

  it('is said so, with the record’s numbers beside', () => {
    const card = cardOf(pointsOf(own, us), 'specs.gvwr');
    expect(card).toMatchObject({ sentence: words, numbers: gvwr.numbers, wordedBy: 'unit' });
    expect(card.changed).toBeUndefined();
  });

  it('survives a change of its number, and says what the record says now', () => {
    const card = cardOf(pointsOf(heavier(own), us), 'specs.gvwr');
    expect(card.sentence).toBe(words);
    expect(card.changed).toMatch(/7,700/);
  });

  it('of the sheet holds for every unit of the model, but for those worded themselves', () => {
    const sheets = demoSheets.map((sheet): ModelSheet => ({
      ...sheet,
      wordings: { 'specs.gvwr': { words: 'By the sheet.', instead: gvwr.sentence } },
    }));
    const byModel = modelTalk(fenlark, sheets);
    const card = (record: UnitRecord) =>
      cardOf(pointsOf(record, { ...us, talk: byModel }), 'specs.gvwr');
    expect(card(fenlark)).toMatchObject({ sentence: 'By the sheet.', wordedBy: 'sheet' });
    expect(card(own)).toMatchObject({ sentence: words, wordedBy: 'unit' });
  });

  it('may be one that nobody else has', () => {
    const id = `own.${uuid(1)}`;
    const record = wordedAs(fenlark, id, { words: 'The ferry takes it.', station: 'labels' });
    expect(cardOf(pointsOf(record, us), id)).toMatchObject({
      sentence: 'The ferry takes it.',
      station: 'labels',
    });
  });

  it('is in every plan or in none, where somebody wants it so', () => {
    const always = wordedAs(fenlark, 'features.porchLight', { wanted: 'always' });
    const never = wordedAs(fenlark, 'features.plugHolder', { wanted: 'never' });
    const ids = (record: UnitRecord, more: Partial<PlanWish> = {}) =>
      planCards(record, pointsOf(record, us), wish({ available: 400, ...more })).points.map(
        ({ id }) => id,
      );
    expect(ids(fenlark)).not.toContain('features.porchLight');
    expect(ids(always)).toContain('features.porchLight');
    const long = { available: 9000 };
    expect(ids(fenlark, long)).toContain('features.plugHolder');
    expect(ids(never, long)).not.toContain('features.plugHolder');
    // For this walk all the same.
    expect(ids(never, { ...long, pinned: new Set(['features.plugHolder']) })).toContain(
      'features.plugHolder',
    );
  });

  it.each([
    ['specs.gvwr', true],
    ['features.awning', true],
    ['objections.only-two-steps', true],
    [`own.${uuid(3)}`, true],
    ['own.mine', false],
    ['specs.color', false],
    [`findings.${uuid(3)}`, false],
    ['specs.gvwr.more', false],
    ['changes.', false],
  ])('%s may be worded: %s', (key, may) => {
    expect(isWordingKey(key)).toBe(may);
  });

  it('is part of the record like any other field', () => {
    const change = {
      part: 'wordings' as const,
      key: 'specs.gvwr',
      value: { words },
      how: 'seen' as const,
      basedOn: 0,
    };
    const made = applyChange(fenlark, change, 'Ines', '2026-03-14T09:00:00.000Z');
    expect(recordSchema.safeParse(made).success).toBe(true);
    expect(made.wordings['specs.gvwr']?.value.words).toBe(words);
  });
});

describe('while one presents', () => {
  const now = (record: UnitRecord): readonly Point[] => pointsOf(record, us);

  it('a card is as planned as long as the record is', () => {
    for (const { record } of demoFiles) {
      const points = now(record);
      for (const point of points) expect(cardNow(point, points)).toEqual({ point });
    }
  });

  it('a number that changed is the new one, and the card says what it was', () => {
    const { point, was } = cardNow(gvwr, now(heavier(fenlark)));
    expect(point.sentence).toMatch(/7,700/);
    expect(was).toBe(gvwr.sentence);
  });

  it('what the record no longer has is marked', () => {
    const specs = { ...fenlark.specs, gvwr: undefined };
    expect(cardNow(gvwr, now({ ...fenlark, specs })).gone).toBe(true);
  });

  it('a fault found since it was planned is told', () => {
    const faulty = demoFiles.find(({ record }) => now(record).some(({ first }) => first));
    if (!faulty) throw new Error('no unit with a fault');
    const sound = { ...faulty.record, findings: {} };
    const plan: WalkPlan = { id: uuid(1), unit: uuid(2), minutes: 10, points: [...now(sound)] };
    const planned = new Set(plan.points.map(({ id }) => id));
    const faults = now(faulty.record).filter(({ id, first }) => first && !planned.has(id));
    expect(faults.length).toBeGreaterThan(0);
    expect(faultsSince(plan, now(faulty.record))).toEqual(faults);
    expect(faultsSince(plan, now(sound))).toEqual([]);
  });
});
