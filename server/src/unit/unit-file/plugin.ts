import { Readable } from 'node:stream';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { broughtInBy, nameOf, type UnitRecord } from '@fair-gable/core/unit/record';
import {
  asTheFileSays,
  readUnitFile,
  toUnitFile,
  unitFileApi,
} from '@fair-gable/core/unit/unit-file';
import { bytes, schemaOf, type App } from '../../base/app/index.ts';
import { callerIn, yardOf, type Caller } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { hiddenFrom, importUnit, readUnit } from '../record/index.ts';
import { keepingPictures, packUnit, unpackInThread, zipLimit } from './zip.ts';
import { sampleFile } from './examples.ts';

const tags = ['unit files'];

/** A record as this caller may bring it in. */
const asBrought = ({ role }: Caller, record: UnitRecord) => {
  const brought = broughtInBy(role, record);
  const isLess = (['inspection', 'signatures'] as const).some(
    (part) => Object.keys(brought[part]).length < Object.keys(record[part]).length,
  );
  return { record: asTheFileSays(brought), unsigned: isLess };
};

const fileName = (record: UnitRecord, ending: string): string =>
  `attachment; filename="${nameOf(record)
    .replaceAll(/[^\w-]+/g, '-')
    .toLowerCase()}.${ending}"`;

const givingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/units/:id/file',
    {
      config: { access: 'look' },
      schema: schemaOf(unitFileApi['GET /api/units/:id/file'], {
        tags,
        summary: 'A unit as a file',
        description:
          'The format is told in docs/file-format.md. Guests get it without the yard’s prices. Photos are in the zip.',
        example: { answer: sampleFile },
      }),
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const { id, record } = await readUnit(yard, request.params.id, hiddenFrom(request));
      void reply.header('content-disposition', fileName(record, 'unit.json'));
      return toUnitFile(id, record);
    },
  );

  app.get(
    '/api/units/:id/file.zip',
    {
      config: { access: 'look' },
      schema: {
        tags,
        summary: 'A unit with its photos',
        description: '`unit.json` as the file alone, and `photos/<id>.jpg` beside it.',
        params: z.strictObject({ id: z.uuid() }),
        response: {
          200: {
            description: 'A zip.',
            content: { 'application/zip': { schema: bytes } },
          },
        },
      },
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const { id, record } = await readUnit(yard, request.params.id, hiddenFrom(request));
      return reply
        .header('content-disposition', fileName(record, 'unit.zip'))
        .type('application/zip')
        .send(Readable.from(packUnit(yard, toUnitFile(id, record))));
    },
  );
};

const takingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/unit-files',
    {
      config: { access: 'record' },
      // Any JSON may be offered; readUnitFile says in a sentence what is wrong with it.
      schema: schemaOf(unitFileApi['POST /api/unit-files'], {
        tags,
        summary: 'Take in a unit file',
        description:
          'Whole or not at all; 422 says in a sentence what is wrong with it. Who wrote what and when is as the file says, and marked `filed`; versions begin anew; nothing comes in signed.',
        example: {
          body: sampleFile,
          answer: { id: sampleFile.id, name: 'Fenlark 24 RKD', unsigned: true },
        },
      }),
    },
    async (request, reply) => {
      const read = readUnitFile(request.body);
      if (!read.ok) throw new Refusal('bad-file', read.message);
      const { id } = read.file;
      const { record, unsigned } = asBrought(callerIn(request), read.file.record);
      await yardOf(source, request).within((yard) => importUnit(yard, id, record));
      return reply.status(201).send({ id, name: nameOf(record), unsigned });
    },
  );

  app.addContentTypeParser(
    'application/zip',
    { parseAs: 'buffer', bodyLimit: zipLimit },
    (_request, body, done) => done(null, body),
  );
  app.post(
    '/api/unit-files/zip',
    {
      config: { access: 'record' },
      bodyLimit: zipLimit,
      schema: schemaOf(unitFileApi['POST /api/unit-files/zip'], {
        tags,
        summary: 'Take in a unit with its photos',
        description:
          'A zip as `GET /api/units/:id/file.zip` gives it, up to 100 MB. Whole or not at all; every picture is made anew. It is read in a thread of its own, one at a time for each yard: 429 where another waits. With a `fair-gable-work` id its progress is heard as `work`; whoever leaves ends it.',
        takes: 'application/zip',
        example: { answer: { id: sampleFile.id, name: 'Fenlark 24 RKD', unsigned: false } },
      }),
    },
    async (request, reply) => {
      const { body } = request as { body: unknown };
      if (!Buffer.isBuffer(body)) throw new Refusal('bad-file', 'No zip was sent.');
      const caller = callerIn(request);
      const taken = await app.long(request, reply, async (at) => {
        const { file, pictures } = await unpackInThread(app.threads, body, at);
        const { record, unsigned } = asBrought(caller, file.record);
        const keep = keepingPictures(file.id, pictures);
        await at.yard.within((yard) => importUnit(yard, file.id, record, keep));
        return { id: file.id, name: nameOf(record), unsigned };
      });
      return reply.status(201).send(taken);
    },
  );
};

/** A unit out to a file and in from one, with its photos and without. */
export const unitFilePlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(givingPlugin, options);
  await app.register(takingPlugin, options);
};
