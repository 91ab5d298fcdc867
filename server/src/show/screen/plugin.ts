import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { screenApi } from '@fair-gable/core/show/screen';
import { bytes, sample, schemaOf, type App } from '../../base/app/index.ts';
import { yardOf } from '../../base/access/index.ts';
import { pictureOf } from '../../unit/photo/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { readWalk } from '../walk/index.ts';
import {
  closeScreens,
  dropOldScreens,
  followed,
  followedBy,
  openScreen,
  viewOf,
} from './screens.ts';
import { sampleScreen } from './examples.ts';

const tags = ['screens'];
const byToken = z.strictObject({ token: z.string().min(20).max(100) });
const hour = 3600;

const openingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/walks/:id/screens',
    {
      config: { access: 'record' },
      schema: schemaOf(screenApi['POST /api/walks/:id/screens'], {
        tags,
        summary: 'Open a second screen on a walk',
        description:
          'The token is part of its address, `/screen#token`; told once. It holds for twelve hours, or until it is closed.',
        example: { answer: { token: 'the-address-of-a-screen-0001', until: sample.at } },
      }),
    },
    async (request, reply) =>
      reply
        .status(201)
        .send(await yardOf(source, request).within((yard) => openScreen(yard, request.params.id))),
  );

  app.delete(
    '/api/walks/:id/screens',
    {
      config: { access: 'record' },
      schema: schemaOf(screenApi['DELETE /api/walks/:id/screens'], {
        tags,
        summary: 'Close the second screens of a walk',
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => closeScreens(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const followingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/screens/:token',
    {
      config: { access: 'anyone' },
      schema: schemaOf(screenApi['GET /api/screens/:token'], {
        tags,
        summary: 'What a second screen shows now',
        description:
          'Picture, drawing and numbers of the card that is given: what the catalog calls public and somebody read, measured or saw. Nothing of what is to be said.',
        example: { answer: sampleScreen },
      }),
    },
    async (request) => await viewOf(await followed(source, request.params.token)),
  );

  app.get(
    '/api/screens/:token/live',
    {
      config: { access: 'anyone', endless: true },
      schema: {
        tags,
        summary: 'News for a second screen, as they happen',
        description: 'Server-sent events: `walk` and `unit` when it is to be asked for anew.',
        params: byToken,
        produces: ['text/event-stream'],
      },
    },
    async (request, reply) => {
      const { token } = request.params;
      const { yard, walk } = await followed(source, token);
      const { unit } = (await readWalk(yard, walk)).plan;
      app.stream(request, reply, {
        wants: (heard) =>
          heard !== 'catch-up' &&
          heard.yard === yard.yardId &&
          (heard.id === walk || heard.id === unit),
        stands: async () => (await followedBy(source, token)) !== undefined,
      });
    },
  );

  app.get(
    '/api/screens/:token/photos/:photo',
    {
      config: { access: 'anyone' },
      schema: {
        tags,
        summary: 'A photo for a second screen',
        description: 'One of those that it shows now.',
        params: byToken.extend({ photo: z.uuid() }),
        response: {
          200: {
            description: 'The picture.',
            content: { 'image/jpeg': { schema: bytes } },
          },
        },
      },
    },
    async (request, reply) => {
      const { token, photo } = request.params;
      const found = await followed(source, token);
      const { photos } = await viewOf(found);
      if (!photos.includes(photo)) {
        throw new Refusal('not-found', 'This screen does not show that picture.');
      }
      const { unit } = (await readWalk(found.yard, found.walk)).plan;
      return reply
        .type('image/jpeg')
        .header('cache-control', `private, max-age=${hour}`)
        .send(await pictureOf(found.yard, unit, photo, 'whole'));
    },
  );
};

/** A second screen, facing the buyer, that follows a walk. */
export const screenPlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(openingPlugin, options);
  app.chore({ name: 'Screens that are over', work: dropOldScreens });
  await app.register(followingPlugin, options);
};
