import { describe, expect, it, jest } from '@jest/globals';
import { pointsOf } from '@fair-gable/core/show/cards';
import {
  askingOf,
  compareTrials,
  freshTrial,
  keptTrials,
  questionOf,
  questions,
  questionsFor,
} from '@fair-gable/core/numbers/trial';
import {
  applyChange,
  questionKeys,
  type KeptTrial,
  type Trial,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { demoRecord, us } from './demo-units.ts';

/** What is worked out while something is done, by question. */
const workedOut = (deed: () => void): Readonly<Record<string, number>> => {
  const spies = questions.map(({ key, work }) => [key, jest.spyOn(work, 'engine')] as const);
  try {
    deed();
    return Object.fromEntries(
      spies
        .map(([key, spy]) => [key, spy.mock.calls.length] as const)
        .filter(([, times]) => times > 0),
    );
  } finally {
    for (const [, spy] of spies) spy.mockRestore();
  }
};

/** A record nobody has asked about yet. */
const fresh = (): UnitRecord => ({ ...demoRecord('TQ-0417'), trials: {} });
const trial = freshTrial();
const ask = (record: UnitRecord, more: Partial<Trial> = {}) =>
  askingOf(record, { ...trial, ...more }, 'us', us.today);

describe('a buyer’s questions', () => {
  it('are one object for each key that records know', () => {
    expect(questions.map(({ key }) => key).toSorted()).toEqual([...questionKeys].toSorted());
    for (const key of questionKeys) expect(questionOf(key).key).toBe(key);
  });
});

describe('an answer', () => {
  it('is worked out when it is asked for, with what it leans on, and once', () => {
    const record = fresh();
    expect(workedOut(() => ask(record))).toEqual({});
    expect(workedOut(() => ask(record).of(questionOf('nights').work))).toEqual({ nights: 1 });
    expect(workedOut(() => ask(record).of(questionOf('tow').work))).toEqual({
      load: 1,
      scale: 1,
      tow: 1,
    });
    expect(workedOut(() => questionsFor(ask(record)))).toEqual({ tires: 1, label: 1 });
    expect(workedOut(() => questionsFor(ask(record)))).toEqual({});
  });

  // What a slider or a field of each bench changes, and what goes by it.
  it.each<[string, Partial<Trial>, readonly string[]]>([
    ['people off the hookups', { people: 4 }, ['nights']],
    ['a vehicle', { aboard: 600 }, ['tow']],
    ['a pressure', { pressures: { 'left-1': 60 } as Trial['pressures'] }, ['tires']],
    ['gear', { gear: { front: 200 } }, ['load', 'scale', 'tires', 'tow']],
    ['a weighing', { weighings: { vehicle: 5000 } }, ['scale', 'tires', 'tow']],
    ['days, which the drawing alone shows', { days: 2 }, []],
  ])('is worked out anew where it goes by %s, and nowhere else', (_, more, anew) => {
    const record = fresh();
    questionsFor(ask(record));
    expect(Object.keys(workedOut(() => questionsFor(ask(record, more)))).toSorted()).toEqual(anew);
  });

  it('is of its record, system and day', () => {
    const record = fresh();
    questionsFor(ask(record));
    const all = ['label', 'load', 'nights', 'scale', 'tires', 'tow'];
    const anew = (of: UnitRecord, system: 'us' | 'metric', today: string) =>
      Object.keys(workedOut(() => questionsFor(askingOf(of, trial, system, today)))).toSorted();
    expect(anew(record, 'metric', us.today)).toEqual(all);
    expect(anew(record, 'us', '2027-04-15')).toEqual(all);
    expect(anew(fresh(), 'us', us.today)).toEqual(all);
    expect(anew(record, 'us', us.today)).toEqual([]);
  });

  it('is the same whether it was asked for before or not', () => {
    const record = fresh();
    for (let i = 0; i < 30; i++)
      questionsFor(ask(record, { people: 1 + (i % 12), aboard: i * 10 }));
    expect(questionsFor(ask(record, { people: 3 }))).toEqual(
      questionsFor(ask(fresh(), { people: 3 })),
    );
  });
});

describe('a kept trial', () => {
  const keeping = (card: boolean): UnitRecord => {
    const value: KeptTrial = { name: 'Dry', question: 'nights', card, on: us.today, trial };
    const change = { part: 'trials', key: '0b8f0a3e-2f51-4bd2-9d6c-000000000001', value } as const;
    return applyChange(fresh(), { ...change, how: 'seen', basedOn: 0 }, 'Ines', '2026-04-15T09:00:00.000Z'); // prettier-ignore
  };

  it('asks nothing of a walk unless it is a card, and then its own question alone', () => {
    expect(workedOut(() => pointsOf(keeping(false), us))).toEqual({});
    expect(workedOut(() => pointsOf(keeping(true), us))).toEqual({ nights: 1 });
    expect(workedOut(() => keptTrials(keeping(false), 'us'))).toEqual({ nights: 1 });
  });

  it('stands beside others without being worked out at each slider move', () => {
    const record = keeping(false);
    const kept = Object.values(record.trials).flatMap((entry) => entry?.value ?? []);
    const now = (people: number): KeptTrial => ({
      ...(kept[0] as KeptTrial),
      trial: { ...trial, people },
    });
    compareTrials(record, [now(2), ...kept], 'us');
    expect(workedOut(() => compareTrials(record, [now(3), ...kept], 'us'))).toEqual({ nights: 1 });
  });
});
