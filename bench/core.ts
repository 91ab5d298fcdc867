// What the core computes, each against something named.
import { readdirSync, readFileSync } from 'node:fs';
import {
  applyChange,
  checkRecord,
  foldWalk,
  nextEvent,
  pointsOf,
  readUnitFile,
  specs,
  toInternal,
  vinCheckDigit,
  type Change,
  type SpecValue,
  type UnitFile,
  type WalkEvent,
  type WalkPlan,
} from '@fair-gable/core';

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

type Amount = 'gvwr' | 'uvw' | 'ccc' | 'coldPressure' | 'hitchWeight';
const amount = (file: UnitFile, key: Amount): number => {
  const value = file.record.specs[key]?.value;
  return value?.kind === 'quantity' ? value.amount : Number.NaN;
};

/** The plausible ranges in internal units, as the checks have them. */
const ranges = specs.flatMap(({ key, value }) => {
  if (value.kind !== 'quantity' && value.kind !== 'counted') return [];
  const { from, to, unit } = value.plausible;
  const counts = value.kind === 'counted' ? value.counts : { from: 1, to: 1 };
  return [{ key, from: toInternal(from, unit), to: toInternal(to, unit), counts }];
});

const isOut = (value: SpecValue | undefined, range: (typeof ranges)[number]): boolean => {
  if (value?.kind === 'quantity') return value.amount < range.from || value.amount > range.to;
  if (value?.kind !== 'counted') return false;
  const { from, to } = range.counts;
  return value.count < from || value.count > to || value.each < range.from || value.each > range.to;
};

const axlesLack = (file: UnitFile): boolean => {
  const axles = file.record.specs.axleRating?.value;
  if (axles?.kind !== 'counted') return false;
  const share = (amount(file, 'gvwr') - axles.count * axles.each) / amount(file, 'gvwr');
  return share > 0.15 || share > amount(file, 'hitchWeight') / amount(file, 'uvw');
};

const vinIsOff = (file: UnitFile): boolean => {
  const vin = file.record.specs.vin?.value;
  return vin?.kind === 'text' && vinCheckDigit(vin.text) !== vin.text[8];
};

/** The same comparisons with nothing round them: no sentences, no ways, no inputs kept. */
const bareComparisons = (file: UnitFile): number => {
  const identity = Math.abs(amount(file, 'gvwr') - amount(file, 'uvw') - amount(file, 'ccc')) > 3;
  let found = Number(identity) + Number(amount(file, 'coldPressure') > 50);
  found += Number(axlesLack(file)) + Number(vinIsOff(file));
  for (const range of ranges) found += Number(isOut(file.record.specs[range.key]?.value, range));
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

/** A unit whose numbers all agree: the capacity is just what its weights leave. */
const agreeing = files.find((f) => checkRecord(f.record, look).every((o) => o.field === 'ccc'));
if (!agreeing) throw new Error('no demo unit agrees but for its capacity');
const ccc: Change = {
  part: 'specs',
  key: 'ccc',
  value: { kind: 'quantity', amount: amount(agreeing, 'gvwr') - amount(agreeing, 'uvw') },
  how: 'read',
  basedOn: 1,
};
const sound: UnitFile = { ...agreeing, record: applyChange(agreeing.record, ccc, 'bench', '') };
if (checkRecord(sound.record, look).length > 0) throw new Error('the sound unit is not sound');
const objections = sum(files.map((f) => checkRecord(f.record, look).length));

const benchmarks = [
  {
    what: 'checks of a record with nothing to object to',
    against: 'a bare loop of the same comparisons',
    rounds: 4000,
    ours: () => checkRecord(sound.record, look).length,
    theirs: () => bareComparisons(sound),
  },
  {
    what: `checks of four records, with ${objections} objections put into words, each with its ways`,
    against: 'a bare loop of the same comparisons, which says nothing',
    rounds: 1000,
    ours: () => sum(files.map((f) => checkRecord(f.record, look).length)),
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

/** Prints a line for each. */
export const benchCore = (): void => {
  for (const { what, against, rounds, ours, theirs } of benchmarks) {
    const [a, b] = [microseconds(ours, rounds), microseconds(theirs, rounds)];
    const detail = `${a.toFixed(1)} µs against ${b.toFixed(1)} µs`;
    console.log(`${(a / b).toFixed(1)} × ${against}: ${what} (${detail})`);
  }
  if (Number.isNaN(sink)) throw new Error('nothing was computed');
};
