// The engines over ten thousand units, against nothing but their arithmetic; and a slider on a slow phone.
import { readdirSync, readFileSync } from 'node:fs';
import { tires, tiresInputOf, tiresValue, type TiresInput } from '@fair-gable/core/numbers/tires';
import { tow, towInputSchema, towValue, type TowInput } from '@fair-gable/core/numbers/tow';
import { freshTrial } from '@fair-gable/core/numbers/trial';
import { water, waterInputOf, waterValue, type WaterInput } from '@fair-gable/core/numbers/water';
import {
  scale,
  scaleValue,
  weigh,
  weightInputOf,
  weightValue,
  type ScaleInput,
  type WeightInput,
} from '@fair-gable/core/numbers/weight';
import {
  cargoLabel,
  cargoLabelInputOf,
  cargoLabelValue,
  type CargoLabelInput,
} from '@fair-gable/core/unit/cargo-label';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { readUnitFile } from '@fair-gable/core/unit/unit-file';
import { frame, openPhone, signIn, slowed, unitAt, workOfKey } from './phone.ts';

const folder = new URL('../demo/units/', import.meta.url);
const records: readonly UnitRecord[] = readdirSync(folder)
  .filter((name) => name.endsWith('.json'))
  .flatMap((name) => {
    const read = readUnitFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
    return read.ok ? [read.file.record] : [];
  });

const count = 10_000;
/** Ten thousand inputs out of the demo's units, each a little other than the last, so that nothing is guessed ahead. */
const many = <T>(make: (record: UnitRecord, i: number) => T | undefined): readonly T[] => {
  const made: T[] = [];
  for (let i = 0; made.length < count; i++) {
    const input = make(records[i % records.length] as UnitRecord, i);
    if (input !== undefined) made.push(input);
  }
  return made;
};
const known = (amount: number) => ({ amount, how: 'read' as const });
const trial = freshTrial();

const loads = many<WeightInput>((record, i) => {
  const input = weightInputOf(record, { ...trial, gear: { front: i % 300, rear: (i * 7) % 200 } });
  return input.uvw && input.hitch && input.axle ? input : undefined;
});
const tows = many<TowInput>((_, i) =>
  towInputSchema.parse({
    loaded: known(3000 + (i % 5000)),
    share: known(0.1 + (i % 50) / 1000),
    gross: known(8000),
    payload: known(1200 + (i % 1500)),
    towRating: known(5000 + (i % 7000)),
    gcwr: known(15_000),
    curb: known(5000),
    receiver: known(1000),
    aboard: known(350),
    hardware: known(80),
  }),
);
const wheels = many<TiresInput>((record, i) => {
  const input = tiresInputOf(record, '2026-04-10', { DoorFront: 40 + (i % 30) });
  return input.each && input.gawr ? input : undefined;
});
const tanks = many<WaterInput>((record, i) => {
  const input = waterInputOf(record, { people: 1 + (i % 6), style: 'usual' });
  return input.fresh ? input : undefined;
});
const labels = many<CargoLabelInput>((record) => {
  const input = cargoLabelInputOf(record);
  return input.gvwr && input.uvw && input.ccc ? input : undefined;
});
const tickets = many<ScaleInput>((_, i) => ({
  vehicle: known(5000 + (i % 900)),
  together: known(11_000 + (i % 900)),
  trailerAxles: known(5200),
  gvwr: known(7490),
  gawr: known(7000),
}));

const of = (given: { readonly amount: number } | undefined, otherwise = 0): number =>
  given === undefined ? otherwise : given.amount;

/** The same sums as the engine's, in plain loops over plain numbers: no names, no reasons, nothing kept. */
const bareLoad = ({ uvw, hitch, axle, gvwr, gawr, tires: all, coupler, items }: WeightInput) => {
  const arm = of(axle, 1);
  let [total, ball] = [of(uvw), of(hitch)];
  for (const { weight, back } of items) {
    total += weight.amount;
    ball += weight.amount * (1 - back.amount / arm);
  }
  const axles = total - ball;
  const left = Math.min(
    of(gvwr, Infinity) - total,
    of(gawr, Infinity) - axles,
    of(all, Infinity) - axles,
    of(coupler, Infinity) - total,
  );
  // The fillings: tanks in the order of their arm, each step a sum.
  const swept = items.filter(({ full }) => full !== undefined);
  let [dry, dryBall] = [total, ball];
  for (const { weight, back } of swept) {
    dry -= weight.amount;
    dryBall -= weight.amount * (1 - back.amount / arm);
  }
  const sorted = swept.toSorted((a, b) => b.back.amount - a.back.amount);
  let [least, most] = [dryBall / dry, dryBall / dry];
  for (const order of [sorted, sorted.toReversed()]) {
    let [sum, on] = [dry, dryBall];
    for (const { full = 0, back } of order) {
      sum += full;
      on += full * (1 - back.amount / arm);
      least = Math.min(least, on / sum);
      most = Math.max(most, on / sum);
    }
  }
  return left + least + most;
};

const bareTow = (input: TowInput): number => {
  const [loaded, share] = [of(input.loaded), of(input.share)];
  const [aboard, hardware] = [of(input.aboard), of(input.hardware)];
  let sum = 0;
  for (const reserve of [input.reserve, 0, 0.2]) {
    const keep = 1 - reserve;
    const limits = [
      [of(input.payload) * keep, aboard + hardware, share],
      [of(input.towRating) * keep, 0, 1],
      [of(input.gcwr) * keep, of(input.curb) + aboard + hardware, 1],
      [of(input.receiver) * keep, 0, share],
    ] as const;
    let largest = Infinity;
    for (const [rating, fixed, slope] of limits) {
      largest = Math.min(largest, (rating - fixed) / slope);
      sum += rating - fixed - slope * loaded;
    }
    sum += largest + (loaded * share + aboard + hardware) / keep + loaded / keep;
  }
  return sum;
};

const bareTires = ({ each, highest, pressure, count: tireCount, gawr }: TiresInput): number => {
  const part = Math.min(of(pressure, 1) / of(highest, 1), 1);
  return (of(each) * part * tireCount) / of(gawr, 1) - 1;
};

const rates = [
  [6, 1.2, 0.8],
  [5, 1.2, 0.8],
] as const;
const bareWater = ({ fresh, gray, black, galley, people }: WaterInput): number => {
  let sum = 0;
  for (const [used, flushed, drunk] of rates) {
    const split = galley ? 0.65 : 1;
    const days = Math.min(
      of(fresh) / ((used + flushed + drunk) * people),
      of(gray, Infinity) / (used * split * people),
      of(galley, Infinity) / (used * 0.35 * people),
      of(black, Infinity) / (flushed * people),
    );
    sum += days;
  }
  return sum;
};

const bareLabel = ({ gvwr, uvw, ccc, propane, battery, water: all }: CargoLabelInput): number => {
  const difference = of(gvwr) - of(uvw) - of(ccc);
  const parts = [of(propane), battery ? 60 : 0, of(all) * 8.3];
  let nearest = Infinity;
  for (let mask = 1; mask < 8; mask++) {
    let sum = 0;
    for (let i = 0; i < 3; i++) if ((mask >> i) % 2 === 1) sum += parts[i] ?? 0;
    nearest = Math.min(nearest, Math.abs(sum - difference));
  }
  return nearest + Math.min(100, 0.015 * of(gvwr));
};

const bareScale = ({ vehicle, together, trailerAxles, gvwr, gawr }: ScaleInput): number => {
  const total = of(together) - of(vehicle);
  const axles = of(trailerAxles);
  return (total - axles) / total + of(gvwr) - total + of(gawr) - axles;
};

interface Row {
  readonly what: string;
  readonly inputs: readonly never[];
  readonly bare: (input: never) => number;
  readonly figures: (input: never) => unknown;
  readonly words: (input: never) => unknown;
}
const row = <T>(
  what: string,
  inputs: readonly T[],
  bare: (input: T) => number,
  figures: (input: T) => unknown,
  words: (input: T) => unknown,
): Row => ({ what, inputs, bare, figures, words }) as unknown as Row;

const rows: readonly Row[] = [
  row('weight and balance', loads, bareLoad, weightValue, (i) => weigh(i, 'us')),
  row(
    'tow match',
    tows,
    bareTow,
    (i) => towValue(i, of(i.share)),
    (i) => tow(i, 'us'),
  ),
  row('tires', wheels, bareTires, tiresValue, (i) => tires(i, 'us')),
  row('water', tanks, bareWater, waterValue, (i) => water(i, 'us')),
  row('the label', labels, bareLabel, cargoLabelValue, (i) => cargoLabel(i, 'us')),
  row('scale tickets', tickets, bareScale, scaleValue, (i) => scale(i, 'us')),
];

let sink = 0;
/** The median of some runs over all inputs, in microseconds an input. */
const microseconds = (inputs: readonly never[], work: (input: never) => unknown): number => {
  const runs = Array.from({ length: 7 }, () => {
    const began = performance.now();
    for (const input of inputs) sink += work(input) === undefined ? 0 : 1;
    return ((performance.now() - began) / inputs.length) * 1000;
  });
  return runs.toSorted((a, b) => a - b)[3] ?? Number.NaN;
};

const pulls = 40;

/** Main-thread work of one pull of a slider in Chromium, its CPU slowed six times. */
const benchSlider = async (): Promise<void> => {
  const phone = await openPhone();
  try {
    const { page } = phone;
    await signIn(phone);
    await page.goto(`${await unitAt(phone, 'TQ-0417')}/numbers/load`);
    await page.locator('canvas').waitFor();
    await page.getByRole('slider', { name: 'Front store' }).focus();
    const each = await workOfKey(page, 'ArrowRight', pulls);
    console.log(
      `${(each / frame).toFixed(2)} × a frame of ${frame.toFixed(1)} ms: scripts, styles and layout of one pull of a slider, the CPU slowed ${slowed} times (${each.toFixed(1)} ms)`,
    );
  } finally {
    await phone.close();
  }
};

/** Prints a line for each engine, figures alone and with all their words, and one for a slider. */
export const benchNumbers = async (): Promise<void> => {
  for (const { what, inputs, bare, figures, words } of rows) {
    const [a, b, c] = [bare, figures, words].map((work) => microseconds(inputs, work as never));
    console.log(
      `${((b ?? 0) / (a ?? 1)).toFixed(1)} × a bare loop of its arithmetic: ${what}, figures of ${count} units (${(b ?? 0).toFixed(2)} µs each; with steps and sentence ${(c ?? 0).toFixed(1)} µs)`,
    );
  }
  if (sink === 0) throw new Error('nothing was computed');
  await benchSlider();
};
