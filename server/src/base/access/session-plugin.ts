import cookie from '@fastify/cookie';
import session from '@fastify/session';
import type { FastifyReply, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import type { App } from '../app/index.ts';
import { accessPlugin } from './access.ts';
import { deviceName } from './device-name.ts';
import { PostgresSessionStore, sessionDays } from './session-store.ts';

export interface SessionOptions {
  readonly source: DataSource;
  readonly secret: string;
  readonly publicUrl?: string | undefined;
}

const cookieName = 'fair-gable';

/**
 * A request that was under way with an old cookie takes none away: the browser may have a newer one by now, of a sign-in or a
 * changed password, and the answer would sign it out again.
 */
const keepNewerCookie = async (_request: FastifyRequest, reply: FastifyReply): Promise<void> => {
  const set = [reply.getHeader('set-cookie') ?? []].flat().map(String);
  const left = set.filter((one) => !one.startsWith(`${cookieName}=;`));
  if (left.length === set.length) return;
  reply.removeHeader('set-cookie');
  if (left.length > 0) reply.header('set-cookie', left);
};

/** Sessions and who may call what; registered before every other capability. */
export const sessionPlugin = fp(
  async (app: App, options: SessionOptions) => {
    const { source, secret, publicUrl } = options;
    const store = new PostgresSessionStore(source);
    app.chore({ name: 'Sessions that ended', work: () => store.sweep() });
    await app.register(cookie);
    await app.register(session, {
      secret,
      cookieName,
      saveUninitialized: false,
      // Written when it changes, not on every request; the session store notes when it was last seen.
      rolling: false,
      store,
      cookie: {
        httpOnly: true,
        sameSite: 'lax',
        secure: publicUrl ? publicUrl.startsWith('https:') : 'auto',
        path: '/',
        maxAge: sessionDays * 86_400_000,
      },
    });
    app.addHook('onSend', keepNewerCookie);
    await app.register(accessPlugin, { source, publicUrl });
  },
  { name: 'session', dependencies: ['problems', 'housekeeping'] },
);

/** Whose session it is, and at which of their yards. */
export interface Account {
  readonly personId: string;
  readonly yardId: string;
}

/** Begins a session of this browser; an older one of it is given up. */
export const beginSession = async (request: FastifyRequest, account: Account): Promise<void> => {
  await request.session.regenerate();
  const device = deviceName(request.headers['user-agent'] ?? '');
  Object.assign(request.session, account, { device });
};
