import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { scaleProblem } from '@fair-gable/core/numbers/weight';
import { textOf, type UnitRecord } from '@fair-gable/core/unit/record';
import { readUnitFile } from '@fair-gable/core/unit/unit-file';
import { marksOf } from '../src/unit/condition/marks.ts';
import { standInGauge, standInScale, weighings } from '../src/numbers/benches/devices.ts';
import { photosOf } from '../src/unit/photo/photos.ts';

const folder = new URL('../../demo/units/', import.meta.url);
const records: readonly UnitRecord[] = readdirSync(folder).map((name) => {
  const read = readUnitFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (!read.ok) throw new Error(read.message);
  return read.file.record;
});
const recordOf = (stockNumber: string): UnitRecord => {
  const found = records.find((record) => textOf(record, 'stockNumber') === stockNumber);
  if (!found) throw new Error(`no ${stockNumber}`);
  return found;
};
describe('the stand-ins of a yard’s devices', () => {
  const rig = { vehicle: 5730, total: 6024, axles: 5449 };

  it('a scale weighs what stands on it, rounded, and a little that nobody told', () => {
    const scale = standInScale('tq-0417', rig);
    const [vehicle, together, axles] = weighings.map((what) => scale.weigh(what));
    for (const pounds of [vehicle, together, axles]) expect((pounds ?? 1) % 20).toBe(0);
    expect((together ?? 0) - (vehicle ?? 0)).toBeGreaterThan(rig.total);
    expect((together ?? 0) - (vehicle ?? 0)).toBeLessThan(rig.total + 260);
    expect(scaleProblem({ vehicle, together, trailerAxles: axles } as never)).toBeUndefined();
    expect(standInScale('tq-0417', rig).weigh('together')).toBe(together);
  });

  it('a gauge reads near what the label asks for, and never more', () => {
    const gauge = standInGauge('tq-0417', 65);
    for (const wheel of ['DoorFront', 'DoorRear', 'OffDoorFront', 'OffDoorRear'] as const) {
      expect(gauge.read(wheel)).toBeLessThanOrEqual(65);
      expect(gauge.read(wheel)).toBeGreaterThanOrEqual(51);
    }
  });
});

describe('what is drawn and shown', () => {
  it('every finding and reading with a spot is a mark, by its shape', () => {
    const marks = marksOf(recordOf('TQ-0377'));
    expect(marks.filter(({ shape }) => shape === 'drop')).toHaveLength(3);
    expect(marks.find(({ text }) => text.startsWith('Delamination'))?.shape).toBe('cross');
    expect(marks.find(({ text }) => text.startsWith('Cracked seal'))).toMatchObject({
      shape: 'done',
      text: 'Cracked seal, repaired',
    });
  });

  it('a photo is found by what it shows, oldest first', () => {
    const record = recordOf('TQ-0377');
    const all = photosOf(record);
    expect(all.map(({ at }) => at)).toEqual(all.map(({ at }) => at).toSorted());
    expect(photosOf(record, 'specs.gvwr')).toHaveLength(1);
    expect(photosOf(record, 'wheels.OffDoorFront')).toHaveLength(1);
    expect(photosOf(record, 'specs.uvw')).toEqual([]);
  });
});
