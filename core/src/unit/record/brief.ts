import type { HowKnown, SpecKey } from '../catalog/index.ts';
import type { KeyOf, Part, ValueOf } from './parts/index.ts';
import type { UnitRecord } from './schema.ts';

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

/** The specs by which a unit is named, found, sorted and counted among its model. */
export const basicKeys = [
  'stockNumber',
  'vin',
  'series',
  'floorPlan',
  'modelYear',
  'condition',
  'overallLength',
  'gvwr',
  'uvw',
  'sleeps',
] as const satisfies readonly SpecKey[];

/** What is looked at of every unit of a yard, one beside the other. */
export interface Basics extends Pick<Brief, 'questions'> {
  readonly specs: Readonly<Partial<Record<(typeof basicKeys)[number], Known<ValueOf<'specs'>>>>>;
}

const bare = <T>({ value, how }: Known<T>): Known<T> => ({ value, how });

/** The basics of a unit. */
export const basicsOf = ({ specs, questions }: Brief): Basics => ({
  specs: Object.fromEntries(
    basicKeys.flatMap((key) => (specs[key] ? [[key, bare(specs[key])]] : [])),
  ),
  questions,
});
