import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { walkEventSchema, walkPlanSchema } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import { callerIn, yardOf } from '../people/index.ts';
import { Refusal } from '../problems/index.ts';
import { keepEvents, keepWalk, readWalk, walksOf } from './walks.ts';

const id = z.strictObject({ id: z.uuid() });
const walkView = z.strictObject({
  plan: walkPlanSchema,
  by: z.string(),
  createdAt: z.iso.datetime(),
  events: z.array(walkEventSchema),
});

/** Walks: a plan kept once, and events that only ever grow. */
export const walkPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/walks/:id',
    {
      config: { access: 'writer' },
      schema: { params: id, body: walkPlanSchema, response: { 204: z.null() } },
    },
    async (request, reply) => {
      if (request.body.id !== request.params.id) {
        throw new Refusal('bad-input', 'id: the walk in the address is another than the one sent.');
      }
      await keepWalk(yardOf(source, request), request.body, callerIn(request).name);
      return reply.status(204).send(null);
    },
  );

  app.post(
    '/api/walks/:id/events',
    {
      config: { access: 'writer' },
      schema: {
        params: id,
        body: z.strictObject({ events: z.array(walkEventSchema).min(1).max(500) }),
        response: { 204: z.null() },
      },
    },
    async (request, reply) => {
      await keepEvents(yardOf(source, request), request.params.id, request.body.events);
      return reply.status(204).send(null);
    },
  );

  app.get(
    '/api/walks/:id',
    { config: { access: 'member' }, schema: { params: id, response: { 200: walkView } } },
    async (request) => (await readWalk(yardOf(source, request), request.params.id)) as never,
  );

  app.get(
    '/api/units/:id/walks',
    {
      config: { access: 'member' },
      schema: { params: id, response: { 200: z.strictObject({ walks: z.array(walkView) }) } },
    },
    async (request) => {
      const walks = await walksOf(yardOf(source, request), request.params.id);
      return { walks: [...walks] } as never;
    },
  );
};
