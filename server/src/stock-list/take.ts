import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import {
  applyChange,
  changesByLine,
  columnsOf,
  decimalOf,
  emptyRecord,
  entryOf,
  fieldText,
  readLine,
  repeatedLines,
  textOf,
  tidyVin,
  type CellProblem,
  type Change,
  type Column,
  type Decimal,
  type HowKnown,
  type Line,
  type System,
  type UnitRecord,
} from '@fair-gable/core';
import { announce, inYard, type InYard } from '../database/index.ts';
import { Refusal } from '../problems/index.ts';
import {
  addUnits,
  editWithin,
  recordsOf,
  type Author,
  type Transactional,
} from '../record/index.ts';

/** A list as somebody brings it. */
export interface GivenList {
  readonly text: string;
  /** What each column holds; left out, by the headings. */
  readonly columns?: readonly Column[] | undefined;
  readonly system: System;
  readonly how: HowKnown;
  /** How its numbers are written; left out, by the list itself. */
  readonly decimal?: Decimal | undefined;
}

/** A list read against the yard: what each line would do. */
export interface ReadList {
  readonly headings: readonly string[];
  readonly columns: readonly Column[];
  readonly cells: readonly (readonly string[])[];
  readonly lines: readonly Line[];
  readonly problems: readonly CellProblem[];
  readonly fresh: readonly Line[];
  readonly changed: readonly Changed[];
  readonly same: number;
  readonly decimal: Decimal;
  /** Of the first lines: what was understood of each cell, and what stands there now. */
  readonly understood: readonly (readonly Understood[])[];
}

/** What a cell says, and what the unit says so far; null where there is nothing. */
export interface Understood {
  readonly says: string | null;
  readonly before: string | null;
}

interface Changed {
  readonly unit: string;
  readonly line: Line;
}

/** More lines than this are brought in several lists. */
const mostLines = 20_000;

const parsed = (text: string): { headings: readonly string[]; cells: string[][] } => {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
  });
  const [headings, ...cells] = data;
  const [broken] = errors.filter((e) => e.type === 'Quotes');
  if (broken) {
    throw new Refusal(
      'bad-file',
      `The list breaks off at line ${(broken.row ?? 0) + 1}: a quotation mark is opened and not closed. Save the list as CSV again; nothing was taken in.`,
    );
  }
  if (!headings || cells.length === 0) {
    throw new Refusal(
      'bad-file',
      'The list has no lines under its headings. Choose a CSV file with a line of headings and a line for each unit.',
    );
  }
  if (cells.length > mostLines) {
    throw new Refusal(
      'bad-file',
      `The list has ${cells.length} lines; up to ${mostLines} come in at once. Cut it in two.`,
    );
  }
  return { headings, cells };
};

const refuseColumns = (columns: readonly Column[], headings: readonly string[]): void => {
  const known = columns.filter((key) => key !== null);
  if (columns.length !== headings.length || new Set(known).size !== known.length) {
    throw new Refusal(
      'bad-input',
      'Columns: name one field for each heading, and none twice; nothing was saved.',
    );
  }
};

interface Known {
  readonly id: string;
  readonly record: UnitRecord;
}

interface Named {
  readonly stockNumber: string | undefined;
  readonly vin: string | undefined;
}

/** Under which names a unit is looked for. */
const namesOf = ({ stockNumber, vin }: Named): readonly string[] => [
  ...(stockNumber ? [`s ${stockNumber.toLowerCase()}`] : []),
  ...(vin ? [`v ${tidyVin(vin)}`] : []),
];

/** The units in stock that the lines mean, under their names. */
const unitsByName = async (
  yard: InYard,
  lines: readonly Line[],
): Promise<ReadonlyMap<string, Known>> => {
  const wanted = new Set(lines.flatMap(namesOf));
  const byName = new Map<string, Known>();
  for await (const unit of recordsOf(yard)) {
    const { record } = unit;
    const names = namesOf({
      stockNumber: textOf(record, 'stockNumber'),
      vin: textOf(record, 'vin'),
    });
    for (const name of names) if (wanted.has(name)) byName.set(name, unit);
  }
  return byName;
};

const meant = (units: ReadonlyMap<string, Known>, line: Line): readonly Known[] => [
  ...new Set(namesOf(line).flatMap((name) => units.get(name) ?? [])),
];

const twoUnits = ({ number, stockNumber, vin }: Line): CellProblem => ({
  line: number,
  column: -1,
  sentence: `Stock number and VIN: ${stockNumber} and ${vin} are two different units of this yard. Correct one of them.`,
});

/** @throws Refusal bad-file, bad-input */
export const readList = async (yard: InYard, given: GivenList): Promise<ReadList> => {
  const { headings, cells } = parsed(given.text);
  const columns = given.columns ?? columnsOf(headings, cells);
  refuseColumns(columns, headings);
  const decimal = given.decimal ?? decimalOf(cells, columns, given.system);
  const reading = { columns, system: given.system, how: given.how, decimal };
  const lines = cells.map((row, i) => readLine(i + 1, row, reading));
  const units = await unitsByName(yard, lines);
  const torn = lines.filter((line) => meant(units, line).length > 1).map(twoUnits);
  const problems = [...lines.flatMap((l) => l.problems), ...repeatedLines(lines), ...torn];
  // A cell that cannot be read is left out, not its line.
  const wrong = new Set(problems.filter(({ column }) => column < 0).map(({ line }) => line));
  const good = lines.filter(({ number }) => !wrong.has(number));
  const fresh = good.filter((line) => meant(units, line).length === 0);
  const known = good.flatMap((line) => meant(units, line).map((unit) => ({ unit, line })));
  const changed = known.filter(({ unit, line }) => changesByLine(unit.record, line).length > 0);
  return {
    headings,
    columns,
    cells,
    lines,
    problems: problems.toSorted((a, b) => a.line - b.line || a.column - b.column),
    fresh,
    changed: changed.map(({ unit, line }) => ({ unit: unit.id, line })),
    same: known.length - changed.length,
    decimal,
    understood: lines
      .slice(0, mostUnderstood)
      .map((line) => understoodOf(line, columns, meant(units, line)[0]?.record)),
  };
};

/** So many lines are shown with what was understood. */
const mostUnderstood = 8;

const understoodOf = (
  { sayings, system }: Line,
  columns: readonly Column[],
  record: UnitRecord | undefined,
): readonly Understood[] =>
  columns.map((key) => {
    const saying = sayings.find((one) => one.key === key);
    if (!saying) return { says: null, before: null };
    const had = record && entryOf(record, saying.part, saying.key);
    return {
      says: fieldText(saying.part, saying.key, saying.value, saying.how, system),
      before: had ? fieldText(saying.part, saying.key, had.value, had.how, system) : null,
    };
  });

const recordOf = (line: Line, { name }: Author, at: string): UnitRecord =>
  changesByLine(emptyRecord, line).reduce(
    (record: UnitRecord, change: Change) => applyChange(record, change, name, at),
    emptyRecord,
  );

const refuseProblems = ({ problems, lines }: ReadList): void => {
  const [first] = problems;
  if (!first) return;
  const bad = new Set(problems.map(({ line }) => line)).size;
  throw new Refusal(
    'bad-file',
    `${bad} of ${lines.length} lines have something that cannot be read, the first is line ${first.line}: ${first.sentence} Nothing was taken in. Correct the list, or take in what can be read.`,
  );
};

/**
 * Takes a list in, in one transaction: new units, and what it says that the units here do not say yet. The
 * same list taken in again changes nothing.
 * @param onlyGood leaves out cells that cannot be read, and lines of which nobody can tell whose they are; otherwise one
 * of them leaves out all
 * @throws Refusal bad-file, bad-input, stock-number-taken, vin-taken
 */
export const takeList = (
  source: Transactional,
  yardId: string,
  { onlyGood, ...given }: GivenList & { readonly onlyGood: boolean },
  author: Author,
): Promise<ReadList> =>
  source.transaction(async (manager) => {
    // One list at a time: two of them must not both make the same unit.
    await manager.query('SELECT id FROM yard WHERE id = $1 FOR UPDATE', [yardId]);
    const yard = inYard(manager, yardId);
    const list = await readList(yard, given);
    if (!onlyGood) refuseProblems(list);
    const at = new Date().toISOString();
    const made = list.fresh.map((line) => ({
      id: randomUUID(),
      record: recordOf(line, author, at),
    }));
    await addUnits(yard, made, author);
    for (const { unit, line } of list.changed) {
      await editWithin(yard, unit, (record) => changesByLine(record, line), author);
    }
    if (made.length + list.changed.length > 0) {
      await announce(manager, { yard: yardId, kind: 'stock', id: yardId });
    }
    return list;
  });
