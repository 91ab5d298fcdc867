import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { nameOf, readUnitFile, toUnitFile, unitFileSchema } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import { callerIn, yardOf } from '../people/index.ts';
import { Refusal } from '../problems/index.ts';
import { importUnit, readUnit } from '../record/index.ts';

/** A unit out to a file and in from one. */
export const unitFilePlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/units/:id/file',
    {
      config: { access: 'member' },
      schema: {
        params: z.strictObject({ id: z.uuid() }),
        response: { 200: unitFileSchema },
      },
    },
    async (request, reply) => {
      const { id, record } = await readUnit(yardOf(source, request), request.params.id);
      const name = nameOf(record)
        .replaceAll(/[^\w-]+/g, '-')
        .toLowerCase();
      void reply.header('content-disposition', `attachment; filename="${name}.unit.json"`);
      return toUnitFile(id, record) as never;
    },
  );

  app.post(
    '/api/unit-files',
    {
      config: { access: 'writer' },
      // Any JSON may be offered; readUnitFile says in a sentence what is wrong with it.
      schema: {
        body: z.unknown(),
        response: { 201: z.strictObject({ id: z.uuid(), name: z.string() }) },
      },
    },
    async (request, reply) => {
      const read = readUnitFile(request.body);
      if (!read.ok) throw new Refusal('bad-file', read.message);
      const { id, record } = read.file;
      const { yardId, personId, name } = callerIn(request);
      await importUnit(source, yardId, id, record, { personId, name });
      return reply.status(201).send({ id, name: nameOf(record) });
    },
  );
};
