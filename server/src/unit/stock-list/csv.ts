import Papa from 'papaparse';
import type { System } from '@fair-gable/core/base/quantity';
import { features, specs, stateLabel } from '@fair-gable/core/unit/catalog';
import { formatSpec, type UnitRecord } from '@fair-gable/core/unit/record';

/** What a spreadsheet would run as a formula is made plain text; papaparse puts a ' before it. */
const settings = { escapeFormulae: true, newline: '\r\n' } as const;

const rowOf = (record: UnitRecord, system: System, columns: Columns): readonly string[] => [
  ...columns.specs.map(({ key }) => {
    const entry = record.specs[key];
    return entry ? formatSpec(key, entry.value, system, entry.how) : '';
  }),
  ...columns.features.map(({ key, kind }) => {
    const state = record.features[key]?.value.state;
    return state ? stateLabel(state, kind) : '';
  }),
];

export interface Columns {
  readonly specs: typeof specs;
  readonly features: typeof features;
}

/** Every entry of the catalog, but for what this reader may not see. */
export const columnsFor = (hidden: readonly string[]): Columns => ({
  specs: specs.filter(({ key }) => !hidden.includes(key)),
  features,
});

const line = (cells: readonly string[]): string => Papa.unparse([[...cells]], settings) + '\r\n';

/** The labels, one a column. */
export const headLine = ({ specs: s, features: f }: Columns): string =>
  line([...s, ...f].map((entry) => entry.label));

/** A unit as a line: values in the reader's units, a guess with “about”, nothing where nothing is known. */
export const unitLine = (record: UnitRecord, system: System, columns: Columns): string =>
  line(rowOf(record, system, columns));
