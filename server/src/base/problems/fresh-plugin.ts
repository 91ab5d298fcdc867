import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';

/** What the API answers is of this moment and of whoever asks: no cache between or behind keeps it, unless a route says how. */
export const freshPlugin = fp(
  async (app: FastifyInstance) => {
    app.addHook('onSend', async (request, reply) => {
      if (request.url.startsWith('/api/') && !reply.hasHeader('cache-control')) {
        void reply.header('cache-control', 'no-store');
      }
    });
  },
  { name: 'fresh' },
);
