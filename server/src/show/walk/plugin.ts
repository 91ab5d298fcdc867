import type { DataSource } from 'typeorm';
import { walkApi } from '@fair-gable/core/show/walk';
import { schemaOf, type App } from '../../base/app/index.ts';
import { callerIn, yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { memoPlugin } from './memo-plugin.ts';
import {
  keepEvents,
  keepWalk,
  lastWalks,
  readWalk,
  refuseOthers,
  asSeenBy,
  walksOf,
} from './walks.ts';
import { sampleEvent, samplePlan, sampleWalk } from './examples.ts';

const tags = ['walks'];

const keepingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/walks/:id',
    {
      config: { access: 'present' },
      schema: schemaOf(walkApi['PUT /api/walks/:id'], {
        tags,
        summary: 'Keep a planned walk',
        description:
          'With its cards as they are worded now. Sent twice it is kept once; another one under the same id is 409.',
        example: { body: samplePlan },
      }),
    },
    async (request, reply) => {
      if (request.body.id !== request.params.id) {
        throw new Refusal('bad-input', 'id: the walk in the address is another than the one sent.');
      }
      await yardOf(source, request).within((yard) => keepWalk(yard, request.body, yard.author));
      return reply.status(204).send(null);
    },
  );

  app.post(
    '/api/walks/:id/events',
    {
      config: { access: 'present' },
      schema: schemaOf(walkApi['POST /api/walks/:id/events'], {
        tags,
        summary: 'Keep events of a walk',
        description:
          'Events only ever grow; one that is there already stays as it is, and another one under its id is 409. Whose they are goes by the session. A guest adds to their own walks alone.',
        example: { body: { events: [sampleEvent] } },
      }),
    },
    async (request, reply) => {
      const { params, body } = request;
      const caller = callerIn(request);
      await yardOf(source, request).within(async (yard) => {
        await refuseOthers(yard, params.id, caller);
        await keepEvents(yard, params.id, body.events, caller.personId);
      });
      return reply.status(204).send(null);
    },
  );
};

const readingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/walks/:id',
    {
      config: { access: 'look' },
      schema: schemaOf(walkApi['GET /api/walks/:id'], {
        tags,
        summary: 'A walk with all its events',
        example: { answer: sampleWalk },
      }),
    },
    async (request) => {
      const yard = yardOf(source, request);
      const walk = await readWalk(yard, request.params.id);
      return (await asSeenBy(yard, [walk], callerIn(request)))[0];
    },
  );

  app.get(
    '/api/walks',
    {
      config: { access: 'look' },
      schema: schemaOf(walkApi['GET /api/walks'], {
        tags,
        summary: 'The last walks of the yard with all their events, latest first',
        example: { answer: { walks: [sampleWalk] } },
      }),
    },
    async (request) => {
      const yard = yardOf(source, request);
      const walks = await lastWalks(yard, request.query.take);
      return { walks: [...(await asSeenBy(yard, walks, callerIn(request)))] };
    },
  );

  app.get(
    '/api/units/:id/walks',
    {
      config: { access: 'look' },
      schema: schemaOf(walkApi['GET /api/units/:id/walks'], {
        tags,
        summary: 'The walks of a unit, latest first',
        example: { answer: { walks: [sampleWalk] } },
      }),
    },
    async (request) => {
      const yard = yardOf(source, request);
      const walks = await walksOf(yard, request.params.id);
      return { walks: [...(await asSeenBy(yard, walks, callerIn(request)))] };
    },
  );
};

/** Walks: a plan kept once, and events that only ever grow. */
export const walkPlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(keepingPlugin, options);
  await app.register(readingPlugin, options);
  await app.register(memoPlugin, options);
};
