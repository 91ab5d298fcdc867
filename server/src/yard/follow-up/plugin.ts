import type { DataSource } from 'typeorm';
import { type FollowUp, followUpApi } from '@fair-gable/core/yard/follow-up';
import { sample, schemaOf, type App } from '../../base/app/index.ts';
import { yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { allOf, buyersOf, eraseBuyer, forgetOverdue, keepBuyer, nameBuyer } from './buyers.ts';
import { dropFollowUp, followUpsOf, keepFollowUp } from './follow-ups.ts';
import { lettersOf, sendLetter, trayOnly, type MailOutbox } from './mail.ts';
import {
  allOfBuyer,
  keptLetter,
  sampleBuyer,
  sampleFollowUp,
  sampleKeepUntil,
  sampleLetter,
} from './examples.ts';

const tags = ['follow-ups'];

interface Options {
  readonly source: DataSource;
  readonly mail?: MailOutbox | undefined;
}

const followUpsPlugin = async (app: App, { source }: Options) => {
  app.get(
    '/api/follow-ups',
    {
      config: { access: 'look' },
      schema: schemaOf(followUpApi['GET /api/follow-ups'], {
        tags,
        summary: 'What is left to do after walks, and what was done of late',
        description: 'With `walk` all of that walk.',
        example: {
          answer: { followUps: [{ followUp: sampleFollowUp, by: 'Ines Rook', version: 1 }] },
        },
      }),
    },
    async (request) => ({
      followUps: [...(await followUpsOf(yardOf(source, request), request.query.walk))],
    }),
  );

  app.put(
    '/api/follow-ups/:id',
    {
      config: { access: 'record' },
      schema: schemaOf(followUpApi['PUT /api/follow-ups/:id'], {
        tags,
        summary: 'Keep a follow-up',
        description:
          '`basedOn` is the version it was made from, 0 for a new one; else 409 with theirs.',
        example: { body: { followUp: sampleFollowUp, basedOn: 0 }, answer: { version: 1 } },
      }),
    },
    async (request) => {
      const { followUp, basedOn } = request.body;
      if (followUp.id !== request.params.id) {
        throw new Refusal(
          'bad-input',
          'id: the follow-up in the address is another than the one sent.',
        );
      }
      const kept = await yardOf(source, request).within((yard) =>
        keepFollowUp(yard, followUp as FollowUp, basedOn),
      );
      return { version: kept };
    },
  );

  app.delete(
    '/api/follow-ups/:id',
    {
      config: { access: 'record' },
      schema: schemaOf(followUpApi['DELETE /api/follow-ups/:id'], {
        tags,
        summary: 'Take a follow-up off the list',
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => dropFollowUp(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const buyersPlugin = async (app: App, { source }: Options) => {
  app.get(
    '/api/buyers',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['GET /api/buyers'], {
        tags,
        summary: 'The buyers whose names this yard keeps',
        description: 'Each until a day; after that they are deleted automatically.',
        example: {
          answer: {
            buyers: [{ buyer: sampleBuyer, keepUntil: sampleKeepUntil, walks: [sample.walk] }],
          },
        },
      }),
    },
    async (request) => ({ buyers: await buyersOf(yardOf(source, request)) }),
  );

  app.put(
    '/api/buyers/:id',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['PUT /api/buyers/:id'], {
        tags,
        summary: 'Keep a buyer’s name and contact',
        description: 'From today for as long as the yard keeps anybody.',
        example: { body: sampleBuyer, answer: { keepUntil: sampleKeepUntil } },
      }),
    },
    async (request) => {
      if (request.body.id !== request.params.id) {
        throw new Refusal(
          'bad-input',
          'id: the buyer in the address is another than the one sent.',
        );
      }
      return yardOf(source, request).within(async (yard) => ({
        keepUntil: await keepBuyer(yard, request.body),
      }));
    },
  );

  app.put(
    '/api/walks/:id/buyer',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['PUT /api/walks/:id/buyer'], {
        tags,
        summary: 'Say for whom a walk was given',
        example: { body: { buyer: sampleBuyer.id } },
      }),
    },
    async (request, reply) => {
      const { params, body } = request;
      await yardOf(source, request).within((yard) => nameBuyer(yard, params.id, body.buyer));
      return reply.status(204).send(null);
    },
  );
};

const buyerRightsPlugin = async (app: App, { source }: Options) => {
  app.get(
    '/api/buyers/:id',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['GET /api/buyers/:id'], {
        tags,
        summary: 'All that is kept of a buyer',
        description: 'For whoever asks what that is.',
        example: { answer: allOfBuyer },
      }),
    },
    async (request) => allOf(yardOf(source, request), request.params.id),
  );

  app.delete(
    '/api/buyers/:id',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['DELETE /api/buyers/:id'], {
        tags,
        summary: 'Forget a buyer',
        description:
          'Name, contact, letters, follow-ups, and what was noted or said into the phone on their walks.',
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => eraseBuyer(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const lettersPlugin = async (app: App, { source, mail = trayOnly }: Options) => {
  app.get(
    '/api/letters',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['GET /api/letters'], {
        tags,
        summary: 'Messages to buyers, latest first',
        description: 'With `walk` those of that walk.',
        example: { answer: { letters: [keptLetter] } },
      }),
    },
    async (request) => ({
      letters: [...(await lettersOf(yardOf(source, request), request.query.walk))],
    }),
  );

  app.put(
    '/api/letters/:id',
    {
      config: { access: 'see-buyers' },
      schema: schemaOf(followUpApi['PUT /api/letters/:id'], {
        tags,
        summary: 'Send a message to the buyer of a walk',
        description:
          'Kept, and handed to the mail. Sent twice it goes once, and another one under its id is 409; where the mail does not take it, `sentAt` is null, and it is tried again when it is sent again.',
        example: { body: sampleLetter, answer: keptLetter },
      }),
    },
    async (request) => {
      if (request.body.id !== request.params.id) {
        throw new Refusal(
          'bad-input',
          'id: the letter in the address is another than the one sent.',
        );
      }
      return sendLetter(yardOf(source, request), mail, request.body);
    },
  );
};

/** After a walk: what is left to do, for whom it was given, and what is written to them. */
export const followUpPlugin = async (app: App, options: Options) => {
  await app.register(followUpsPlugin, options);
  await app.register(buyersPlugin, options);
  await app.register(buyerRightsPlugin, options);
  await app.register(lettersPlugin, options);
  app.chore({ name: 'Buyers whose day has passed', work: forgetOverdue });
};
