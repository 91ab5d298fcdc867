import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Threads } from './threads.ts';

declare module 'fastify' {
  interface FastifyInstance {
    /** Where lists and zips are read. */
    threads: Threads;
    /** Where photos are made anew: they wait for no list. */
    pictureThreads: Threads;
  }
}

/** The threads of one server, ended with it. */
export const threadsPlugin = fp(
  async (app: FastifyInstance) => {
    const [threads, pictureThreads] = [new Threads(), new Threads()];
    app.decorate('threads', threads);
    app.decorate('pictureThreads', pictureThreads);
    app.addHook('onClose', async () => {
      await Promise.all([threads.stop(), pictureThreads.stop()]);
    });
  },
  { name: 'threads' },
);
