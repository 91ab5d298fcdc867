import { daysAfter } from '../../base/dates/index.ts';
import type { WalkLog, WalkPlan } from '../../show/walk/index.ts';
import { followUpKinds, type FollowUp, type FollowUpKind } from './schema.ts';

const kindOf = { promise: 'promise', asked: 'question', 'not-working': 'fault' } as const;

/** The day by which something of a kind is due; common practice. @param today `2026-03-14` */
export const dueBy = (kind: FollowUpKind, today: string): string => {
  const days = followUpKinds.find(({ key }) => key === kind)?.days ?? 1;
  return daysAfter(today, days);
};

/**
 * What a walk leaves to do: each promise, question and fault that was marked, under the id of its mark, so that it is
 * proposed once. What somebody liked is nothing to do.
 */
export const proposedFollowUps = (
  plan: WalkPlan,
  log: WalkLog,
  today: string,
): readonly FollowUp[] =>
  log.marks.flatMap(({ id, label, mark, note }) => {
    if (mark === 'liked') return [];
    const kind = kindOf[mark];
    const text = note === undefined ? label : `${label}: ${note}`;
    return [
      {
        id,
        walk: plan.id,
        unit: plan.unit,
        kind,
        text: text.slice(0, 500),
        due: dueBy(kind, today),
        who: '',
      },
    ];
  });

/** The undone ones first by their day; then what is done. */
export const inDueOrder = (followUps: readonly FollowUp[]): readonly FollowUp[] =>
  followUps.toSorted(
    (a, b) =>
      Number(a.done !== undefined) - Number(b.done !== undefined) ||
      a.due.localeCompare(b.due) ||
      a.text.localeCompare(b.text),
  );

/** How late something is. @param today `2026-03-14` */
export const lateness = (
  { due, done }: FollowUp,
  today: string,
): 'done' | 'late' | 'today' | 'later' => {
  if (done !== undefined) return 'done';
  if (due < today) return 'late';
  return due === today ? 'today' : 'later';
};
