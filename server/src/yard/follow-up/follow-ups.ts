import { In, IsNull, MoreThan } from 'typeorm';
import { daysAfter } from '@fair-gable/core/base/dates';
import type { FollowUp, KeptFollowUp } from '@fair-gable/core/yard/follow-up';
import type { InYard, WithinYard } from '../../base/database/index.ts';
import { clockOf, noteOnYard } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Walk } from '../../show/walk/index.ts';
import { FollowUpRow } from './entities.ts';

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
  const since = daysAfter((await clockOf(yard)).today, -doneFor);
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
  yard: WithinYard,
  followUp: FollowUp,
  basedOn: number,
): Promise<number> => {
  const by = yard.author.name;
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
  await yard.announce('walk', followUp.walk);
  return version;
};

/** Takes a follow-up off the list. @throws Refusal not-found */
export const dropFollowUp = async (yard: WithinYard, id: string): Promise<void> => {
  const had = await yard.lockOne(FollowUpRow, { id });
  if (!had) throw new Refusal('not-found', 'There is no such follow-up. Look at the list again.');
  await yard.remove(FollowUpRow, { id });
  await noteOnYard(yard, { what: 'follow-up-dropped', subject: had.kind });
  await yard.announce('walk', had.walkId);
};

/** Takes the follow-ups of some walks away, with whoever they were for. */
export const dropFollowUpsOf = (yard: WithinYard, walks: readonly string[]): Promise<void> =>
  yard.remove(FollowUpRow, { walkId: In([...walks]) });
