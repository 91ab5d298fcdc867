import { In, LessThan, MoreThanOrEqual, type EntityManager } from 'typeorm';
import { daysAfter } from '@fair-gable/core/base/dates';
import type { Buyer, KeptBuyer } from '@fair-gable/core/yard/follow-up';
import { inYard, nobody, type InYard, type WithinYard } from '../../base/database/index.ts';
import { clockOf, noteOnYard, Yard } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Walk, WalkEventRow } from '../../show/walk/index.ts';
import { BuyerRow, LetterRow } from './entities.ts';
import { dropFollowUpsOf, followUpsOf } from './follow-ups.ts';

const missing = (): Refusal =>
  new Refusal('not-found', 'There is no such buyer on this yard. They may have been forgotten.');

const toBuyer = ({ id, name, email, phone }: BuyerRow): Buyer => ({
  id,
  name,
  ...(email ? { email } : {}),
  ...(phone ? { phone } : {}),
});

const walksOf = async (yard: InYard, ids: readonly string[]): Promise<readonly Walk[]> =>
  yard.find(Walk, { buyerId: In([...ids]) }, { order: { createdAt: 'DESC' } });

/** The buyers of a yard by name. */
export const buyersOf = async (yard: InYard): Promise<readonly KeptBuyer[]> => {
  // Whose day has passed is forgotten within the hour, and named no more until then.
  const keepUntil = MoreThanOrEqual((await clockOf(yard)).today);
  const rows = await yard.find(BuyerRow, { keepUntil }, { order: { name: 'ASC', id: 'ASC' } });
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

/**
 * Keeps a buyer, from today for as long as the yard keeps anybody. The yard’s history says that, and never whom: it outlives
 * them.
 * @returns until when
 */
export const keepBuyer = async (yard: WithinYard, buyer: Buyer): Promise<string> => {
  const { keepBuyers } = await yard.manager.findOneByOrFail(Yard, { id: yard.yardId });
  const keepUntil = daysAfter((await clockOf(yard)).today, keepBuyers);
  const { id, name, email = null, phone = null } = buyer;
  const isThere = (await yard.lockOne(BuyerRow, { id })) !== null;
  await yard.upsert(BuyerRow, [{ id, name, email, phone, keepUntil }], ['id']);
  await noteOnYard(yard, { what: isThere ? 'buyer-changed' : 'buyer-kept', subject: 'a buyer' });
  return keepUntil;
};

/** Says for whom a walk was given. @throws Refusal not-found */
export const nameBuyer = async (
  yard: WithinYard,
  walk: string,
  buyer: string | null,
): Promise<void> => {
  if (buyer && !(await yard.lockOne(BuyerRow, { id: buyer }))) throw missing();
  const had = await yard.lockOne(Walk, { id: walk });
  if (!had) {
    throw new Refusal(
      'not-found',
      'There is no such walk in this yard. Look for it under its unit.',
    );
  }
  if (had.buyerId === buyer) return;
  const known = buyer ? { buyerForgotten: false } : {};
  await yard.update(Walk, { id: walk }, { buyerId: buyer, ...known });
  await noteOnYard(yard, { what: buyer ? 'buyer-named' : 'buyer-unnamed', subject: had.by });
  await yard.announce('walk', walk);
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
const forgetDigests = async (yard: WithinYard, walks: readonly string[]): Promise<void> => {
  await yard.run(
    `UPDATE sent_once s SET digest = NULL
     FROM (SELECT yard_id, 'event' AS kind, id FROM walk_event WHERE walk_id = ANY ($2)
           UNION ALL SELECT yard_id, 'letter', id FROM letter WHERE walk_id = ANY ($2)) o
     WHERE s.yard_id = $1 AND o.yard_id = s.yard_id AND s.kind = o.kind AND s.id = o.id::text`,
    [walks],
  );
};

/**
 * Everything of a buyer and of what was said of them: name and contact, letters, follow-ups, and what was noted or said
 * into the phone on their walks. Which cards were given stays, for it says nothing of them.
 */
const forget = async (yard: WithinYard, id: string): Promise<void> => {
  const ids = (await walksOf(yard, [id])).map((walk) => walk.id);
  await forgetDigests(yard, ids);
  await yard.remove(LetterRow, { walkId: In(ids) });
  await dropFollowUpsOf(yard, ids);
  await yard.run(`DELETE FROM memo WHERE yard_id = $1 AND walk_id = ANY ($2)`, [ids]);
  await yard.run(
    `UPDATE walk_event SET what = what - 'note' - 'memo'
     WHERE yard_id = $1 AND walk_id = ANY ($2) AND what ->> 'kind' = 'mark'`,
    [ids],
  );
  for (const walk of ids) {
    await yard.update(Walk, { id: walk }, { buyerId: null, buyerForgotten: true });
  }
  await yard.remove(BuyerRow, { id });
};

/** Forgets a buyer who asks for it. @throws Refusal not-found */
export const eraseBuyer = async (yard: WithinYard, id: string): Promise<void> => {
  if (!(await yard.lockOne(BuyerRow, { id }))) throw missing();
  await forget(yard, id);
  await noteOnYard(yard, { what: 'buyer-forgotten', subject: 'a buyer' });
};

/** Forgets everybody of a yard whose day has passed, each whole or not at all. */
const forgetOverdueOf = async (yard: InYard): Promise<void> => {
  const { today } = await clockOf(yard);
  for (const { id } of await yard.find(BuyerRow, { keepUntil: LessThan(today) })) {
    await yard.within((within) => forget(within, id));
  }
};

/** Forgets everybody whose day has passed where their yard stands. */
export const forgetOverdue = async (manager: EntityManager): Promise<void> => {
  const yards: { id: string }[] = await manager.query(
    'SELECT DISTINCT yard_id AS id FROM buyer ORDER BY yard_id',
  );
  for (const { id } of yards) await forgetOverdueOf(inYard(manager, id, nobody));
};
