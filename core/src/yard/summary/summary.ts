import { isPrepared } from '../../unit/catalog/index.ts';
import {
  checkAgain,
  openObjections,
  type Checked,
  type Objection,
} from '../../unit/checks/index.ts';
import { followsSheet } from '../../unit/model-sheet/index.ts';
import {
  basicsOf,
  packed,
  unpacked,
  type Basics,
  type Brief,
  type PackedBrief,
  type UnitRecord,
} from '../../unit/record/index.ts';
import { basicsMissing, nextNeed, toConfirm, type Need } from '../to-do/index.ts';

/** How much is left to do at a unit. */
export interface Left {
  /** Objections that are open. */
  readonly disagree: number;
  /** Fields to measure or confirm. */
  readonly confirm: number;
  /** What should be known before it is shown, and nobody looked at. */
  readonly look: number;
  /** What is only prepared, or has room. */
  readonly prep: number;
}

/** What the checks find at a unit on a day, so that who looks at the yard works none of it out. */
export interface Verdict {
  /** A calendar date: what it says of ages holds on that day. */
  readonly day: string;
  /** What it needs next: words without figures, the same for every reader. */
  readonly need: Need;
  readonly left: Left;
  readonly followsSheet: boolean;
}

/** A unit as the yard's page has it: what draws, finds and compares it, and what is to be done at it. */
export interface UnitSummary {
  readonly id: string;
  /** Counts the changes of its record; of a unit that is not sent yet it is 0. */
  readonly revision: number;
  readonly record: Basics;
  /** The others of its fields: `briefIn`. */
  readonly packed: PackedBrief;
  readonly verdict: Verdict;
}

const prepared = (record: UnitRecord): number =>
  Object.values(record.features).filter((entry) => isPrepared(entry?.value.state)).length;

const leftAt = (record: UnitRecord, objections: readonly Objection[]): Left => ({
  disagree: openObjections(objections).filter(({ severity }) => severity !== 'look').length,
  confirm: toConfirm(record).length,
  look: basicsMissing(record).length,
  prep: prepared(record),
});

/** The system in which a verdict's checks are worded, whose figures it does not tell. */
const system = 'us';

/**
 * Checks a record for its verdict.
 * @param today a calendar date
 * @param before a look at another state of the record: only what changed since is checked again
 */
export const checkedOn = (record: UnitRecord, today: string, before?: Checked): Checked =>
  checkAgain(before, record, { system, today });

/** The verdict of a look. */
export const verdictOf = ({ record, look, objections }: Checked): Verdict => ({
  day: look.today,
  need: nextNeed(record, objections),
  left: leftAt(record, objections),
  followsSheet: followsSheet(record),
});

/**
 * A unit's summary.
 * @param checked its record, as checked
 */
export const summaryOf = (id: string, revision: number, checked: Checked): UnitSummary => ({
  id,
  revision,
  record: basicsOf(checked.record),
  packed: packed(checked.record),
  verdict: verdictOf(checked),
});

/** Let go where memory is wanted. */
const briefs = new WeakMap<PackedBrief, WeakRef<Brief>>();

/** All of a unit's brief: where one looks at it more closely than at the others. */
export const briefIn = ({ packed: from, record }: UnitSummary): Brief => {
  const had = briefs.get(from)?.deref();
  if (had) return had;
  const brief = { ...unpacked(from), questions: record.questions };
  briefs.set(from, new WeakRef(brief));
  return brief;
};
