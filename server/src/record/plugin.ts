import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { changeSchema, recordSchema, type Change } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import { callerIn, yardOf, type Caller } from '../people/index.ts';
import { changeUnit, createUnit, listUnits, readUnit, type Author } from './units.ts';

const unitId = z.strictObject({ id: z.uuid() });
const unitView = z.strictObject({ id: z.uuid(), record: recordSchema });
const changes = z.array(changeSchema).min(1).max(400);

const authorOf = (caller: Caller): Author => ({ personId: caller.personId, name: caller.name });

/** Units and the changes of their records. */
export const recordPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/units',
    {
      config: { access: 'member' },
      schema: { response: { 200: z.strictObject({ units: z.array(unitView) }) } },
    },
    async (request) => ({ units: [...(await listUnits(yardOf(source, request)))] as never }),
  );

  app.get(
    '/api/units/:id',
    { config: { access: 'member' }, schema: { params: unitId, response: { 200: unitView } } },
    async (request) => (await readUnit(yardOf(source, request), request.params.id)) as never,
  );

  app.post(
    '/api/units',
    {
      config: { access: 'writer' },
      schema: {
        body: z.strictObject({ id: z.uuid(), changes }),
        response: { 201: unitView },
      },
    },
    async (request, reply) => {
      const caller = callerIn(request);
      const { id, changes: first } = request.body;
      const unit = await createUnit(source, caller.yardId, id, first as Change[], authorOf(caller));
      return reply.status(201).send(unit as never);
    },
  );

  app.post(
    '/api/units/:id/changes',
    {
      config: { access: 'writer' },
      schema: { params: unitId, body: z.strictObject({ changes }), response: { 200: unitView } },
    },
    async (request) => {
      const caller = callerIn(request);
      const sent = request.body.changes as Change[];
      return (await changeUnit(
        source,
        caller.yardId,
        request.params.id,
        sent,
        authorOf(caller),
      )) as never;
    },
  );
};
