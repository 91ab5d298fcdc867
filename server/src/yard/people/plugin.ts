import type { FastifyReply, FastifyRequest } from 'fastify';
import type { DataSource } from 'typeorm';
import { type Session, peopleApi } from '@fair-gable/core/yard/people';
import { schemaOf, type App } from '../../base/app/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { callerIn, type Caller } from '../../base/access/index.ts';
import { firstAccount, isEmpty } from './accounts.ts';
import { Membership } from '../../base/access/index.ts';
import { accept, lookAtLink } from './invitations.ts';
import { digest } from './hashes.ts';
import { mePlugin } from './me-plugin.ts';
import { setByLink } from './passwords.ts';
import { beginSession } from '../../base/access/index.ts';
import { accountFor, knowDevice, sweepTries } from './sign-in.ts';
import { yardPeoplePlugin } from './yard-people-plugin.ts';
import { oneTimeLink, sampleSession } from './examples.ts';

declare module 'fastify' {
  interface FastifyRequest {
    /** What a browser in which somebody just signed in is known by. */
    knownDevice: string;
  }
}

interface Options {
  readonly source: DataSource;
  readonly signInsPerMinute: number;
}

/** Left in a browser in which somebody has signed in: it lets nobody in, and keeps strangers’ tries from locking it out. */
const deviceCookie = 'fair-gable-device';
const deviceDays = 365;

const tags = ['people'];

const yardsQuery = `
  SELECT y.id, y.name, m.role FROM membership m JOIN yard y ON y.id = m.yard_id
  WHERE m.person_id = $1 ORDER BY y.name, y.id`;

const toSession = (caller: Caller, yards: Session['yards']): Session => ({
  person: {
    id: caller.personId,
    name: caller.name,
    email: caller.email,
    role: caller.role,
    system: caller.ownSystem,
    pace: caller.pace,
    learnedPace: caller.learnedPace,
    views: [...caller.views] as Session['person']['views'],
  },
  yard: {
    id: caller.yardId,
    name: caller.yardName,
    system: caller.yardSystem,
    timeZone: caller.timeZone,
    houseViews: caller.houseViews,
    routes: caller.routes.map((route) => ({ ...route, legs: [...route.legs] })),
    glossary: caller.glossary,
    keepBuyers: caller.keepBuyers,
    water: caller.water,
    demo: caller.demo,
  },
  yards,
  now: caller.now.toISOString(),
});

/** Signs somebody in in this browser, which is known to them from then on. */
const signIn = async (
  source: DataSource,
  request: FastifyRequest,
  { email, password }: { readonly email: string; readonly password: string },
): Promise<void> => {
  const device = request.cookies[deviceCookie];
  const account = await accountFor(source, { email, password, ip: request.ip, device }).catch(
    (error: unknown) => {
      // Whoever looks after the server sees that somebody tries; the address itself is nobody's in a log.
      request.log.warn({ account: digest(email).slice(0, 16), ip: request.ip }, 'sign-in refused');
      throw error;
    },
  );
  await beginSession(request, account);
  request.knownDevice = await knowDevice(source.manager, account.personId, device);
};

/** Behind the session's own cookie, which is the first that whoever signs in by a program finds. */
const leaveDevice = async (request: FastifyRequest, reply: FastifyReply): Promise<void> => {
  if (!request.knownDevice) return;
  reply.setCookie(deviceCookie, request.knownDevice, {
    httpOnly: true,
    sameSite: 'lax',
    secure: request.protocol === 'https',
    path: '/api',
    maxAge: deviceDays * 86_400,
  });
};

/** Signing in and out, and whatever needs no sign-in yet. */
const signInPlugin = async (app: App, { source, signInsPerMinute }: Options) => {
  app.decorateRequest('knownDevice', '');
  app.addHook('onSend', leaveDevice);
  // Against floods only; wrong passwords are counted in the database, for all processes together.
  const rateLimit = { max: signInsPerMinute, timeWindow: '1 minute' };

  app.post(
    '/api/session',
    {
      config: { access: 'anyone', rateLimit },
      schema: schemaOf(peopleApi['POST /api/session'], {
        tags,
        summary: 'Sign in',
        description:
          'Sets the session cookie. After four wrong tries in a row one waits, twice as long with each; `wait` says how many seconds.',
        example: { body: { email: 'ines@thornquay.example', password: 'spring-ferry-22' } },
      }),
    },
    async (request, reply) => {
      await signIn(source, request, request.body);
      return reply.status(204).send(null);
    },
  );

  app.delete(
    '/api/session',
    {
      config: { access: 'anyone' },
      schema: schemaOf(peopleApi['DELETE /api/session'], { tags, summary: 'Sign out' }),
    },
    async (request, reply) => {
      await request.session.destroy();
      return reply.status(204).send(null);
    },
  );

  app.get(
    '/api/first-account',
    {
      config: { access: 'anyone' },
      schema: schemaOf(peopleApi['GET /api/first-account'], {
        tags,
        summary: 'Whether the first account is still to be made',
        example: { answer: { wanted: false } },
      }),
    },
    async () => ({ wanted: await isEmpty(source) }),
  );

  app.post(
    '/api/first-account',
    {
      config: { access: 'anyone', rateLimit },
      schema: schemaOf(peopleApi['POST /api/first-account'], {
        tags,
        summary: 'Make the first account of an empty yard',
        description: 'With the one-time token that the start command printed. Signs in.',
        example: {
          body: {
            token: 'printed-at-start',
            yard: 'Sallow North',
            name: 'Ada Finch',
            email: 'ada@north.example',
            password: 'a long enough one',
          },
        },
      }),
    },
    async (request, reply) => {
      await firstAccount(source, request.body);
      await signIn(source, request, request.body);
      return reply.status(204).send(null);
    },
  );
};

/** What a one-time link is for, and what is done by one: a password set, an invitation accepted. */
const linkPlugin = async (app: App, { source, signInsPerMinute }: Options) => {
  const rateLimit = { max: signInsPerMinute, timeWindow: '1 minute' };

  app.post(
    '/api/password',
    {
      config: { access: 'anyone', rateLimit },
      schema: schemaOf(peopleApi['POST /api/password'], {
        tags,
        summary: 'Set a password by a one-time link, or accept an invitation by one',
        description:
          'A password link ends every sign-in of that person; sign in with the new password. An invitation takes the password of the account its address has, or makes one.',
        example: { body: { token: oneTimeLink.token, password: 'a long enough one' } },
      }),
    },
    async (request, reply) => {
      const { token, password } = request.body;
      const from = { ip: request.ip, device: request.cookies[deviceCookie] };
      await source.transaction((manager) => setByLink(manager, token, password, from));
      return reply.status(204).send(null);
    },
  );

  app.post(
    '/api/links/look',
    {
      config: { access: 'anyone', rateLimit },
      schema: schemaOf(peopleApi['POST /api/links/look'], {
        tags,
        summary: 'What a one-time link is for',
        description: 'It says nothing of whether the address it was made for has an account.',
        example: {
          body: { token: oneTimeLink.token },
          answer: { kind: 'invitation', yard: 'Sallow North', role: 'specialist' },
        },
      }),
    },
    async (request) => lookAtLink(source.manager, request.body.token),
  );

  app.post(
    '/api/invitations/accept',
    {
      config: { access: 'look', rateLimit },
      schema: schemaOf(peopleApi['POST /api/invitations/accept'], {
        tags,
        summary: 'Accept an invitation to another yard',
        description:
          'One is signed in with the account of the invited address; then one is at that yard.',
        example: { body: { token: oneTimeLink.token } },
      }),
    },
    async (request, reply) => {
      const caller = callerIn(request);
      const yardId = await source.transaction((m) => accept(m, caller, request.body.token));
      request.session.yardId = yardId;
      return reply.status(204).send(null);
    },
  );
};

/** Who is signed in, and at which of their yards. */
const whoPlugin = async (app: App, { source }: Options) => {
  app.get(
    '/api/session',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['GET /api/session'], {
        tags,
        summary: 'Who is signed in, and at which yard',
        example: { answer: sampleSession },
      }),
    },
    async (request: FastifyRequest) => {
      const caller = callerIn(request);
      return toSession(caller, await source.query(yardsQuery, [caller.personId]));
    },
  );

  app.put(
    '/api/session/yard',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['PUT /api/session/yard'], {
        tags,
        summary: 'Go over to another of one’s yards',
        example: { body: { yard: sampleSession.yard.id } },
      }),
    },
    async (request, reply) => {
      const { personId } = callerIn(request);
      const yardId = request.body.yard;
      if (!(await source.manager.existsBy(Membership, { personId, yardId }))) {
        throw new Refusal('not-found', 'You do not belong to that yard. Ask its manager.');
      }
      await source.manager.update(Membership, { personId, yardId }, { usedAt: new Date() });
      request.session.yardId = yardId;
      return reply.status(204).send(null);
    },
  );
};

/** People: signing in, one's own account, and the people of a yard. */
export const peoplePlugin = async (app: App, options: Options) => {
  app.chore({ name: 'Tries to sign in that count no longer', work: sweepTries });
  await app.register(signInPlugin, options);
  await app.register(linkPlugin, options);
  await app.register(whoPlugin, options);
  await app.register(mePlugin, options);
  await app.register(yardPeoplePlugin, options);
};
