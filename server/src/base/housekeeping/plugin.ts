import fp from 'fastify-plugin';
import type { DataSource, EntityManager } from 'typeorm';
import type { App } from '../app/index.ts';

/** Something that is put in order by the clock, whoever asks or not. */
export interface Chore {
  /** What it is, for the log. */
  readonly name: string;
  /** @param over aborted when the server is stopped: what takes long leaves off, and goes on another time */
  readonly work: (manager: EntityManager, over: AbortSignal) => Promise<void>;
}

declare module 'fastify' {
  interface FastifyInstance {
    /** Adds a chore; a room says so itself. */
    chore: (chore: Chore) => void;
    /** Does all chores now, unless another server is at them. */
    keepHouse: () => Promise<void>;
  }
}

/** Chores are done at the start and then this often, ms. */
const every = 3_600_000;

const lock = 'pg_try_advisory_lock(hashtextextended($1, 4785)) AS mine';
const unlock = 'pg_advisory_unlock(hashtextextended($1, 4785))';
const house = ['housekeeping'];

/** One timer for whatever is forgotten, swept out or dropped in time; of several servers one at a time is at it. */
export const housekeepingPlugin = fp(
  async (app: App, { source }: { source: DataSource }) => {
    const chores: Chore[] = [];
    let under: Promise<void> = Promise.resolve();
    const closing = new AbortController();

    const one = async ({ name, work }: Chore, manager: EntityManager): Promise<void> => {
      if (closing.signal.aborted) return;
      await work(manager, closing.signal).catch((error: unknown) =>
        app.log.warn(`${name}: not now, within an hour again. ${String(error)}`),
      );
    };
    const round = async (): Promise<void> => {
      const runner = source.createQueryRunner();
      try {
        const [row] = await runner.query(`SELECT ${lock}`, house);
        if (!row.mine) return;
        for (const chore of chores) await one(chore, runner.manager);
        await runner.query(`SELECT ${unlock}`, house);
      } finally {
        await runner.release();
      }
    };
    const keepHouse = (): Promise<void> => {
      under = under
        .then(round)
        .catch((error: unknown) => app.log.warn(`Housekeeping: ${String(error)}`));
      return under;
    };
    app.decorate('chore', (chore) => void chores.push(chore));
    app.decorate('keepHouse', keepHouse);
    const timer = setInterval(() => void keepHouse(), every);
    timer.unref();
    app.addHook('onReady', async () => void keepHouse());
    app.addHook('onClose', async () => {
      closing.abort();
      clearInterval(timer);
      await under;
    });
  },
  { name: 'housekeeping' },
);
