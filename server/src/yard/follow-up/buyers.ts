import { In, type EntityManager } from 'typeorm';
import type { Buyer } from '@fair-gable/core/yard/follow-up';
import { inYard, type InYard } from '../../base/database/index.ts';
import { Yard } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Walk, WalkEventRow } from '../../show/walk/index.ts';
import { BuyerRow, LetterRow } from './entities.ts';
import { dropFollowUpsOf, followUpsOf } from './follow-ups.ts';

/** A buyer as the yard keeps them, and for how long. */
export interface KeptBuyer {
  readonly buyer: Buyer;
  /** `2026-09-01`; forgotten the day after. */
  readonly keepUntil: string;
  readonly walks: readonly string[];
}

const missing = (): Refusal =>
  new Refusal('not-found', 'There is no such buyer on this yard. They may have been forgotten.');

const toBuyer = ({ id, name, email, phone }: BuyerRow): Buyer => ({
  id,
  name,
  ...(email ? { email } : {}),
  ...(phone ? { phone } : {}),
});

const dayIn = (days: number): string =>
  new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

const walksOf = async (yard: InYard, ids: readonly string[]): Promise<readonly Walk[]> =>
  yard.find(Walk, { buyerId: In([...ids]) }, { order: { createdAt: 'DESC' } });

/** The buyers of a yard by name. */
export const buyersOf = async (yard: InYard): Promise<readonly KeptBuyer[]> => {
  await forgetOverdue(yard.manager);
  const rows = await yard.find(BuyerRow, {}, { order: { name: 'ASC', id: 'ASC' } });
  const walks = await walksOf(
    yard,
    rows.map(({ id }) => id),
  );
  return rows.map((row) => ({
    buyer: toBuyer(row),
    keepUntil: row.keepUntil,
    walks: walks.filter(({ buyerId }) => buyerId === row.id).map(({ id }) => id),
  }));
};

/** Keeps a buyer, from today for as long as the yard keeps anybody. @returns until when */
export const keepBuyer = async (yard: InYard, buyer: Buyer): Promise<string> => {
  const { keepBuyers } = await yard.manager.findOneByOrFail(Yard, { id: yard.yardId });
  const keepUntil = dayIn(keepBuyers);
  const { id, name, email = null, phone = null } = buyer;
  await yard.upsert(BuyerRow, [{ id, name, email, phone, keepUntil }], ['id']);
  return keepUntil;
};

/** Says for whom a walk was given. @throws Refusal not-found */
export const nameBuyer = async (
  yard: InYard,
  walk: string,
  buyer: string | null,
): Promise<void> => {
  if (buyer && !(await yard.findOne(BuyerRow, { id: buyer }))) throw missing();
  if (!(await yard.findOne(Walk, { id: walk }))) {
    throw new Refusal(
      'not-found',
      'There is no such walk in this yard. Look for it under its unit.',
    );
  }
  const known = buyer ? { buyerForgotten: false } : {};
  await yard.update(Walk, { id: walk }, { buyerId: buyer, ...known });
};

/** All that is kept of a buyer, for whoever asks what that is. @throws Refusal not-found */
export const allOf = async (yard: InYard, id: string) => {
  const row = await yard.findOne(BuyerRow, { id });
  if (!row) throw missing();
  const walks = await walksOf(yard, [id]);
  const ids = walks.map((walk) => walk.id);
  const events = await yard.find(WalkEventRow, { walkId: In(ids) });
  const letters = await yard.find(LetterRow, { walkId: In(ids) }, { order: { at: 'ASC' } });
  const followUps = (await Promise.all(ids.map((walk) => followUpsOf(yard, walk)))).flat();
  return {
    buyer: toBuyer(row),
    keepUntil: row.keepUntil,
    walks: walks.map((walk) => ({
      id: walk.id,
      unit: walk.unitId,
      by: walk.by,
      at: walk.createdAt.toISOString(),
      marks: events
        .filter(({ walkId, what }) => walkId === walk.id && what.kind === 'mark')
        .map(({ what }) => ({ ...what })),
    })),
    followUps: followUps.map(({ followUp }) => followUp),
    letters: letters.map(({ to, subject, text, at }) => ({
      to,
      subject,
      text,
      at: at.toISOString(),
    })),
  };
};

/** Short words could be guessed by their digest. Sent again by a device that still has them, they stay forgotten. */
const forgetDigests = async (yard: InYard, walks: readonly string[]): Promise<void> => {
  await yard.manager.query(
    `UPDATE sent_once s SET digest = NULL
     FROM (SELECT 'event' AS kind, id FROM walk_event WHERE yard_id = $1 AND walk_id = ANY ($2)
           UNION ALL SELECT 'letter', id FROM letter WHERE yard_id = $1 AND walk_id = ANY ($2)) o
     WHERE s.yard_id = $1 AND s.kind = o.kind AND s.id = o.id::text`,
    [yard.yardId, walks],
  );
};

/**
 * Everything of a buyer and of what was said of them: name and contact, letters, follow-ups, and what was noted or said
 * into the phone on their walks. Which cards were given stays, for it says nothing of them.
 */
const forget = async (yard: InYard, id: string): Promise<void> => {
  const ids = (await walksOf(yard, [id])).map((walk) => walk.id);
  await forgetDigests(yard, ids);
  await yard.remove(LetterRow, { walkId: In(ids) });
  await dropFollowUpsOf(yard, ids);
  await yard.manager.query(`DELETE FROM memo WHERE yard_id = $1 AND walk_id = ANY ($2)`, [
    yard.yardId,
    ids,
  ]);
  await yard.manager.query(
    `UPDATE walk_event SET what = what - 'note' - 'memo'
     WHERE yard_id = $1 AND walk_id = ANY ($2) AND what ->> 'kind' = 'mark'`,
    [yard.yardId, ids],
  );
  for (const walk of ids) {
    await yard.update(Walk, { id: walk }, { buyerId: null, buyerForgotten: true });
  }
  await yard.remove(BuyerRow, { id });
};

/** Forgets a buyer who asks for it. @throws Refusal not-found */
export const eraseBuyer = async (yard: InYard, id: string): Promise<void> => {
  if (!(await yard.findOne(BuyerRow, { id }))) throw missing();
  await forget(yard, id);
};

/** Forgets everybody whose day has passed, of every yard, each whole or not at all. */
export const forgetOverdue = async (manager: EntityManager): Promise<void> => {
  const overdue: { yard_id: string; id: string }[] = await manager.query(
    `SELECT yard_id, id FROM buyer WHERE keep_until < current_date`,
  );
  for (const { yard_id: yard, id } of overdue) {
    await manager.transaction((within) => forget(inYard(within, yard), id));
  }
};
