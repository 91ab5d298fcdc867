import { randomUUID } from 'node:crypto';
import type { InYard, WithinYard } from '../database/index.ts';
import { YardChange } from './entities.ts';

/** What was done to a yard, as its history has it. */
export interface Noted {
  readonly what: string;
  readonly subject: string;
  readonly from?: string | null;
  readonly to?: string | null;
}

/** Writes what somebody did to the yard into its history, and tells every screen. */
export const noteOnYard = async (yard: WithinYard, noted: Noted): Promise<void> => {
  const { personId, name: by } = yard.author;
  const row = { id: randomUUID(), from: null, to: null, ...noted, personId, by, at: new Date() };
  await yard.insert(YardChange, [row]);
  await yard.announce('people', yard.yardId);
};

/** What was changed about the yard and its people, latest first. */
export const yardHistory = (yard: InYard): Promise<readonly YardChange[]> =>
  yard.find(YardChange, {}, { order: { at: 'DESC', id: 'ASC' }, take: 200 });
