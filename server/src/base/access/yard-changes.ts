import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { announce } from '../database/index.ts';
import type { Caller } from './access.ts';
import { YardChange } from './entities.ts';

/** What was done to a yard, as its history has it. */
export interface Noted {
  readonly what: string;
  readonly subject: string;
  readonly from?: string | null;
  readonly to?: string | null;
}

/** Writes what somebody did to the yard into its history, and tells every screen. */
export const noteOnYard = async (
  manager: EntityManager,
  { yardId, personId, name }: Pick<Caller, 'yardId' | 'personId' | 'name'>,
  noted: Noted,
): Promise<void> => {
  await manager.insert(YardChange, {
    yardId,
    id: randomUUID(),
    from: null,
    to: null,
    ...noted,
    personId,
    by: name,
    at: new Date(),
  });
  await announce(manager, { yard: yardId, kind: 'people', id: yardId });
};

/** What was changed about the yard and its people, latest first. */
export const yardHistory = (
  manager: EntityManager,
  yardId: string,
): Promise<readonly YardChange[]> =>
  manager.find(YardChange, { where: { yardId }, order: { at: 'DESC', id: 'ASC' }, take: 200 });
