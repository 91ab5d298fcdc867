import type {
  EntityManager,
  EntityTarget,
  FindManyOptions,
  FindOptionsWhere,
  ObjectLiteral,
} from 'typeorm';
import { announce, type News } from './announce.ts';

/** Who does something to a yard; nobody known where something is brought in. */
export interface Author {
  readonly personId: string | null;
  readonly name: string;
}

/** The program itself, where it does something by the clock. */
export const nobody: Author = { personId: null, name: 'Fair Gable' };

interface OfYard extends ObjectLiteral {
  yardId: string;
}

type Where<E> = Omit<FindOptionsWhere<E>, 'yardId'>;

/**
 * Inserts rows as one document that PostgreSQL itself takes apart: hundreds of fields of a record cost one
 * parameter, where TypeORM's own insert builds a statement of thousands.
 */
const insertAll = async <E extends OfYard>(
  manager: EntityManager,
  entity: EntityTarget<E>,
  rows: readonly object[],
): Promise<void> => {
  const [first] = rows;
  if (!first) return;
  const { columns, tablePath } = manager.connection.getMetadata(entity);
  const given = columns.filter(({ propertyName }) => propertyName in first);
  const names = given.map(({ databaseName }) => `"${databaseName}"`).join(', ');
  const documents = rows.map((row) =>
    Object.fromEntries(
      given.map(({ databaseName, propertyName }) => [
        databaseName,
        (row as Record<string, unknown>)[propertyName],
      ]),
    ),
  );
  await manager.query(
    `INSERT INTO "${tablePath}" (${names})
     SELECT ${names} FROM jsonb_populate_recordset(NULL::"${tablePath}", $1::jsonb)`,
    [JSON.stringify(documents)],
  );
};

/**
 * Runs a statement of our own. Whatever it reads or writes is the yard's: its id is the first parameter.
 * @throws Error for a statement that does not name it
 */
const runIn = async (
  manager: EntityManager,
  yardId: string,
  text: string,
  given: readonly unknown[],
): Promise<never> => {
  if (!/yard_id/.test(text) || !/\$1\b/.test(text)) {
    throw new Error(`A statement does not go by its yard: name yard_id and $1 in it. ${text}`);
  }
  return (await manager.query(text, [yardId, ...given])) as never;
};

const reading = (manager: EntityManager, yardId: string, author: Author) => ({
  yardId,
  author,
  /** For what stands above yards: people, and the yard itself. */
  manager,
  find: <E extends OfYard>(
    entity: EntityTarget<E>,
    where: Where<E>,
    options: Omit<FindManyOptions<E>, 'where'> = {},
  ): Promise<E[]> =>
    manager.find(entity, { ...options, where: { ...where, yardId } as FindOptionsWhere<E> }),
  findOne: <E extends OfYard>(entity: EntityTarget<E>, where: Where<E>): Promise<E | null> =>
    manager.findOne(entity, { where: { ...where, yardId } as FindOptionsWhere<E> }),
  /** The database's own time: one clock for all processes. */
  now: async (): Promise<Date> => {
    const [row] = await manager.query(`SELECT date_trunc('milliseconds', clock_timestamp()) AS at`);
    return row.at as Date;
  },
  /** Reads by a statement of our own; `$1` is the yard, the others begin at `$2`. */
  query: <R extends object>(text: string, given: readonly unknown[] = []): Promise<R[]> =>
    runIn(manager, yardId, text, given),
});

const writing = (manager: EntityManager, yardId: string) => ({
  /** Locks the row until the transaction ends. */
  lockOne: <E extends OfYard>(entity: EntityTarget<E>, where: Where<E>): Promise<E | null> =>
    manager.findOne(entity, {
      where: { ...where, yardId } as FindOptionsWhere<E>,
      lock: { mode: 'pessimistic_write' },
    }),
  /** Until the transaction ends whoever else does the same on this yard waits. */
  alone: async (doing: string): Promise<void> => {
    await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 4781))', [
      `${yardId} ${doing}`,
    ]);
  },
  /** Changes some columns of one row. */
  update: async <E extends OfYard>(
    entity: EntityTarget<E>,
    where: Where<E>,
    values: Partial<Omit<E, 'yardId'>>,
  ): Promise<void> => {
    await manager.update(entity, { ...where, yardId } as never, values as never);
  },
  /** Takes rows away. */
  remove: async <E extends OfYard>(entity: EntityTarget<E>, where: Where<E>): Promise<void> => {
    await manager.delete(entity, { ...where, yardId } as never);
  },
  /** Inserts rows, and replaces those that are there under the same key. */
  upsert: async <E extends OfYard>(
    entity: EntityTarget<E>,
    rows: readonly Omit<E, 'yardId'>[],
    key: readonly (keyof E & string)[],
  ): Promise<void> => {
    const own = rows.map((row) => ({ ...row, yardId })) as never;
    await manager.upsert(entity, own, ['yardId', ...key]);
  },
  /** Inserts rows that cannot be there yet. */
  insert: async <E extends OfYard>(
    entity: EntityTarget<E>,
    rows: readonly Omit<E, 'yardId'>[],
  ): Promise<void> => {
    await insertAll(
      manager,
      entity,
      rows.map((row) => ({ ...row, yardId })),
    );
  },
  /** Inserts what is not there yet, and leaves what is. */
  insertMissing: async <E extends OfYard>(
    entity: EntityTarget<E>,
    rows: readonly Omit<E, 'yardId'>[],
  ): Promise<void> => {
    if (rows.length === 0) return;
    const own = rows.map((row) => ({ ...row, yardId })) as never;
    await manager.createQueryBuilder().insert().into(entity).values(own).orIgnore().execute();
  },
  /** Writes by a statement of our own; `$1` is the yard, the others begin at `$2`. */
  run: <R extends object>(text: string, given: readonly unknown[] = []): Promise<R[]> =>
    runIn(manager, yardId, text, given),
  /** Tells every screen, once this is committed. */
  announce: (
    kind: News['kind'],
    id: string,
    more: Pick<News, 'newest'> | Record<string, never> = {},
  ): Promise<void> => announce(manager, { yard: yardId, kind, id, ...more }),
});

/** The tables as one yard reads them, and the one way to write to them. */
export type InYard = ReturnType<typeof reading> & {
  /** One piece of work: all of it is kept, and then told, or none. */
  readonly within: <T>(work: (yard: WithinYard) => Promise<T>) => Promise<T>;
};

/** The tables of a yard within a transaction. */
export type WithinYard = InYard & ReturnType<typeof writing>;

/**
 * The tables as one yard sees them. Reads and writes bear its id, there is no way to call them without one, and none
 * to write outside of a transaction.
 */
export const inYard = (manager: EntityManager, yardId: string, author: Author): InYard => ({
  ...reading(manager, yardId, author),
  within: (work) => manager.transaction((inner) => work(withinYard(inner, yardId, author))),
});

/**
 * The same for whoever opened a transaction that reaches over several yards.
 * @throws Error outside of one
 */
export const withinYard = (manager: EntityManager, yardId: string, author: Author): WithinYard => {
  if (!manager.queryRunner?.isTransactionActive) throw new Error('There is no transaction here.');
  return { ...inYard(manager, yardId, author), ...writing(manager, yardId) };
};
