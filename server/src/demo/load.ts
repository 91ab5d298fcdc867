import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import {
  readModelSheetFile,
  readUnitFile,
  roles,
  type ModelSheet,
  type UnitFile,
} from '@fair-gable/core';
import { keepSheet } from '../model-sheet/index.ts';
import { createYard, Secret } from '../people/index.ts';
import { importUnit } from '../record/index.ts';

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
 * Loads the demo yard from its folder of unit files, by the same way any unit file comes in; whole or not at all.
 * @throws Error that names the file that cannot be read
 */
export const loadDemo = async (source: DataSource, folder: string): Promise<void> => {
  const { name, system, people } = await readDemoYard(folder);
  const units = await readUnits(join(folder, 'units'));
  const sheets = await readSheets(join(folder, 'model-sheets'));
  const author = { personId: null, name: 'demo yard' };
  await source.transaction(async (manager) => {
    const yardId = await createYard(manager, { name, system }, people);
    await manager.insert(Secret, { key: mark, value: name });
    for (const sheet of sheets) {
      await keepSheet(manager, yardId, { sheet, basedOn: 0, units: [] }, author);
    }
    for (const { id, record } of units) await importUnit(manager, yardId, id, record, author);
  });
};
