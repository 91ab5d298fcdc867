import { walkApi } from '@fair-gable/core/show/walk';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { bytes, schemaOf, type App } from '../../base/app/index.ts';
import { callerIn, yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { keepMemo, memoLimit, readMemo } from './memos.ts';
import { refuseOthers } from './walks.ts';

const tags = ['walks'];
const one = z.strictObject({ id: z.uuid(), memo: z.uuid() });

/** Voice memos of walks: kept once, given back as they are to whoever presents. */
export const memoPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.addContentTypeParser(
    'application/octet-stream',
    { parseAs: 'buffer', bodyLimit: memoLimit },
    (_request, body, done) => done(null, body),
  );

  app.put(
    '/api/walks/:id/memos/:memo',
    {
      config: { access: 'present' },
      bodyLimit: memoLimit,
      schema: schemaOf(walkApi['PUT /api/walks/:id/memos/:memo'], {
        tags,
        summary: 'Keep a voice memo of a walk',
        description:
          'WebM, Ogg or MP4 sound up to 3 MB, as application/octet-stream; a mark of the walk names it. Sent twice it is kept once; another one under the same id is 409.',
        takes: 'application/octet-stream',
      }),
    },
    async (request, reply) => {
      const { id: walk, memo: id } = request.params;
      const { body } = request as { body: unknown };
      if (!Buffer.isBuffer(body) || body.length === 0) {
        throw new Refusal(
          'bad-input',
          'The voice memo is empty or not application/octet-stream. Record it again.',
        );
      }
      const caller = callerIn(request);
      await yardOf(source, request).within(async (yard) => {
        await refuseOthers(yard, walk, caller);
        await keepMemo(yard, { walk, id, bytes: body });
      });
      return reply.status(204).send(null);
    },
  );

  app.get(
    '/api/walks/:id/memos/:memo',
    {
      config: { access: 'present' },
      schema: {
        tags,
        summary: 'A voice memo',
        params: one,
        response: {
          200: {
            description: 'The sound.',
            content: { 'audio/webm': { schema: bytes } },
          },
        },
      },
    },
    async (request, reply) => {
      const { id, memo } = request.params;
      const yard = yardOf(source, request);
      await refuseOthers(yard, id, callerIn(request));
      const { type, bytes } = await readMemo(yard, id, memo);
      return reply.type(type).header('cache-control', 'private, no-store').send(bytes);
    },
  );
};
