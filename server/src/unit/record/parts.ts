import type { EntityManager } from 'typeorm';
import { parts } from '@fair-gable/core/unit/record';
import { RecordPartRow } from './entities.ts';

/** Brings the database's list of parts up to this program's; what a newer one has put there stays. */
export const listParts = async (manager: EntityManager): Promise<void> => {
  await manager
    .createQueryBuilder()
    .insert()
    .into(RecordPartRow)
    .values(parts.map((part) => ({ part })))
    .orIgnore()
    .execute();
};
