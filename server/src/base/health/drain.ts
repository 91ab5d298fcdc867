import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';

/**
 * Lets the server stop as soon as its work is done: an answer that is given while it stops says that
 * its connection ends with it, else a browser would keep it open for another minute.
 */
export const drainPlugin = fp(
  async (app: FastifyInstance) => {
    let isStopping = false;
    app.addHook('preClose', async () => {
      isStopping = true;
    });
    app.addHook('onSend', async (_request, reply) => {
      if (isStopping) void reply.header('connection', 'close');
    });
  },
  { name: 'drain' },
);
