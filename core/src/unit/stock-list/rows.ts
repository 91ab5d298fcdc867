import {
  entryFor,
  featureEntry,
  isSpecKey,
  specEntry,
  type FeatureKey,
  statesOf,
  type FeatureState,
  type HowKnown,
  type SpecKey,
  type StateChoice,
} from '../catalog/index.ts';
import { tidyVin } from '../identity/index.ts';
import { isBroken, sentence } from '../../base/problems/index.ts';
import {
  agree,
  emptyRecord,
  entryOf,
  fieldText,
  statementsOf,
  typedSpec,
  type Change,
  type FieldValue,
  type UnitRecord,
} from '../record/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { Column } from './columns.ts';
import { withPoint, type Decimal } from './decimal.ts';

/** How a list is read. */
export interface Reading {
  readonly columns: readonly Column[];
  /** The units of its numbers where they bear none. */
  readonly system: System;
  /** How its values are known; a cell that says “about” is a guess. */
  readonly how: HowKnown;
  /** How its numbers are written; with a point where this is left out. */
  readonly decimal?: Decimal | undefined;
}

/** What one line of a list says of a unit. */
export interface Line {
  /** In the list, the heading not counted: the first is 1. */
  readonly number: number;
  readonly stockNumber: string | undefined;
  readonly vin: string | undefined;
  readonly values: readonly LineValue[];
  /** The units it was written in. */
  readonly system: System;
  readonly problems: readonly CellProblem[];
}

export interface LineValue {
  readonly part: 'specs' | 'features';
  readonly key: SpecKey | FeatureKey;
  readonly value: FieldValue;
  readonly how: HowKnown;
}

/** What is wrong with a line, and in which cell. */
export interface CellProblem {
  readonly line: number;
  /** The column, from 0; -1 for the line as a whole. */
  readonly column: number;
  readonly sentence: string;
}

/** Spreadsheets are kept from running a cell by an apostrophe before it. */
const unescaped = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@\t\r])/, '');

const guess = /^(?:(?:about|approx\.?|approximately|ca\.?)\s+|~\s*)/i;

const yes = new Set(['yes', 'y', 'x', '1', 'true']);
const no = new Set(['no', 'n', '0', 'false', 'not fitted']);

/** A state is written by its key, or as its kind calls it. */
const stateNamed = (text: string, choices: readonly StateChoice[]): FeatureState | undefined => {
  const word = text.toLowerCase();
  const named = choices.find((row) => row.key === word || row.label === word)?.key;
  if (named) return named;
  return yes.has(word) ? 'standard' : no.has(word) ? 'none' : undefined;
};

type Read = Omit<LineValue, 'part' | 'key'> | string;

const readFeature = (key: FeatureKey, text: string, how: HowKnown): Read => {
  const choices = statesOf(featureEntry(key).kind);
  const state = stateNamed(text, choices);
  if (state) return { value: { state }, how };
  const words = [...new Set([...choices.map(({ label }) => label), 'yes'])].join(', ');
  return `${entryFor(key).label}: “${text}” isn’t a choice we know. Write one of ${words} or no.`;
};

const isNumeric = (key: SpecKey): boolean =>
  ['number', 'quantity', 'counted', 'size'].includes(specEntry(key).value.kind);

const readSpec = (key: SpecKey, text: string, { system, how, decimal }: Reading): Read => {
  const isGuess = guess.test(text);
  const bare = text.replace(guess, '');
  const written = decimal === 'comma' && isNumeric(key) ? withPoint(bare) : bare;
  const read = typedSpec(key, written, system);
  if (!read.ok) return sentence(entryFor(key).label, read.problem);
  return { value: read.value, how: isGuess ? 'guessed' : how };
};

/** What stands where a character could not be read when the list was saved. */
const lost = '\uFFFD';

const readCell = (key: SpecKey | FeatureKey, text: string, reading: Reading): Read => {
  if (isBroken(text) || text.includes(lost)) {
    return `${entryFor(key).label} has a broken character. Retype the cell, or save the list as UTF-8.`;
  }
  return isSpecKey(key) ? readSpec(key, text, reading) : readFeature(key, text, reading.how);
};

const textAt = (values: readonly LineValue[], key: SpecKey): string | undefined => {
  const value = values.find((s) => s.key === key)?.value;
  return value && 'text' in value ? value.text : undefined;
};

/** One line of a list, cell by cell. An empty cell says nothing. */
export const readLine = (number: number, cells: readonly string[], reading: Reading): Line => {
  const read = reading.columns.flatMap((key, column) => {
    const text = unescaped(cells[column] ?? '');
    return key === null || text === '' ? [] : [{ key, column, read: readCell(key, text, reading) }];
  });
  const values = read.flatMap(({ key, read: r }): readonly LineValue[] =>
    typeof r === 'string' ? [] : [{ part: isSpecKey(key) ? 'specs' : 'features', key, ...r }],
  );
  const wrong = read.flatMap(({ column, read: r }) =>
    typeof r === 'string' ? [{ line: number, column, sentence: r }] : [],
  );
  const stockNumber = textAt(values, 'stockNumber');
  const vin = textAt(values, 'vin');
  const nameless =
    stockNumber || vin
      ? []
      : [
          {
            line: number,
            column: -1,
            sentence:
              'Stock number: the line has neither one nor a VIN, so we can’t tell which unit it is. Add one.',
          },
        ];
  return {
    number,
    stockNumber,
    vin: vin && tidyVin(vin),
    values,
    system: reading.system,
    problems: [...wrong, ...nameless],
  };
};

/** Lines that mean the same unit as an earlier one. */
export const repeatedLines = (lines: readonly Line[]): readonly CellProblem[] => {
  const first = new Map<string, number>();
  return lines.flatMap(({ number, stockNumber, vin }) => {
    const names = [
      ...(stockNumber ? [`s ${stockNumber.toLowerCase()}`] : []),
      ...(vin ? [`v ${vin}`] : []),
    ];
    const earlier = names.map((n) => first.get(n)).find((n) => n !== undefined);
    for (const name of names) if (!first.has(name)) first.set(name, number);
    if (earlier === undefined) return [];
    return [
      {
        line: number,
        column: -1,
        sentence: `Stock number or VIN: line ${earlier} has the same. Remove one of the two.`,
      },
    ];
  });
};

/** A list is rounded as it is written: what would be written alike is the same. */
const isAlike = ({ part, key, value }: LineValue, had: FieldValue, system: System): boolean => {
  const written = (v: FieldValue): string => fieldText(part, key, v, 'read', system);
  return agree(had, value) || written(had) === written(value);
};

const isThereAlready = (record: UnitRecord, cell: LineValue, system: System): boolean =>
  statementsOf(entryOf(record, cell.part, cell.key)).some(
    (s, i) => (i === 0 || s.how === cell.how) && isAlike(cell, s.value, system),
  );

/**
 * A new unit as a line has it.
 * @param by the person's name
 * @param at ISO time
 */
export const recordByLine = (line: Line, by: string, at: string): UnitRecord => {
  const ofPart = (part: LineValue['part']) =>
    Object.fromEntries(
      line.values
        .filter((cell) => cell.part === part)
        .map(({ key, value, how }) => [key, { value, how, by, at, version: 1 }]),
    );
  return { ...emptyRecord, specs: ofPart('specs'), features: ofPart('features') } as UnitRecord;
};

/** The changes by which a unit says what a line says: none where it does, so that a list can come twice. */
export const changesByLine = (record: UnitRecord, line: Line): readonly Change[] =>
  line.values
    .filter((cell) => !isThereAlready(record, cell, line.system))
    .map(
      ({ part, key, value, how }) =>
        ({
          part,
          key,
          value,
          how,
          basedOn: entryOf(record, part, key)?.version ?? 0,
        }) as Change,
    );
