import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { nameOf, readUnitFile, toUnitFile, unitFileSchema } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import { callerIn, yardOf } from '../people/index.ts';
import { Refusal } from '../problems/index.ts';
import { hiddenFrom, importUnit, readUnit } from '../record/index.ts';

/** A unit out to a file and in from one. */
export const unitFilePlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/units/:id/file',
    {
      schema: {
        tags: ['unit files'],
        summary: 'A unit as a file',
        description:
          'The format is told in docs/file-format.md. Guests get it without the yard’s prices.',
        params: z.strictObject({ id: z.uuid() }),
        response: { 200: unitFileSchema },
      },
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const { id, record } = await readUnit(yard, request.params.id, hiddenFrom(request));
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
      // Any JSON may be offered; readUnitFile says in a sentence what is wrong with it.
      schema: {
        tags: ['unit files'],
        summary: 'Take in a unit file',
        description: 'Whole or not at all; 422 says in a sentence what is wrong with it.',
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
