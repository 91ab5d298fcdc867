import { photoApi } from '@fair-gable/core/unit/photo';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { bytes, schemaOf, type App } from '../../base/app/index.ts';
import { yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { arrived, dropStalePieces, pictureOf, pieceLimit, takePiece } from './photos.ts';

const tags = ['photos'];
const one = z.strictObject({ id: z.uuid(), photo: z.uuid() });

const uploadPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.addContentTypeParser(
    'application/octet-stream',
    { parseAs: 'buffer', bodyLimit: pieceLimit },
    (_request, body, done) => done(null, body),
  );

  app.get(
    '/api/units/:id/photos/:photo/upload',
    {
      config: { access: 'record' },
      schema: schemaOf(photoApi['GET /api/units/:id/photos/:photo/upload'], {
        tags,
        summary: 'How much of a photo is here',
        description: 'A device that lost its network goes on from `received`.',
        example: { answer: { received: 512_000, done: false } },
      }),
    },
    async (request) => {
      const { id, photo } = request.params;
      return arrived(yardOf(source, request), id, photo);
    },
  );

  app.put(
    '/api/units/:id/photos/:photo/upload',
    {
      config: { access: 'record' },
      bodyLimit: pieceLimit,
      schema: schemaOf(photoApi['PUT /api/units/:id/photos/:photo/upload'], {
        tags,
        summary: 'Send a piece of a photo',
        description:
          'JPEG, PNG or WebP up to 12 MB, in pieces of up to 512 kB as application/octet-stream, from the start on. Sent twice a piece is taken once; the answer says from where to go on. With the last piece the picture is checked by its content, turned upright, made anew without what the camera wrote into it, and kept; what it shows is an edit of the record’s part `photos` under the same id.',
        takes: 'application/octet-stream',
        example: { answer: { received: 12_000_000, done: true, width: 2000, height: 1500 } },
      }),
    },
    async (request) => {
      const { id: unitId, photo: id } = request.params;
      const { from, of } = request.query;
      const { body } = request as { body: unknown };
      if (!Buffer.isBuffer(body) || body.length === 0) {
        throw new Refusal(
          'bad-input',
          'The piece of the photo is empty or not application/octet-stream. Send it again.',
        );
      }
      const piece = { unitId, id, from, of, bytes: body };
      return takePiece(yardOf(source, request), app.pictureThreads, piece);
    },
  );
};

/** Photos of units: taken in pieces, made anew, given back whole or small. */
export const photoPlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(uploadPlugin, options);
  app.chore({ name: 'Pieces of photos nobody went on with', work: dropStalePieces });

  app.get(
    '/api/units/:id/photos/:photo',
    {
      config: { access: 'look' },
      schema: {
        tags,
        summary: 'A photo',
        description: 'JPEG; `size=thumb` gives a small one, 360 pixels at the most.',
        params: one,
        querystring: z.strictObject({ size: z.enum(['whole', 'thumb']).default('whole') }),
        response: {
          200: {
            description: 'The picture.',
            content: { 'image/jpeg': { schema: bytes } },
          },
          304: z.null().describe('It is as it was.'),
        },
      },
    },
    async (request, reply) => {
      const { id, photo } = request.params;
      const { size } = request.query;
      const bytes = await pictureOf(yardOf(options.source, request), id, photo, size);
      // It never changes, and is asked for each time all the same: who has signed out sees it no more.
      const etag = `"${photo}-${size}"`;
      void reply.header('cache-control', 'private, no-cache').header('etag', etag);
      if (request.headers['if-none-match'] === etag) return reply.status(304).send(null);
      return reply.type('image/jpeg').send(bytes);
    },
  );
};
