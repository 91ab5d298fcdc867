import type {
  EntityManager,
  EntityTarget,
  FindManyOptions,
  FindOptionsWhere,
  ObjectLiteral,
} from 'typeorm';

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
 * The tables as one yard sees them. Reads and writes bear its id, and there is no way to call
 * them without one.
 */
export const inYard = (manager: EntityManager, yardId: string) => ({
  yardId,
  manager,
  find: <E extends OfYard>(
    entity: EntityTarget<E>,
    where: Where<E>,
    options: Omit<FindManyOptions<E>, 'where'> = {},
  ): Promise<E[]> =>
    manager.find(entity, { ...options, where: { ...where, yardId } as FindOptionsWhere<E> }),
  findOne: <E extends OfYard>(entity: EntityTarget<E>, where: Where<E>): Promise<E | null> =>
    manager.findOne(entity, { where: { ...where, yardId } as FindOptionsWhere<E> }),
  /** Locks the row until the transaction ends. */
  lockOne: <E extends OfYard>(entity: EntityTarget<E>, where: Where<E>): Promise<E | null> =>
    manager.findOne(entity, {
      where: { ...where, yardId } as FindOptionsWhere<E>,
      lock: { mode: 'pessimistic_write' },
    }),
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
});

export type InYard = ReturnType<typeof inYard>;
