import type { EntityManager } from 'typeorm';

/** Something that changed on a yard, for whoever has it on their screen. */
export interface News {
  readonly yard: string;
  /** `stock`: so many units that the list is best read anew. `ended`: a right ended, on whatever yard; it reaches no screen. */
  readonly kind: 'unit' | 'stock' | 'sheets' | 'walk' | 'people' | 'vehicles' | 'work' | 'ended';
  readonly id: string;
  /** The last of what was added, where something was: who has it need not ask. */
  readonly newest?: string;
  /** Of `work`: how far something long has come. */
  readonly progress?: { readonly phase: string; readonly done: number; readonly of: number };
}

export const channel = 'fair_gable';

/**
 * Tells every process that something changed. Inside a transaction it is heard when that is
 * committed, and not at all when it is taken back.
 */
export const announce = async (manager: EntityManager, news: News): Promise<void> => {
  await manager.query('SELECT pg_notify($1, $2)', [channel, JSON.stringify(news)]);
};

/** Somebody’s right has ended: streams that live by it are ended at once, in every process. */
export const announceEnd = (manager: EntityManager): Promise<void> =>
  announce(manager, { yard: '', kind: 'ended', id: '' });
