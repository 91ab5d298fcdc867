import { readdirSync, readFileSync } from 'node:fs';
import { readModelSheetFile, type ModelSheet } from '@fair-gable/core/unit/model-sheet';

const folder = new URL('../../demo/model-sheets/', import.meta.url);

/** The demo yard's model sheets as they lie in the repository. */
export const demoSheets: readonly ModelSheet[] = readdirSync(folder).map((name) => {
  const read = readModelSheetFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (!read.ok) throw new Error(`${name}: ${read.message}`);
  return read.sheet;
});
