// `npm run bench`: ratios against something named. Seconds differ between machines, ratios much less.
import { readdirSync, readFileSync } from 'node:fs';
import {
  checkRecord,
  foldWalk,
  nextEvent,
  pointsOf,
  readUnitFile,
  type SpecValue,
  type UnitFile,
  type WalkEvent,
  type WalkPlan,
} from '@fair-gable/core';

const folder = new URL('../demo/units/', import.meta.url);
const texts = readdirSync(folder)
  .filter((name) => name.endsWith('.json'))
  .map((name) => readFileSync(new URL(name, folder), 'utf8'));
const files = texts.map((text) => {
  const read = readUnitFile(JSON.parse(text));
  if (!read.ok) throw new Error(read.message);
  return read.file;
});

/** What a benchmark's work must come to, so that nothing is optimised away. */
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

const amount = (file: UnitFile, key: 'gvwr' | 'uvw' | 'ccc' | 'coldPressure'): number => {
  const value = file.record.specs[key]?.value;
  return value?.kind === 'quantity' ? value.amount : Number.NaN;
};

const isOut = (value: SpecValue): boolean => {
  if (value.kind === 'quantity') return value.amount < 1 || value.amount > 20_000;
  if (value.kind === 'counted') return value.each < 20 || value.each > 6000;
  return value.kind === 'text' && value.text.includes('O');
};

/** The comparisons of the checks with nothing round them: no sentences, no ways, no inputs kept. */
const bareComparisons = (file: UnitFile): number => {
  const identity = Math.abs(amount(file, 'gvwr') - amount(file, 'uvw') - amount(file, 'ccc')) > 3;
  const pressure = amount(file, 'coldPressure') > 50;
  let found = Number(identity) + Number(pressure);
  for (const entry of Object.values(file.record.specs))
    found += Number(entry && isOut(entry.value));
  return found;
};

const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const busiest = files.toSorted(
  (a, b) => pointsOf(b.record, 'us').length - pointsOf(a.record, 'us').length,
)[0];
if (!busiest) throw new Error('no demo units');
const plan: WalkPlan = {
  id: uuid(1),
  unit: busiest.id,
  minutes: 15,
  points: [...pointsOf(busiest.record, 'us')],
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

const benchmarks = [
  {
    what: 'checks of one record, with sentences and ways',
    against: 'a bare loop of the same comparisons',
    rounds: 400,
    ours: () => sum(files.map((f) => checkRecord(f.record, 'us').length)),
    theirs: () => sum(files.map(bareComparisons)),
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

for (const { what, against, rounds, ours, theirs } of benchmarks) {
  const [a, b] = [microseconds(ours, rounds), microseconds(theirs, rounds)];
  console.log(
    `${(a / b).toFixed(1)} × ${against}: ${what} (${a.toFixed(0)} µs against ${b.toFixed(0)} µs)`,
  );
}
if (Number.isNaN(sink)) throw new Error('nothing was computed');
