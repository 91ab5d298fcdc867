// What the core computes, each against something named.
import { readdirSync, readFileSync } from 'node:fs';
import { pointsOf } from '@fair-gable/core/show/cards';
import { foldWalk, nextEvent, type WalkEvent, type WalkPlan } from '@fair-gable/core/show/walk';
import { checkAgain, checkRecord, rules } from '@fair-gable/core/unit/checks';
import { applyChange, type Change, type SpecValue } from '@fair-gable/core/unit/record';
import { readUnitFile, type UnitFile } from '@fair-gable/core/unit/unit-file';

const folder = new URL('../demo/units/', import.meta.url);
const texts = readdirSync(folder)
  .filter((name) => name.endsWith('.json'))
  .map((name) => readFileSync(new URL(name, folder), 'utf8'));
const look = { system: 'us', today: '2026-04-15' } as const;
const files = texts.map((text) => {
  const read = readUnitFile(JSON.parse(text));
  if (!read.ok) throw new Error(read.message);
  return read.file;
});

/** What a benchmark's work must come to, so that nothing is optimized away. */
let sink = 0;

/** The median of some runs, each a number of rounds, in microseconds a round. */
const microseconds = (work: () => number, rounds: number): number => {
  const runs = Array.from({ length: 9 }, () => {
    const began = performance.now();
    for (let i = 0; i < rounds; i++) sink += work();
    return ((performance.now() - began) / rounds) * 1000;
  });
  return runs.toSorted((a, b) => a - b)[4] ?? Number.NaN;
};

type Values = Readonly<Partial<Record<string, { readonly value: SpecValue }>>>;
type States = Readonly<Partial<Record<string, { readonly value: { readonly state: string } }>>>;

const compared = (value: SpecValue): number => {
  if (value.kind === 'quantity') return Number(value.amount < 0);
  if (value.kind === 'counted') return Number((value.each ?? 0) < 0 || value.count < 1);
  if (value.kind === 'number') return Number(value.number < 0);
  return value.kind === 'text' ? Number(value.text === '') : 0;
};

/** Every input of every rule read and compared once, with nothing round it: no sentences, no ways. */
const bareComparisons = ({ record }: UnitFile): number => {
  let found = 0;
  for (const rule of rules) {
    for (const key of rule.needs) {
      const value = (record.specs as Values)[key]?.value;
      found += value
        ? compared(value)
        : Number((record.features as States)[key]?.value.state === 'none');
    }
  }
  return found;
};

const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const busiest = files.toSorted(
  (a, b) =>
    pointsOf(b.record, { system: 'us', today: '2026-04-15' }).length -
    pointsOf(a.record, { system: 'us', today: '2026-04-15' }).length,
)[0];
if (!busiest) throw new Error('no demo units');
const plan: WalkPlan = {
  id: uuid(1),
  unit: busiest.id,
  minutes: 15,
  points: [...pointsOf(busiest.record, { system: 'us', today: '2026-04-15' })],
};
const events = plan.points.reduce<readonly WalkEvent[]>(
  (all, point, i) => [
    ...all,
    nextEvent(
      all,
      { id: uuid(100 + i), device: uuid(2), elapsed: i * 1000 },
      { kind: 'said', point: point.id },
    ),
  ],
  [],
);

/** The record with the least to object to: what a check costs where it finds nothing. */
const sound = files.toSorted(
  (a, b) => checkRecord(a.record, look).length - checkRecord(b.record, look).length,
)[0];
if (!sound) throw new Error('no demo units');
const first = checkAgain(undefined, sound.record, look);
const steps: Change = {
  part: 'specs',
  key: 'stepCount',
  value: { kind: 'number', number: 3 },
  how: 'seen',
  basedOn: 1,
};
const changedRecord = applyChange(sound.record, steps, 'bench', '');
const objections = sum(files.map((f) => checkRecord(f.record, look).length));

const benchmarks = [
  {
    what: `all ${rules.length} checks of the record with the least to object to`,
    against: 'a bare loop that reads and compares the same inputs',
    rounds: 1000,
    ours: () => checkRecord(sound.record, look).length,
    theirs: () => bareComparisons(sound),
  },
  {
    what: `all checks of ${files.length} records, with ${objections} objections put into words, each with its ways`,
    against: 'a bare loop that reads and compares the same inputs, and says nothing',
    rounds: 100,
    ours: () => sum(files.map((f) => checkRecord(f.record, look).length)),
    theirs: () => sum(files.map(bareComparisons)),
  },
  {
    what: 'the checks of a record after one field of it changed',
    against: 'all its checks afresh',
    rounds: 400,
    ours: () => checkAgain(first, changedRecord, look).objections.length,
    theirs: () => checkRecord(changedRecord, look).length,
  },
  {
    what: 'reading a unit file, checked whole',
    against: 'JSON.parse of the same text',
    rounds: 100,
    ours: () => sum(texts.map((t) => Number(readUnitFile(JSON.parse(t)).ok))),
    theirs: () => sum(texts.map((t) => Number(Boolean(JSON.parse(t))))),
  },
  {
    what: `folding a walk of ${events.length} events`,
    against: 'sorting the same events once',
    rounds: 400,
    ours: () => foldWalk(plan, events).cards.size,
    theirs: () => events.toSorted((a, b) => a.counter - b.counter).length,
  },
] as const;

/** Prints a line for each. */
export const benchCore = (): void => {
  for (const { what, against, rounds, ours, theirs } of benchmarks) {
    const [a, b] = [microseconds(ours, rounds), microseconds(theirs, rounds)];
    const detail = `${a.toFixed(1)} µs against ${b.toFixed(1)} µs`;
    console.log(`${(a / b).toFixed(1)} × ${against}: ${what} (${detail})`);
  }
  if (Number.isNaN(sink)) throw new Error('nothing was computed');
};
