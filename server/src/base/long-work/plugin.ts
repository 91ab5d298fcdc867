import type { FastifyReply, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import type { App } from '../app/index.ts';
import { callerIn } from '../access/index.ts';
import { Left } from '../refusal/index.ts';
import { LongWork, type AtWork } from './long-work.ts';

declare module 'fastify' {
  interface FastifyInstance {
    /** Does something long for whoever asks, in its turn; ends it where they leave. */
    long: <T>(
      request: FastifyRequest,
      reply: FastifyReply,
      work: (at: AtWork) => Promise<T>,
    ) => Promise<T>;
  }
}

/** Under this header a device says by which id it wants to hear how far its long work is. */
export const workHeader = 'fair-gable-work';

/** A signal for whoever asked having left before the answer was out. */
const leaving = ({ raw }: FastifyReply): AbortSignal => {
  const left = new AbortController();
  raw.once('close', () => {
    if (!raw.writableFinished) left.abort(new Left());
  });
  return left.signal;
};

/** Long work with a queue of its own. */
export const longWorkPlugin = fp(
  async (app: App, { source }: { source: DataSource }) => {
    const work = new LongWork(source);
    app.decorate('long', (request, reply, what) => {
      const id = z.uuid().safeParse(request.headers[workHeader]);
      const { yardId, personId, name } = callerIn(request);
      const author = { personId, name };
      return work.run({ yardId, author, id: id.data, signal: leaving(reply) }, what);
    });
  },
  { name: 'long-work', dependencies: ['session'] },
);
