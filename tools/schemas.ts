// Writes the published JSON Schemas from the core's Zod schemas; a test holds them together.
import { mkdirSync, writeFileSync } from 'node:fs';
import { modelSheetJsonSchema, modelSheetVersion } from '@fair-gable/core/unit/model-sheet';
import { unitFileJsonSchema, unitFileVersion } from '@fair-gable/core/unit/unit-file';

const folder = new URL('../docs/schemas/', import.meta.url);
const schemas = {
  [`unit-v${unitFileVersion}.schema.json`]: unitFileJsonSchema(),
  [`model-sheet-v${modelSheetVersion}.schema.json`]: modelSheetJsonSchema(),
};

mkdirSync(folder, { recursive: true });
for (const [name, schema] of Object.entries(schemas)) {
  writeFileSync(new URL(name, folder), `${JSON.stringify(schema, null, 2)}\n`);
}
