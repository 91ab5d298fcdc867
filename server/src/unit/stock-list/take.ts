import { randomUUID } from 'node:crypto';
import { tidyVin } from '@fair-gable/core/unit/identity';
import { entryOf, fieldText, textOf, type UnitRecord } from '@fair-gable/core/unit/record';
import {
  changesByLine,
  recordByLine,
  type CellProblem,
  type Column,
  type Line,
} from '@fair-gable/core/unit/stock-list';
import type { InYard, WithinYard } from '../../base/database/index.ts';
import type { AtWork } from '../../base/long-work/index.ts';
import { addUnits, editWithin, recordsOf, Unit } from '../record/index.ts';
import { Refusal } from '../../base/refusal/index.ts';
import { threadFile, type Threads } from '../../base/threads/index.ts';
import { inOrder, mostProblems, mostSample, type GivenList, type ListHead } from './reading.ts';

/** A list read against the yard: what each line would do. */
export interface ReadList extends ListHead {
  readonly lines: readonly Line[];
  readonly fresh: readonly Line[];
  readonly changed: readonly Changed[];
  readonly same: number;
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

/** Longer than this no list is read, seconds; ten thousand lines of sixty columns take three. */
const readsWithin = 30;
/** Lines compared, and units made, in one go; then others are served. */
const together = 100;

const thread = threadFile('read-thread', import.meta.url);

/** The text of a list, read in a thread. @throws Refusal bad-file, bad-input, too-heavy, busy */
const readText = async (
  threads: Threads,
  given: GivenList,
  { signal, tell }: AtWork,
): Promise<{ readonly head: ListHead; readonly lines: readonly Line[] }> => {
  const lines: Line[] = [];
  const head = await threads.run<ListHead, readonly Line[]>(thread, given, {
    seconds: readsWithin,
    signal,
    onProgress: tell,
    onPiece: (some) => lines.push(...some),
  });
  return { head, lines };
};

interface Named {
  readonly stockNumber: string | undefined;
  readonly vin: string | undefined;
}

/** Under which names a unit is looked for. */
const namesOf = ({ stockNumber, vin }: Named): readonly string[] => [
  ...(stockNumber ? [`s ${stockNumber.toLowerCase()}`] : []),
  ...(vin ? [`v ${tidyVin(vin)}`] : []),
];

/** A unit that a line means, and whether the line says something that it does not say yet. */
interface Meant {
  readonly id: string;
  readonly isNews: boolean;
}

interface HeldAgainst {
  /** By the number of the line. */
  readonly meant: ReadonlyMap<number, readonly Meant[]>;
  /** Of the first lines, what the unit they mean says so far. */
  readonly first: ReadonlyMap<number, UnitRecord>;
}

/** The lines that can be taken; no two of them have a name in common. */
const linesByName = (lines: readonly Line[]): ReadonlyMap<string, Line> =>
  new Map(lines.flatMap((line) => namesOf(line).map((name) => [name, line] as const)));

/** Holds the lines against the units in stock, one unit after the other: a yard of ten thousand never lies in memory whole. */
const holdAgainst = async (
  yard: InYard,
  lines: readonly Line[],
  { breathe, tell }: AtWork,
): Promise<HeldAgainst> => {
  const byName = linesByName(lines);
  const meant = new Map<number, readonly Meant[]>();
  const first = new Map<number, UnitRecord>();
  const of = await yard.manager.countBy(Unit, { yardId: yard.yardId, inStock: true });
  let done = 0;
  for await (const { id, record } of recordsOf(yard)) {
    if (done % together === 0) {
      tell({ phase: 'comparing', done, of });
      await breathe();
    }
    done += 1;
    const [stockNumber, vin] = [textOf(record, 'stockNumber'), textOf(record, 'vin')];
    const its = new Set(namesOf({ stockNumber, vin }).flatMap((name) => byName.get(name) ?? []));
    for (const line of its) {
      const isNews = changesByLine(record, line).length > 0;
      meant.set(line.number, [...(meant.get(line.number) ?? []), { id, isNews }]);
      if (line.number <= mostSample && !first.has(line.number)) first.set(line.number, record);
    }
  }
  return { meant, first };
};

const twoUnits = ({ number, stockNumber, vin }: Line): CellProblem => ({
  line: number,
  column: -1,
  sentence: `Stock number and VIN: ${stockNumber} and ${vin} are two different units of this yard. Correct one of them.`,
});

/** What is wrong once the lines are held against the yard. */
const withTorn = (head: ListHead, torn: readonly Line[]): ListHead => ({
  ...head,
  problems: inOrder([...head.problems, ...torn.map(twoUnits)]).slice(0, mostProblems),
  problemCount: head.problemCount + torn.length,
  bad: [...new Set([...head.bad, ...torn.map(({ number }) => number)])],
  lost: [...new Set([...head.lost, ...torn.map(({ number }) => number)])],
});

/** What each line would do to the unit it means. */
const doings = (
  lines: readonly Line[],
  { meant }: HeldAgainst,
): Pick<ReadList, 'fresh' | 'changed' | 'same'> => {
  const of = (line: Line): readonly Meant[] => meant.get(line.number) ?? [];
  const known = lines.flatMap((line) => of(line).map((unit) => ({ line, ...unit })));
  const changed = known.filter(({ isNews }) => isNews);
  return {
    fresh: lines.filter((line) => of(line).length === 0),
    changed: changed.map(({ id, line }) => ({ unit: id, line })),
    same: known.length - changed.length,
  };
};

const understoodOf = (
  { values, system }: Line,
  columns: readonly Column[],
  record: UnitRecord | undefined,
): readonly Understood[] =>
  columns.map((key) => {
    const cell = values.find((one) => one.key === key);
    if (!cell) return { says: null, before: null };
    const had = record && entryOf(record, cell.part, cell.key);
    return {
      says: fieldText(cell.part, cell.key, cell.value, cell.how, system),
      before: had ? fieldText(cell.part, cell.key, had.value, had.how, system) : null,
    };
  });

const held = async (
  yard: InYard,
  read: { readonly head: ListHead; readonly lines: readonly Line[] },
  at: AtWork,
): Promise<ReadList> => {
  const { lines } = read;
  // A cell that cannot be read is left out, not its line.
  const unreadable = new Set(read.head.lost);
  const readable = lines.filter(({ number }) => !unreadable.has(number));
  const against = await holdAgainst(yard, readable, at);
  const isTorn = ({ number }: Line): boolean => (against.meant.get(number)?.length ?? 0) > 1;
  const head = withTorn(read.head, readable.filter(isTorn));
  const good = readable.filter((line) => !isTorn(line));
  return {
    ...head,
    lines,
    ...doings(good, against),
    understood: lines
      .slice(0, mostSample)
      .map((line) => understoodOf(line, head.columns, against.first.get(line.number))),
  };
};

/** What a list would do. @throws Refusal bad-file, bad-input, too-heavy, busy */
export const readList = async (threads: Threads, given: GivenList, at: AtWork): Promise<ReadList> =>
  held(at.yard, await readText(threads, given, at), at);

const refuseProblems = ({ problems, bad, rows }: ReadList): void => {
  const [first] = problems;
  if (!first) return;
  throw new Refusal(
    'bad-file',
    `${bad.length} of ${rows} lines have something that can’t be read, the first is line ${first.line}: ${first.sentence} Nothing was imported. Correct the list, or import what can be read.`,
  );
};

/** Keeps what a list says, a hundred units at a time. */
const keep = async (
  yard: WithinYard,
  { fresh, changed }: ReadList,
  { breathe, tell }: AtWork,
): Promise<void> => {
  const of = fresh.length + changed.length;
  const at = await yard.now();
  for (let done = 0; done < fresh.length; done += together) {
    tell({ phase: 'keeping', done, of });
    const some = fresh.slice(done, done + together);
    const made = some.map((line) => ({
      id: randomUUID(),
      record: recordByLine(line, yard.author.name, at.toISOString()),
    }));
    await addUnits(yard, made, at, fresh.length - done - made.length);
    await breathe();
  }
  for (const [i, { unit, line }] of changed.entries()) {
    if (i % together === 0) {
      tell({ phase: 'keeping', done: fresh.length + i, of });
      await breathe();
    }
    await editWithin(yard, unit, (record) => changesByLine(record, line));
  }
};

/**
 * Takes a list in, in one transaction: new units, and what it says that the units here do not say yet. The
 * same list taken in again changes nothing.
 * @param onlyGood leaves out cells that cannot be read, and lines of which nobody can tell whose they are; otherwise one
 * of them leaves out all
 * @throws Refusal bad-file, bad-input, too-heavy, busy, stock-number-taken, vin-taken
 */
export const takeList = async (
  threads: Threads,
  { onlyGood, ...given }: GivenList & { readonly onlyGood: boolean },
  at: AtWork,
): Promise<ReadList> => {
  const read = await readText(threads, given, at);
  return at.yard.within(async (yard) => {
    const list = await held(yard, read, at);
    if (!onlyGood) refuseProblems(list);
    await keep(yard, list, at);
    if (list.fresh.length + list.changed.length > 0) {
      await yard.announce('stock', yard.yardId);
    }
    return list;
  });
};
