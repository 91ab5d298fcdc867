import type { System } from '../../base/quantity/index.ts';
import type { SpecKey, StationKey } from '../../unit/catalog/index.ts';
import type { Confidence, Outcome } from '../../unit/outcome/index.ts';
import type { QuestionKey, Trial, UnitRecord } from '../../unit/record/index.ts';

/** What an engine leans on beside the record: each of them is worked out first. */
type Needs = Readonly<Record<string, Work<unknown>>>;

/** The outcomes of what is needed. */
type Worked<N> = { readonly [K in keyof N]: N[K] extends Work<infer V> ? Outcome<V> : never };

interface Look {
  readonly record: UnitRecord;
  readonly system: System;
  /** For the age of tires, `2026-04-10`. */
  readonly today: string;
}

/**
 * Something that is worked out of a record and what is tried. It is given of the trial what it names, and nothing else, so that
 * what was worked out holds until one of that changes.
 */
export interface Work<V> {
  readonly tries: readonly (keyof Trial)[];
  readonly needs: Needs;
  readonly engine: (given: Look & { readonly trial: Trial; readonly worked: never }) => Outcome<V>;
}

/** A work, its engine held to what it names. */
export const workOf = <V, T extends keyof Trial, N extends Needs>(work: {
  readonly tries: readonly T[];
  readonly needs: N;
  readonly engine: (
    given: Look & { readonly trial: Pick<Trial, T>; readonly worked: Worked<N> },
  ) => Outcome<V>;
}): Work<V> => work as unknown as Work<V>;

/** A unit and what is tried on it: asked for an outcome, it works it out, once. */
export interface Asking {
  readonly system: System;
  readonly of: <V>(work: Work<V>) => Outcome<V>;
}

/** A buyer's question: all there is to one. */
export interface Question<V = unknown> {
  readonly key: QuestionKey;
  /** As a buyer asks it. */
  readonly words: string;
  /** Where a trial of it is told on a walk. */
  readonly station: StationKey;
  /** What it asks of a trailer nobody has a record of. */
  readonly asks: readonly SpecKey[];
  /** Whether it asks where that trailer's axles stand. */
  readonly asksAxle: boolean;
  readonly work: Work<V>;
  /** The answer in a few words, where there is a value. */
  readonly short: (value: V, asking: Asking) => string;
  /** How sure the short answer is, where not all of it is as sure as the work. */
  readonly sureness?: (asking: Asking) => Confidence;
}

interface Found {
  readonly tried: string;
  readonly needed: readonly Outcome<unknown>[];
  readonly outcome: Outcome<unknown>;
}

/** Outcomes of one work for one record are kept: as many as trials stand side by side, in both systems. */
const keptAtMost = 10;
const found = new WeakMap<UnitRecord, Map<Work<unknown>, readonly Found[]>>();

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.every((one, i) => one === b[i]);

const pick = (trial: Trial, keys: readonly (keyof Trial)[]): Partial<Trial> =>
  Object.fromEntries(keys.map((key) => [key, trial[key]]));

const workOut = (work: Work<unknown>, look: Look, trial: Trial): Outcome<unknown> => {
  const { record, system, today } = look;
  const needed = Object.entries(work.needs).map(
    ([name, need]) => [name, workOut(need, look, trial)] as const,
  );
  const outcomes = needed.map(([, outcome]) => outcome);
  const own = pick(trial, work.tries);
  const tried = JSON.stringify([system, today, own]);
  const ofRecord = found.get(record) ?? new Map<Work<unknown>, readonly Found[]>();
  const before = ofRecord.get(work) ?? [];
  const had = before.find((one) => one.tried === tried && isSame(one.needed, outcomes));
  if (had) return had.outcome;
  const outcome = work.engine({
    ...look,
    trial: own as Trial,
    worked: Object.fromEntries(needed) as never,
  });
  found.set(record, ofRecord);
  ofRecord.set(work, [{ tried, needed: outcomes, outcome }, ...before].slice(0, keptAtMost));
  return outcome;
};

/**
 * Asks about a unit and what is tried on it. Nothing is worked out until it is asked for, and nothing anew while what it was worked
 * out of stands: a slider works out what goes by it.
 * @param today for the age of tires, `2026-04-10`
 */
export const askingOf = (
  record: UnitRecord,
  trial: Trial,
  system: System,
  today: string,
): Asking => ({
  system,
  of: (work) => workOut(work, { record, system, today }, trial) as never,
});
