import type { FastifyReply, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import type { App } from '../app/index.ts';
import { callerIn, Membership, PostgresSessionStore } from '../access/index.ts';
import { Listener, type Heard } from './listener.ts';

/** What a stream of news is for. */
export interface Streamed {
  /** Whether what was heard is for whoever listens. */
  readonly wants: (heard: Heard) => boolean;
  /** Whether whoever listens still may; looked after now and then. */
  readonly stands: () => Promise<boolean>;
}

declare module 'fastify' {
  interface FastifyInstance {
    listener: Listener;
    /** Answers with news as they happen, until one of both sides ends it. */
    stream: (request: FastifyRequest, reply: FastifyReply, of: Streamed) => void;
  }
}

const heartbeat = 20_000;

const message = (heard: Heard): string => {
  if (heard === 'catch-up') return 'event: catch-up\ndata: {}\n\n';
  const { kind, id, newest, progress } = heard;
  // What is undefined is left out.
  return `event: ${kind}\ndata: ${JSON.stringify({ id, newest, progress })}\n\n`;
};

const head = {
  'content-type': 'text/event-stream; charset=utf-8',
  'cache-control': 'no-cache, no-transform',
  connection: 'keep-alive',
  // A proxy that collects answers would hold the news back.
  'x-accel-buffering': 'no',
} as const;

/** Headers that hooks set on the reply so far; a hijacked answer would lose them. */
const headOf = (reply: FastifyReply) => ({ ...reply.getHeaders(), ...head });

/** Streams on one listener; `open` ends those that are still there. */
const streaming =
  (listener: Listener, open: Set<() => void>) =>
  (request: FastifyRequest, reply: FastifyReply, { wants, stands }: Streamed): void => {
    reply.hijack();
    const { raw } = reply;
    raw.writeHead(200, headOf(reply) as Record<string, string>);
    if (request.method === 'HEAD') return void raw.end();
    raw.write('retry: 2000\n\n');
    const unhear = listener.hear((heard) => {
      if (heard !== 'catch-up' && heard.kind === 'ended') return void check().catch(() => {});
      if (heard === 'catch-up' || wants(heard)) raw.write(message(heard));
    });
    const end = (): void => {
      clearInterval(beat);
      unhear();
      open.delete(end);
      raw.end();
    };
    // Whoever is signed out or taken off meanwhile hears no more, at once; the beat finds what nobody announced.
    const check = async (): Promise<void> => {
      if (await stands()) raw.write(': still here\n\n');
      else end();
    };
    const beat = setInterval(() => void check().catch(() => {}), heartbeat);
    open.add(end);
    request.raw.once('close', end);
  };

/** What changes on a yard, told as it happens, whichever process it happened in. */
export const livePlugin = fp(
  async (app: App, { source }: { source: DataSource }) => {
    const { url } = source.options as { url: string };
    const listener = new Listener(url);
    const sessions = new PostgresSessionStore(source);
    const open = new Set<() => void>();
    app.decorate('listener', listener);
    app.decorate('stream', streaming(listener, open));
    await listener.start();
    app.addHook('preClose', async () => {
      for (const end of open) end();
      await listener.stop();
    });

    app.get(
      '/api/live',
      {
        config: { access: 'look', endless: true },
        schema: {
          tags: ['live'],
          summary: 'What changes on this yard, as it happens',
          description:
            'Server-sent events: `unit`, `walk` and `people` with the id of what changed, `work` with how far something long has come, and `catch-up` when some may have been missed. Ask for the thing itself to see it.',
          produces: ['text/event-stream'],
        },
      },
      (request, reply) => {
        const { yardId, personId } = callerIn(request);
        const { sessionId } = request.session;
        app.stream(request, reply, {
          wants: (heard) => heard !== 'catch-up' && heard.yard === yardId,
          stands: async () =>
            (await sessions.stands(sessionId)) &&
            (await source.manager.existsBy(Membership, { yardId, personId })),
        });
      },
    );
  },
  { name: 'live', dependencies: ['session'] },
);
