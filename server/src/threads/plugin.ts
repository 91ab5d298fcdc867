import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Threads } from './threads.ts';

declare module 'fastify' {
  interface FastifyInstance {
    /** Where what people bring is read. */
    threads: Threads;
  }
}

/** The threads of one server, ended with it. */
export const threadsPlugin = fp(async (app: FastifyInstance) => {
  const threads = new Threads();
  app.decorate('threads', threads);
  app.addHook('onClose', () => threads.stop());
});
