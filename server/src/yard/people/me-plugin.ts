import type { DataSource } from 'typeorm';
import { type SavedView } from '@fair-gable/core/yard/list';
import { peopleApi } from '@fair-gable/core/yard/people';
import { schemaOf, type App } from '../../base/app/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { callerIn } from '../../base/access/index.ts';
import { Membership, Person } from '../../base/access/index.ts';
import { rename } from '../../base/access/index.ts';
import { changeOwn } from './passwords.ts';
import { beginSession } from '../../base/access/index.ts';
import { PostgresSessionStore } from '../../base/access/index.ts';
import { sampleView, signedInThere } from './examples.ts';

const tags = ['me'];

const settingsPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/me',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['PUT /api/me'], {
        tags,
        summary: 'Set one’s own name, units and pace',
        description:
          '`system` null takes the units of the yard one is at; a name that nobody else of one’s yards has, told in their history; `pace` null goes by one’s own walks, and left out it stays.',
        example: { body: { name: 'Ines Rook', system: 'metric', pace: 165 } },
      }),
    },
    async (request, reply) => {
      const { name, system, pace } = request.body;
      const given = pace === undefined ? { system } : { system, pace };
      const caller = callerIn(request);
      await source.transaction(async (manager) => {
        await rename(manager, caller, name);
        await manager.update(Person, { id: caller.personId }, given);
      });
      return reply.status(204).send(null);
    },
  );
};

const accountPlugin = async (app: App, { source }: { source: DataSource }) => {
  const sessions = new PostgresSessionStore(source);

  app.put(
    '/api/me/password',
    {
      config: { access: 'look', rateLimit: { max: 20, timeWindow: '1 minute' } },
      schema: schemaOf(peopleApi['PUT /api/me/password'], {
        tags,
        summary: 'Change one’s own password',
        description: 'Ends every other sign-in.',
        example: { body: { present: 'spring-ferry-22', next: 'a long enough one' } },
      }),
    },
    async (request, reply) => {
      const { personId, yardId } = callerIn(request);
      await source.transaction((manager) => changeOwn(manager, personId, request.body));
      await beginSession(request, { personId, yardId });
      return reply.status(204).send(null);
    },
  );

  app.get(
    '/api/me/sessions',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['GET /api/me/sessions'], {
        tags,
        summary: 'The browsers one is signed in with',
        example: { answer: { sessions: [signedInThere] } },
      }),
    },
    async (request) => {
      const { personId } = callerIn(request);
      return { sessions: [...(await sessions.of(personId, request.session.sessionId))] };
    },
  );

  app.delete(
    '/api/me/sessions',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['DELETE /api/me/sessions'], {
        tags,
        summary: 'Sign out everywhere else',
      }),
    },
    async (request, reply) => {
      await sessions.endOthers(callerIn(request).personId, request.session.sessionId);
      return reply.status(204).send(null);
    },
  );

  app.delete(
    '/api/me/sessions/:id',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['DELETE /api/me/sessions/:id'], {
        tags,
        summary: 'Sign out one browser',
      }),
    },
    async (request, reply) => {
      if (!(await sessions.end(callerIn(request).personId, request.params.id))) {
        throw new Refusal('not-found', 'That browser is signed out already.');
      }
      return reply.status(204).send(null);
    },
  );
};

const viewsPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/me/views',
    {
      config: { access: 'look' },
      schema: schemaOf(peopleApi['PUT /api/me/views'], {
        tags,
        summary: 'Keep one’s own views of this yard',
        description: 'All of them; what is left out is dropped.',
        example: { body: { views: [sampleView] } },
      }),
    },
    async (request, reply) => {
      const { personId, yardId } = callerIn(request);
      const views = request.body.views as readonly SavedView[];
      await source.manager.update(Membership, { personId, yardId }, { views });
      return reply.status(204).send(null);
    },
  );
};

/** One's own account: settings, password, views, and the browsers one is signed in with. */
export const mePlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(settingsPlugin, options);
  await app.register(accountPlugin, options);
  await app.register(viewsPlugin, options);
};
