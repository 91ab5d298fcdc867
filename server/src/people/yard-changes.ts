import { randomUUID } from 'node:crypto';
import { In, type EntityManager } from 'typeorm';
import { announce } from '../database/index.ts';
import type { Caller } from './access.ts';
import { Person, YardChange } from './entities.ts';

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

/** A change with the address of the account behind it, where that is there still. */
export interface ToldChange extends YardChange {
  readonly account: string | null;
}

/** What was changed about the yard and its people, latest first. */
export const yardHistory = async (
  manager: EntityManager,
  yardId: string,
): Promise<readonly ToldChange[]> => {
  const order = { at: 'DESC', id: 'ASC' } as const;
  const changes = await manager.find(YardChange, { where: { yardId }, order, take: 200 });
  const ids = [...new Set(changes.flatMap(({ personId }) => personId ?? []))];
  const people = await manager.findBy(Person, { id: In(ids) });
  const accounts = new Map(people.map(({ id, email }) => [id, email]));
  return changes.map((change) => ({
    ...change,
    account: accounts.get(change.personId ?? '') ?? null,
  }));
};
