import Papa from 'papaparse';
import type { System } from '@fair-gable/core/base/quantity';
import type { HowKnown } from '@fair-gable/core/unit/catalog';
import {
  columnsOf,
  decimalOf,
  readLine,
  repeatedLines,
  type CellProblem,
  type Column,
  type Decimal,
  type Line,
} from '@fair-gable/core/unit/stock-list';
import { Refusal } from '../../base/refusal/index.ts';

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

/** What was read of a list but for its lines, which come a piece at a time. */
export interface ListHead {
  readonly headings: readonly string[];
  readonly columns: readonly Column[];
  readonly decimal: Decimal;
  readonly rows: number;
  /** The cells of its first lines. */
  readonly sample: readonly (readonly string[])[];
  /** The first of them, by line and column; and how many there are. */
  readonly problems: readonly CellProblem[];
  readonly problemCount: number;
  readonly badCells: number;
  /** Lines in which something is wrong; and of these the ones of which nobody can tell whose they are. */
  readonly bad: readonly number[];
  readonly lost: readonly number[];
}

/** More lines than this are brought in several lists, and more cells that say something. */
const mostLines = 20_000;
const mostSayings = 1_000_000;
/** Problems beyond these are counted, and told once the first are mended. */
export const mostProblems = 200;
/** So many lines are shown with what was understood. */
export const mostSample = 8;
/** Lines read in one go, and handed over together. */
const together = 250;

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

/** A cell says one thing at the most, so that too many are told before any is read. */
const refuseTooMany = (cells: readonly (readonly string[])[], columns: readonly Column[]): void => {
  let filled = 0;
  for (const row of cells) {
    filled += columns.filter((key, i) => key !== null && row[i]?.trim()).length;
    if (filled > mostSayings) break;
  }
  if (filled <= mostSayings) return;
  throw new Refusal(
    'bad-file',
    `The list has more than ${mostSayings.toLocaleString('en-US')} values. Split it in two and send each half.`,
  );
};

/** What a caller is told while lines are read. */
export interface Reader {
  readonly lines: (lines: readonly Line[]) => void;
  readonly progress: (done: number, of: number) => void;
}

/** What is wrong, the first told and all counted. */
const problemsAmong = (lines: readonly Line[]) => {
  const repeated = new Map(repeatedLines(lines).map((problem) => [problem.line, problem]));
  const problems: CellProblem[] = [];
  const [bad, lost]: [number[], number[]] = [[], []];
  let [problemCount, badCells] = [0, 0];
  for (const line of lines) {
    const again = repeated.get(line.number);
    const own = again ? [...line.problems, again] : line.problems;
    if (own.length === 0) continue;
    bad.push(line.number);
    problemCount += own.length;
    badCells += own.filter(({ column }) => column >= 0).length;
    if (own.some(({ column }) => column < 0)) lost.push(line.number);
    if (problems.length < mostProblems) problems.push(...own);
  }
  return { problems: inOrder(problems).slice(0, mostProblems), problemCount, badCells, bad, lost };
};

export const inOrder = (problems: readonly CellProblem[]): readonly CellProblem[] =>
  problems.toSorted((a, b) => a.line - b.line || a.column - b.column);

/**
 * Reads a list, handing over its lines a piece at a time; what is wrong with them is told with the head, not with each.
 * @throws Refusal bad-file, bad-input
 */
export const readListText = (given: GivenList, to: Reader): ListHead => {
  const { headings, cells } = parsed(given.text);
  const columns = given.columns ?? columnsOf(headings, cells);
  refuseColumns(columns, headings);
  refuseTooMany(cells, columns);
  const decimal = given.decimal ?? decimalOf(cells, columns, given.system);
  const reading = { columns, system: given.system, how: given.how, decimal };
  const lines: Line[] = [];
  for (let from = 0; from < cells.length; from += together) {
    const some = cells
      .slice(from, from + together)
      .map((row, i) => readLine(from + i + 1, row, reading));
    lines.push(...some);
    to.lines(some.map((line) => ({ ...line, problems: [] })));
    to.progress(lines.length, cells.length);
  }
  return {
    headings,
    columns,
    decimal,
    rows: lines.length,
    sample: cells.slice(0, mostSample),
    ...problemsAmong(lines),
  };
};
