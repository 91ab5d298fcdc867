// Writes the published JSON Schemas from the core's Zod schemas; a test holds them together.
import { mkdirSync, writeFileSync } from 'node:fs';
import { unitFileJsonSchema } from '@fair-gable/core';

const folder = new URL('../docs/schemas/', import.meta.url);
mkdirSync(folder, { recursive: true });
writeFileSync(
  new URL('unit-v2.schema.json', folder),
  `${JSON.stringify(unitFileJsonSchema(), null, 2)}\n`,
);
