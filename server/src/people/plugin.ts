import cookie from '@fastify/cookie';
import session from '@fastify/session';
import fp from 'fastify-plugin';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { firstAccountSchema, sessionSchema, signInSchema, type Session } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import { accessPlugin, callerIn, type Caller } from './access.ts';
import { accountFor, firstAccount, isEmpty } from './accounts.ts';
import { PostgresSessionStore, sessionDays } from './session-store.ts';

interface Options {
  readonly source: DataSource;
  readonly secret: string;
  readonly signInsPerMinute: number;
}

const toSession = (caller: Caller): Session => ({
  person: { id: caller.personId, name: caller.name, role: caller.role },
  yard: { id: caller.yardId, name: caller.yardName, system: caller.system },
});

/** Sessions and who may call what; registered before every other capability. */
export const sessionPlugin = fp(async (app: App, { source, secret }: Options) => {
  await app.register(cookie);
  await app.register(session, {
    secret,
    cookieName: 'fair-gable',
    saveUninitialized: false,
    store: new PostgresSessionStore(source),
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      secure: 'auto',
      path: '/',
      maxAge: sessionDays * 86_400_000,
    },
  });
  await app.register(accessPlugin, { source });
});

/** Signing in and out, and the first account. */
export const peoplePlugin = async (app: App, { source, signInsPerMinute }: Options) => {
  const rateLimit = { max: signInsPerMinute, timeWindow: '1 minute' };

  app.get(
    '/api/session',
    { config: { access: 'member' }, schema: { response: { 200: sessionSchema } } },
    async (request) => toSession(callerIn(request)),
  );

  app.post(
    '/api/session',
    {
      config: { access: 'anyone', rateLimit },
      schema: { body: signInSchema, response: { 204: z.null() } },
    },
    async (request, reply) => {
      const account = await accountFor(source, request.body.email, request.body.password);
      await request.session.regenerate();
      Object.assign(request.session, account);
      return reply.status(204).send(null);
    },
  );

  app.delete(
    '/api/session',
    { config: { access: 'anyone' }, schema: { response: { 204: z.null() } } },
    async (request, reply) => {
      await request.session.destroy();
      return reply.status(204).send(null);
    },
  );

  app.get(
    '/api/first-account',
    {
      config: { access: 'anyone' },
      schema: { response: { 200: z.strictObject({ wanted: z.boolean() }) } },
    },
    async () => ({ wanted: await isEmpty(source) }),
  );

  app.post(
    '/api/first-account',
    {
      config: { access: 'anyone', rateLimit },
      schema: { body: firstAccountSchema, response: { 204: z.null() } },
    },
    async (request, reply) => {
      await firstAccount(source, request.body);
      const account = await accountFor(source, request.body.email, request.body.password);
      await request.session.regenerate();
      Object.assign(request.session, account);
      return reply.status(204).send(null);
    },
  );
};
