import { z } from 'zod';
import { strangeIn, strangeSentence } from '../../base/problems/index.ts';
import { withFittingStates, withNames } from '../versions/index.ts';
import { modelSheetSchema, type ModelSheet } from './schema.ts';

export const modelSheetFormat = 'fair-gable/model-sheet';
export const modelSheetVersion = 3;
/**
 * Version 1 had other names for some fields and choices, which are read as what they are called now; up to version 2 a
 * label could be an option, which is read as there.
 */
const readableVersions = [1, 2, modelSheetVersion];

/** A model sheet as a file. Quantities in internal units, as in unit files. */
export const modelSheetFileSchema = z
  .strictObject({
    format: z.literal(modelSheetFormat),
    version: z.literal(readableVersions),
    sheet: modelSheetSchema,
  })
  .meta({
    title: 'Fair Gable model sheet, version 3',
    description:
      'What the maker says of a model of one year: standard things, packages, what changed in mid-year, expected objections. Units as in unit files.',
  });

export type ModelSheetReading =
  | { readonly ok: true; readonly sheet: ModelSheet }
  | { readonly ok: false; readonly message: string };

/** A sheet as its file has it. */
export interface ModelSheetFile {
  readonly format: typeof modelSheetFormat;
  readonly version: number;
  readonly sheet: ModelSheet;
}

/** A sheet as a file's content. */
export const toModelSheetFile = (sheet: ModelSheet): ModelSheetFile => ({
  format: modelSheetFormat,
  version: modelSheetVersion,
  sheet,
});

const keyed = z.looseObject({ key: z.string() });
const withPackages = z.looseObject({
  sheet: z.looseObject({ packages: z.array(keyed) }),
});

/** Nobody sees the keys of packages: where two are the same the later one gets another. */
const withKeysApart = (content: unknown): unknown => {
  const read = withPackages.safeParse(content);
  if (!read.success) return content;
  const taken = new Set<string>();
  const packages = read.data.sheet.packages.map((pack) => {
    const key = freeKey(pack.key, taken);
    taken.add(key);
    return { ...pack, key };
  });
  return { ...read.data, sheet: { ...read.data.sheet, packages } };
};

/**
 * A key that no other package of the sheet has.
 * @example freeKey('comfort', new Set(['comfort'])) // 'comfort-2'
 */
export const freeKey = (wanted: string, taken: ReadonlySet<string>): string => {
  let [key, n] = [wanted, 2];
  while (taken.has(key)) key = `${wanted.slice(0, 36)}-${n++}`;
  return key;
};

/** What an older file says, in the names and states of today. */
const asOfToday = (content: unknown, version: unknown): unknown => {
  const named = version === 1 ? withNames(content) : content;
  return version === 1 || version === 2 ? withFittingStates(named) : named;
};

/**
 * A model sheet file's content, checked whole.
 * @returns the sheet, or one sentence that says what is wrong and what to do
 */
export const readModelSheetFile = (content: unknown): ModelSheetReading => {
  const head = z
    .object({ format: z.literal(modelSheetFormat), version: z.unknown().optional() })
    .safeParse(content);
  if (!head.success) {
    return {
      ok: false,
      message:
        'This isn’t a Fair Gable model sheet. Choose a file that was saved as a model sheet.',
    };
  }
  const strange = strangeIn(content);
  if (strange) return { ok: false, message: strangeSentence(strange) };
  const whole = modelSheetFileSchema.safeParse(
    withKeysApart(asOfToday(content, head.data.version)),
  );
  if (whole.success) return { ok: true, sheet: whole.data.sheet as unknown as ModelSheet };
  const issue = whole.error.issues[0];
  return {
    ok: false,
    message: `The sheet doesn’t fit the format at “${issue?.path.join('.') ?? ''}”: ${issue?.message ?? 'unreadable'} Nothing was imported.`,
  };
};

/** The published JSON Schema of a model sheet file. */
export const modelSheetJsonSchema = (): unknown =>
  z.toJSONSchema(modelSheetFileSchema, { io: 'input' });
