import type { HowKnown } from '../catalog/index.ts';
import type { KeyOf, Part, ValueOf } from './parts/index.ts';
import type { Entry, UnitRecord } from './schema.ts';

/** A field without who said it, when, and what others say. */
export interface Known<T> {
  readonly value: T;
  readonly how: HowKnown;
}

/** The parts of a record by which units are drawn, found and compared. */
export const briefParts = [
  'specs',
  'features',
  'places',
  'settlements',
] as const satisfies readonly Part[];

/**
 * A record in brief: values, and how they are known, but for the questions, which have all of theirs. Every record is one.
 */
export type Brief = {
  readonly [P in (typeof briefParts)[number]]: Readonly<
    Partial<Record<KeyOf<P>, Known<ValueOf<P>>>>
  >;
} & Pick<UnitRecord, 'questions'>;

const bare = <T>({ value, how }: Entry<T>): Known<T> => ({ value, how });

/** What a record says, in brief. */
export const briefOf = (record: UnitRecord): Brief => ({
  ...(Object.fromEntries(
    briefParts.map((part) => [
      part,
      Object.fromEntries(
        Object.entries(record[part]).map(([key, entry]) => [key, bare(entry as Entry<unknown>)]),
      ),
    ]),
  ) as unknown as Omit<Brief, 'questions'>),
  questions: record.questions,
});
