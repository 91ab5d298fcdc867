import { randomUUID } from 'node:crypto';
import {
  changesByLine,
  entryOf,
  fieldText,
  recordByLine,
  textOf,
  tidyVin,
  type CellProblem,
  type Column,
  type Line,
  type UnitRecord,
} from '@fair-gable/core';
import { announce, inYard, type InYard } from '../database/index.ts';
import type { AtWork } from '../long-work/index.ts';
import {
  addUnits,
  editWithin,
  now,
  recordsOf,
  type Author,
  type UnitView,
} from '../record/index.ts';
import { Refusal } from '../refusal/index.ts';
import { threadFile, type Threads } from '../threads/index.ts';
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

/** The units in stock that the lines mean, under their names. */
const unitsByName = async (
  yard: InYard,
  lines: readonly Line[],
  { signal }: AtWork,
): Promise<ReadonlyMap<string, UnitView>> => {
  const wanted = new Set(lines.flatMap(namesOf));
  const byName = new Map<string, UnitView>();
  for await (const unit of recordsOf(yard)) {
    signal.throwIfAborted();
    const { record } = unit;
    const names = namesOf({
      stockNumber: textOf(record, 'stockNumber'),
      vin: textOf(record, 'vin'),
    });
    for (const name of names) if (wanted.has(name)) byName.set(name, unit);
  }
  return byName;
};

const meant = (units: ReadonlyMap<string, UnitView>, line: Line): readonly UnitView[] => [
  ...new Set(namesOf(line).flatMap((name) => units.get(name) ?? [])),
];

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

/** What each line would do to the units it means. */
const compare = async (
  lines: readonly Line[],
  units: ReadonlyMap<string, UnitView>,
  { breathe, tell }: AtWork,
): Promise<Pick<ReadList, 'fresh' | 'changed' | 'same'>> => {
  const [fresh, changed]: [Line[], Changed[]] = [[], []];
  let same = 0;
  for (const [i, line] of lines.entries()) {
    if (i % together === 0) {
      tell({ phase: 'comparing', done: i, of: lines.length });
      await breathe();
    }
    const known = meant(units, line);
    if (known.length === 0) fresh.push(line);
    for (const unit of known) {
      if (changesByLine(unit.record, line).length > 0) changed.push({ unit: unit.id, line });
      else same += 1;
    }
  }
  return { fresh, changed, same };
};

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

const held = async (
  yard: InYard,
  read: { readonly head: ListHead; readonly lines: readonly Line[] },
  at: AtWork,
): Promise<ReadList> => {
  const { lines } = read;
  const units = await unitsByName(yard, lines, at);
  const head = withTorn(
    read.head,
    lines.filter((line) => meant(units, line).length > 1),
  );
  // A cell that cannot be read is left out, not its line.
  const lost = new Set(head.lost);
  const good = lines.filter(({ number }) => !lost.has(number));
  return {
    ...head,
    lines,
    ...(await compare(good, units, at)),
    understood: lines
      .slice(0, mostSample)
      .map((line) => understoodOf(line, head.columns, meant(units, line)[0]?.record)),
  };
};

/** What a list would do. @throws Refusal bad-file, bad-input, too-heavy, busy */
export const readList = async (
  threads: Threads,
  yardId: string,
  given: GivenList,
  at: AtWork,
): Promise<ReadList> => held(inYard(at.manager, yardId), await readText(threads, given, at), at);

const refuseProblems = ({ problems, bad, rows }: ReadList): void => {
  const [first] = problems;
  if (!first) return;
  throw new Refusal(
    'bad-file',
    `${bad.length} of ${rows} lines have something that cannot be read, the first is line ${first.line}: ${first.sentence} Nothing was taken in. Correct the list, or take in what can be read.`,
  );
};

/** Keeps what a list says, a hundred units at a time. */
const keep = async (
  yard: InYard,
  { fresh, changed }: ReadList,
  author: Author,
  { breathe, tell }: AtWork,
): Promise<void> => {
  const of = fresh.length + changed.length;
  const at = await now(yard);
  for (let done = 0; done < fresh.length; done += together) {
    tell({ phase: 'keeping', done, of });
    const some = fresh.slice(done, done + together);
    const made = some.map((line) => ({
      id: randomUUID(),
      record: recordByLine(line, author.name, at.toISOString()),
    }));
    await addUnits(yard, made, author, at, fresh.length - done - made.length);
    await breathe();
  }
  for (const [i, { unit, line }] of changed.entries()) {
    if (i % together === 0) {
      tell({ phase: 'keeping', done: fresh.length + i, of });
      await breathe();
    }
    await editWithin(yard, unit, (record) => changesByLine(record, line), author);
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
  yardId: string,
  { onlyGood, ...given }: GivenList & { readonly onlyGood: boolean },
  author: Author,
  at: AtWork,
): Promise<ReadList> => {
  const read = await readText(threads, given, at);
  return at.manager.transaction(async (manager) => {
    const yard = inYard(manager, yardId);
    const list = await held(yard, read, at);
    if (!onlyGood) refuseProblems(list);
    await keep(yard, list, author, at);
    if (list.fresh.length + list.changed.length > 0) {
      await announce(manager, { yard: yardId, kind: 'stock', id: yardId });
    }
    return list;
  });
};
