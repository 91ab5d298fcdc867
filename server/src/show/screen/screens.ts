import { createHash, randomBytes } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import { pointsOf } from '@fair-gable/core/show/cards';
import { screenOf, type ScreenView } from '@fair-gable/core/show/screen';
import {
  announceEnd,
  inYard,
  nobody,
  type InYard,
  type WithinYard,
} from '../../base/database/index.ts';
import { clockOf, noteOnYard, Yard } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { readUnit } from '../../unit/record/index.ts';
import { readWalk } from '../walk/index.ts';
import { ScreenRow } from './entities.ts';

/** A screen follows a walk for a day of work, ms. */
const holds = 12 * 3_600_000;

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

const gone = (): Refusal =>
  new Refusal('not-found', 'This screen follows no walk any more. Ask for it to be opened again.');

/** Opens a screen on a walk. @returns the token that is its address, once @throws Refusal not-found */
export const openScreen = async (
  yard: WithinYard,
  walk: string,
): Promise<{ readonly token: string; readonly until: string }> => {
  const { by } = await readWalk(yard, walk);
  const token = randomBytes(24).toString('base64url');
  const until = new Date(Date.now() + holds);
  await yard.upsert(ScreenRow, [{ tokenHash: hashOf(token), walkId: walk, until }], ['tokenHash']);
  await noteOnYard(yard, { what: 'screen-opened', subject: by });
  return { token, until: until.toISOString() };
};

/** Drops screens whose day of work is over. */
export const dropOldScreens = async (manager: EntityManager): Promise<void> => {
  await manager.query(`DELETE FROM screen WHERE until < now()`);
};

/** Closes every screen on a walk. @throws Refusal not-found */
export const closeScreens = async (yard: WithinYard, walk: string): Promise<void> => {
  const { by } = await readWalk(yard, walk);
  await yard.remove(ScreenRow, { walkId: walk });
  await noteOnYard(yard, { what: 'screens-closed', subject: by });
  await announceEnd(yard.manager);
};

/** A walk that a token follows, in its yard. */
export interface Followed {
  readonly yard: InYard;
  readonly walk: string;
}

/** Which walk a token follows; undefined when it follows none any more. */
export const followedBy = async (
  source: DataSource,
  token: string,
): Promise<Followed | undefined> => {
  const [row] = await source.query(
    `SELECT yard_id AS "yardId", walk_id AS walk FROM screen WHERE token_hash = $1 AND until > now()`,
    [hashOf(token)],
  );
  return (
    row && { yard: inYard(source.manager, row.yardId as string, nobody), walk: row.walk as string }
  );
};

/** The walk that a token follows. @throws Refusal not-found */
export const followed = async (source: DataSource, token: string): Promise<Followed> => {
  const found = await followedBy(source, token);
  if (!found) throw gone();
  return found;
};

/** What the screen of a token shows now. @throws Refusal not-found */
export const viewOf = async ({ yard, walk }: Followed): Promise<ScreenView> => {
  const { plan, events } = await readWalk(yard, walk);
  const { record } = await readUnit(yard, plan.unit);
  const { system: usual } = await yard.manager.findOneByOrFail(Yard, { id: yard.yardId });
  const system = plan.about?.system ?? usual;
  const { today, timeZone } = await clockOf(yard);
  const points = pointsOf(record, { system, today, timeZone });
  return screenOf(plan, events, { record, points, system, today });
};
