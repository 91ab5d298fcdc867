import { readdirSync, readFileSync } from 'node:fs';
import { textOf, type UnitRecord } from '@fair-gable/core/unit/record';
import { readUnitFile, type UnitFile } from '@fair-gable/core/unit/unit-file';

const folder = new URL('../../demo/units/', import.meta.url);

/** The demo yard's unit files as they lie in the repository. */
export const demoFiles: readonly UnitFile[] = readdirSync(folder)
  .filter((name) => name.endsWith('.json'))
  .map((name) => {
    const read = readUnitFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
    if (!read.ok) throw new Error(`${name}: ${read.message}`);
    return read.file;
  });

/** A demo unit's record by its stock number. */
export const demoRecord = (stockNumber: string): UnitRecord => {
  const file = demoFiles.find((f) => textOf(f.record, 'stockNumber') === stockNumber);
  if (!file) throw new Error(`no demo unit ${stockNumber}`);
  return file.record;
};

/** A reader in US units, in the demo yard's opening week. */
export const us = { system: 'us', today: '2026-04-15' } as const;
