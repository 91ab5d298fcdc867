import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import sharp from 'sharp';
import type { DataSource } from 'typeorm';
import { readModelSheetFile, type ModelSheet } from '@fair-gable/core/unit/model-sheet';
import { vehicleSchema, type Vehicle } from '@fair-gable/core/unit/record';
import { readUnitFile, type UnitFile } from '@fair-gable/core/unit/unit-file';
import { roles } from '@fair-gable/core/base/rights';
import { withinYard } from '../base/database/index.ts';
import { keepSheet } from '../unit/model-sheet/index.ts';
import { createYard } from '../yard/people/index.ts';
import { Secret } from '../base/access/index.ts';
import { keepPicture } from '../unit/photo/index.ts';
import { madeAnew, type Picture } from '../base/picture/index.ts';
import { importUnit } from '../unit/record/index.ts';
import { keepDemoWalks, readDemoWalks } from './walks.ts';
import { keepVehicle } from '../numbers/vehicles/index.ts';

const yardFile = z.strictObject({
  name: z.string(),
  system: z.enum(['us', 'metric']),
  people: z.array(
    z.strictObject({
      name: z.string(),
      email: z.email(),
      role: z.enum(roles),
      password: z.string(),
    }),
  ),
  vehicles: z.array(vehicleSchema),
});
export type DemoYard = z.infer<typeof yardFile>;

/** The demo yard's people, as its folder has them. */
export const readDemoYard = async (folder: string): Promise<DemoYard> =>
  yardFile.parse(JSON.parse(await readFile(join(folder, 'yard.json'), 'utf8')));

const mark = 'demo-yard';

/** Whether this database was filled with the demo yard. */
export const isDemo = async (source: DataSource): Promise<boolean> =>
  (await source.manager.findOneBy(Secret, { key: mark })) !== null;

const readSheets = async (folder: string): Promise<readonly ModelSheet[]> => {
  const names = (await readdir(folder)).filter((name) => name.endsWith('.json')).toSorted();
  return Promise.all(
    names.map(async (name) => {
      const read = readModelSheetFile(JSON.parse(await readFile(join(folder, name), 'utf8')));
      if (!read.ok) throw new Error(`${name}: ${read.message}`);
      return read.sheet;
    }),
  );
};

const readUnits = async (folder: string): Promise<readonly UnitFile[]> => {
  const names = (await readdir(folder)).filter((name) => name.endsWith('.json')).toSorted();
  return Promise.all(
    names.map(async (name) => {
      const read = readUnitFile(JSON.parse(await readFile(join(folder, name), 'utf8')));
      if (!read.ok) throw new Error(`${name}: ${read.message}`);
      return read.file;
    }),
  );
};

/**
 * The photos of a unit as its drawings show them: `photos/<id>.svg`, which the demo keeps in place of pictures; made
 * into pictures as if a device had sent them.
 */
const photosOf = async (
  folder: string,
  { id: unitId, record }: UnitFile,
): Promise<ReadonlyMap<string, Picture>> => {
  const pictures = new Map<string, Picture>();
  for (const photo of Object.keys(record.photos)) {
    const drawing = await readFile(join(folder, 'photos', `${photo}.svg`)).catch(() => {
      throw new Error(`${unitId}: there is no photos/${photo}.svg for a photo of its record`);
    });
    pictures.set(photo, await madeAnew(await sharp(drawing).jpeg({ quality: 92 }).toBuffer()));
  }
  return pictures;
};

/**
 * Loads the demo yard from its folder of unit files, by the same way any unit file comes in; whole or not at all.
 * @throws Error that names the file that cannot be read
 */
export const loadDemo = async (source: DataSource, folder: string): Promise<void> => {
  const { name, system, people, vehicles } = await readDemoYard(folder);
  const units = await readUnits(join(folder, 'units'));
  const sheets = await readSheets(join(folder, 'model-sheets'));
  const walks = await readDemoWalks(folder);
  const author = { personId: null, name: 'demo yard' };
  const pictures = new Map<string, ReadonlyMap<string, Picture>>();
  for (const unit of units) pictures.set(unit.id, await photosOf(folder, unit));
  await source.transaction(async (manager) => {
    const yardId = await createYard(manager, { name, system }, people);
    await manager.insert(Secret, { key: mark, value: name });
    const yard = withinYard(manager, yardId, author);
    for (const sheet of sheets) {
      await keepSheet(yard, { sheet, basedOn: 0, units: [] });
    }
    for (const vehicle of vehicles as readonly Vehicle[]) {
      await keepVehicle(yard, vehicle);
    }
    for (const { id, record } of units) {
      const photos = pictures.get(id) ?? new Map<string, Picture>();
      await importUnit(yard, id, record, async (within) => {
        for (const [photo, picture] of photos) {
          await keepPicture(within, { unitId: id, id: photo }, picture);
        }
      });
    }
    await keepDemoWalks(yard, walks, { units, sheets });
  });
};
