import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import pLimit, { type LimitFunction } from 'p-limit';

declare module 'fastify' {
  interface FastifyContextConfig {
    /** An answer that does not end, and holds nothing while it lasts. */
    readonly endless?: true;
  }
}

/** Requests of one yard at work at once in a process: half of the connections there are. */
const ofOneYard = 10;

/** Waits for a turn. @returns how to give it back */
const turnOf = (limit: LimitFunction): Promise<() => void> =>
  new Promise((taken) => {
    void limit(() => new Promise<void>((release) => taken(release)));
  });

/** However much one yard asks at once, half of the database is left to the others; the yard's own requests wait their turn. */
export const fairSharePlugin = fp(
  async (app: FastifyInstance) => {
    const yards = new Map<string, LimitFunction>();
    // Once all of it is here: who sends slowly takes no turn.
    app.addHook('preValidation', async (request, reply) => {
      const { caller, routeOptions } = request;
      if (!caller || routeOptions.config.endless) return;
      const { yardId } = caller;
      const limit = yards.get(yardId) ?? pLimit(ofOneYard);
      yards.set(yardId, limit);
      const release = await turnOf(limit);
      reply.raw.once('close', () => {
        release();
        if (limit.activeCount + limit.pendingCount === 0) yards.delete(yardId);
      });
      if (reply.raw.destroyed) release();
    });
  },
  { name: 'fair-share', dependencies: ['session'] },
);
