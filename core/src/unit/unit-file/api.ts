import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { unitFileSchema, type UnitFile } from './unit-file.ts';

const taken = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  /** Signatures were left out, and where no technician brought it in what was inspected. */
  unsigned: z.boolean(),
});

/** A unit out to a file and in from one. */
export const unitFileApi = contract({
  'GET /api/units/:id/file': {
    params: z.strictObject({ id: z.uuid() }),
    answer: shaped<UnitFile>(unitFileSchema),
  },
  // Any JSON may be offered; readUnitFile says in a sentence what is wrong with it.
  'POST /api/unit-files': { body: z.unknown(), answer: taken, makes: true },
  'POST /api/unit-files/zip': { answer: taken, makes: true },
});
