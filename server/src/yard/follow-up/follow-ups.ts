import { In, IsNull, MoreThan } from 'typeorm';
import type { FollowUp } from '@fair-gable/core/yard/follow-up';
import { announce, type InYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Walk } from '../../show/walk/index.ts';
import { FollowUpRow } from './entities.ts';

/** A follow-up as the yard keeps it. */
export interface KeptFollowUp {
  readonly followUp: FollowUp;
  readonly by: string;
  /** Counts its changes, from 1. */
  readonly version: number;
}

const toKept = (row: FollowUpRow): KeptFollowUp => {
  const { id, walkId, unitId, kind, text, due, who, done, by, version } = row;
  const followUp = { id, walk: walkId, unit: unitId, kind, text, due, who };
  return { followUp: done ? { ...followUp, done } : followUp, by, version };
};

/** What is done stays on the list for so many days. */
const doneFor = 30;

/** Those of a walk; without one all that is left to do on the yard, and what was done of late. */
export const followUpsOf = async (
  yard: InYard,
  walk: string | undefined,
): Promise<readonly KeptFollowUp[]> => {
  if (walk) return (await yard.find(FollowUpRow, { walkId: walk })).map(toKept);
  const since = new Date(Date.now() - doneFor * 86_400_000).toISOString().slice(0, 10);
  const open = await yard.find(FollowUpRow, { done: IsNull() }, { order: { due: 'ASC' } });
  const done = await yard.find(FollowUpRow, { done: MoreThan(since) }, { order: { done: 'DESC' } });
  return [...open, ...done].map(toKept);
};

const rowOf = ({ id, walk, unit, kind, text, due, who, done }: FollowUp) => ({
  id,
  walkId: walk,
  unitId: unit,
  kind,
  text,
  due,
  who,
  done: done ?? null,
});

const isSameRow = (had: FollowUpRow, row: Omit<FollowUpRow, 'yardId' | 'version'>): boolean =>
  Object.entries(row).every(([column, value]) => had[column as keyof FollowUpRow] === value);

/**
 * Keeps a follow-up. Sent twice it is kept once.
 * @param basedOn the version it was made from; 0 for a new one
 * @returns its version now
 * @throws Refusal not-found without its walk; stale, with theirs, where somebody was faster
 */
export const keepFollowUp = async (
  yard: InYard,
  followUp: FollowUp,
  basedOn: number,
  by: string,
): Promise<number> => {
  const walk = await yard.findOne(Walk, { id: followUp.walk });
  if (!walk || walk.unitId !== followUp.unit) {
    throw new Refusal('not-found', 'There is no such walk of this unit. Look for it in its log.');
  }
  const had = await yard.lockOne(FollowUpRow, { id: followUp.id });
  // Its answer was lost on the way: it is there already.
  if (had?.version === basedOn + 1 && isSameRow(had, { ...rowOf(followUp), by }))
    return had.version;
  if ((had?.version ?? 0) !== basedOn) {
    throw new Refusal(
      'stale',
      'Somebody else changed this follow-up meanwhile. Look at theirs, then change it again.',
      { theirs: had ? toKept(had) : null },
    );
  }
  const version = basedOn + 1;
  await yard.upsert(FollowUpRow, [{ ...rowOf(followUp), by, version }], ['id']);
  await announce(yard.manager, { yard: yard.yardId, kind: 'walk', id: followUp.walk });
  return version;
};

/** Takes a follow-up off the list. @throws Refusal not-found */
export const dropFollowUp = async (yard: InYard, id: string): Promise<void> => {
  const had = await yard.findOne(FollowUpRow, { id });
  if (!had) throw new Refusal('not-found', 'There is no such follow-up. Look at the list again.');
  await yard.remove(FollowUpRow, { id });
  await announce(yard.manager, { yard: yard.yardId, kind: 'walk', id: had.walkId });
};

/** Takes the follow-ups of some walks away, with whoever they were for. */
export const dropFollowUpsOf = (yard: InYard, walks: readonly string[]): Promise<void> =>
  yard.remove(FollowUpRow, { walkId: In([...walks]) });
