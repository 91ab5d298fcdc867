import { z } from 'zod';
import type { FeatureKey, SpecKey } from '../catalog/index.ts';
import { sentence, strangeIn, strangeSentence } from '../../base/problems/index.ts';
import {
  fieldLabel,
  partRow,
  parts,
  recordSchema,
  specProblem,
  stateProblem,
  statementsOf,
  type Entry,
  type Part,
  type UnitRecord,
} from '../record/index.ts';
import { withFittingStates, withNames } from '../versions/index.ts';

/** A unit file's own name for its format, and the version this program writes. */
export const unitFileFormat = 'fair-gable/unit';
export const unitFileVersion = 10;
/** The first version with names in the trade's own words and in one spelling. */
const withAmericanNames = 9;
/** The first version in which a feature has only states that its kind has. */
const withStatesThatFit = 10;
/** Every version there was: what is older is read as what it says. */
const readableVersions = Array.from({ length: unitFileVersion }, (_, i) => i + 1);

/** One unit, whole, as it is carried from yard to yard. Quantities in internal units. */
export const unitFileSchema = z
  .strictObject({
    format: z.literal(unitFileFormat),
    /**
     * Version 1 had no sizes and no dates, version 2 one word a field, version 3 no condition, version 4 no trials,
     * version 5 no wording of cards, version 6 no figures given only roughly, no counts without a size and no sizes of
     * single tires, version 7 no mark of what another file said; what they had is here as it was. Up to version 8 some fields
     * and choices had other names, which are read as what they are called now; up to version 9 a label could be an option,
     * which is read as there.
     */
    version: z.literal(readableVersions),
    id: z.uuid(),
    record: recordSchema,
  })
  .meta({
    title: 'Fair Gable unit file, version 10',
    description:
      'One stocked unit with its evidence. Lengths in inches, masses in pounds, volumes in US gallons, pressures in psi, power in watts, current in amperes, charge in ampere-hours, airflow in cubic feet a minute, temperatures in kelvin, thermal resistance in h·ft²·°F/BTU, torque in pound-feet, speed in miles an hour.',
  });

export interface UnitFile {
  readonly format: typeof unitFileFormat;
  readonly version: number;
  readonly id: string;
  readonly record: UnitRecord;
}

export type UnitFileReading =
  { readonly ok: true; readonly file: UnitFile } | { readonly ok: false; readonly message: string };

const refuse = (message: string): UnitFileReading => ({ ok: false, message });

const sorted = <T extends object>(part: T): T =>
  Object.fromEntries(Object.entries(part).toSorted(([a], [b]) => (a < b ? -1 : 1))) as T;

/** A unit as a file's content; keys are sorted, so that the same unit is the same file. */
export const toUnitFile = (id: string, record: UnitRecord): UnitFile => ({
  format: unitFileFormat,
  version: unitFileVersion,
  id,
  record: Object.fromEntries(
    parts.map((part) => [part, sorted(record[part])]),
  ) as unknown as UnitRecord,
});

const asFiled = <E extends Entry<unknown>>(entry: E): E => {
  const others = entry.others?.map((other) => ({ ...other, filed: true as const }));
  return { ...entry, version: 1, filed: true, ...(others ? { others } : {}) };
};

/**
 * A record as it comes in by a file: who wrote what and when is as the file says, and is marked so; changes are counted anew.
 * @param record of the file; left unchanged
 */
export const asTheFileSays = (record: UnitRecord): UnitRecord =>
  Object.fromEntries(
    parts.map((part) => [
      part,
      Object.fromEntries(Object.entries(record[part]).map(([key, entry]) => [key, asFiled(entry)])),
    ]),
  ) as unknown as UnitRecord;

const headSchema = z.object({ format: z.string(), version: z.number() });

const isPart = (part: string): part is Part => (parts as readonly string[]).includes(part);
const labelOf = (part: string, key: string): string =>
  isPart(part) && partRow(part).isKey(key) ? fieldLabel(part, key) : `${part}.${key}`;

/** Fields that this version's catalog does not have, or that hold what they cannot. */
const fieldProblem = (record: z.infer<typeof recordSchema>): string | undefined => {
  for (const part of parts) {
    const strange = Object.keys(record[part]).find((key) => !partRow(part).isKey(key));
    if (strange !== undefined) {
      return sentence('The field', {
        code: 'unknown-field',
        params: { field: `${part}.${strange}` },
      });
    }
  }
  for (const [key, entry] of Object.entries(record.specs)) {
    for (const { value } of statementsOf(entry)) {
      const problem = specProblem(key as SpecKey, value);
      if (problem) return sentence(labelOf('specs', key), problem);
    }
  }
  for (const [key, entry] of Object.entries(record.features)) {
    for (const { value } of statementsOf(entry)) {
      const problem = stateProblem(key as FeatureKey, value.state);
      if (problem) return sentence(labelOf('features', key), problem);
    }
  }
  return undefined;
};

const firstIssue = (error: z.ZodError): string => {
  const issue = error.issues[0];
  const path = issue?.path.map(String) ?? [];
  const where = path.length > 2 ? labelOf(path[1] ?? '', path[2] ?? '') : path.join('.');
  return `The file doesn’t fit the format at “${where || 'its top'}” (${path.join('.')}: ${issue?.message ?? 'unreadable'}). Nothing was imported. Export it again, or fix that spot.`;
};

/** What an older file says, in the names and states of today. */
const asOfToday = (content: unknown, version: number): unknown => {
  const named = version < withAmericanNames ? withNames(content) : content;
  return version < withStatesThatFit ? withFittingStates(named) : named;
};

/**
 * A unit file's content, checked whole.
 * @param content anything that JSON can say
 * @returns the file, or one sentence that says what is wrong and what to do
 */
export const readUnitFile = (content: unknown): UnitFileReading => {
  const head = headSchema.safeParse(content);
  if (!head.success || head.data.format !== unitFileFormat) {
    return refuse('This isn’t a Fair Gable unit file. Choose a file that was exported as a unit.');
  }
  if (head.data.version > unitFileVersion) {
    return refuse(
      `This unit file is of version ${head.data.version}; this program reads up to ${unitFileVersion}. Update the program, then import it again.`,
    );
  }
  const strange = strangeIn(content);
  if (strange) return refuse(strangeSentence(strange));
  const whole = unitFileSchema.safeParse(asOfToday(content, head.data.version));
  if (!whole.success) return refuse(firstIssue(whole.error));
  const problem = fieldProblem(whole.data.record);
  if (problem) return refuse(`${problem} Nothing was imported.`);
  return { ok: true, file: whole.data as unknown as UnitFile };
};

/** The published JSON Schema of a unit file. */
export const unitFileJsonSchema = (): unknown => z.toJSONSchema(unitFileSchema, { io: 'input' });
