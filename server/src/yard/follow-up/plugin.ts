import { z } from 'zod';
import type { DataSource } from 'typeorm';
import {
  buyerSchema,
  followUpSchema,
  letterSchema,
  type FollowUp,
} from '@fair-gable/core/yard/follow-up';
import type { App } from '../../base/app/index.ts';
import { yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { allOf, buyersOf, eraseBuyer, forgetOverdue, keepBuyer, nameBuyer } from './buyers.ts';
import { dropFollowUp, followUpsOf, keepFollowUp } from './follow-ups.ts';
import { lettersOf, sendLetter, trayOnly, type MailOutbox } from './mail.ts';

const tags = ['follow-ups'];
const nothing = { 204: z.null().describe('Done.') };
const one = z.strictObject({ id: z.uuid() });
const ofWalk = z.strictObject({ walk: z.uuid().optional() });
const version = z.number().int();

interface Options {
  readonly source: DataSource;
  readonly mail?: MailOutbox | undefined;
}

const followUpsPlugin = async (app: App, { source }: Options) => {
  app.get(
    '/api/follow-ups',
    {
      config: { access: 'look' },
      schema: {
        tags,
        summary: 'What is left to do after walks, and what was done of late',
        description: 'With `walk` all of that walk.',
        querystring: ofWalk,
        response: {
          200: z.strictObject({
            followUps: z.array(
              z.strictObject({ followUp: followUpSchema, by: z.string(), version }),
            ),
          }),
        },
      },
    },
    async (request) => ({
      followUps: [...(await followUpsOf(yardOf(source, request), request.query.walk))],
    }),
  );

  app.put(
    '/api/follow-ups/:id',
    {
      config: { access: 'record' },
      schema: {
        tags,
        summary: 'Keep a follow-up',
        description:
          '`basedOn` is the version it was made from, 0 for a new one; else 409 with theirs.',
        params: one,
        body: z.strictObject({ followUp: followUpSchema, basedOn: z.number().int().min(0) }),
        response: { 200: z.strictObject({ version }) },
      },
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
      schema: { tags, summary: 'Take a follow-up off the list', params: one, response: nothing },
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => dropFollowUp(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const keptBuyer = z.strictObject({
  buyer: buyerSchema,
  keepUntil: z.string(),
  walks: z.array(z.uuid()),
});

const buyersPlugin = async (app: App, { source }: Options) => {
  app.get(
    '/api/buyers',
    {
      config: { access: 'see-buyers' },
      schema: {
        tags,
        summary: 'The buyers whose names this yard keeps',
        description: 'Each until a day; afterwards they are forgotten by themselves.',
        response: { 200: z.strictObject({ buyers: z.array(keptBuyer) }) },
      },
    },
    async (request) => ({ buyers: (await buyersOf(yardOf(source, request))) as never }),
  );

  app.put(
    '/api/buyers/:id',
    {
      config: { access: 'see-buyers' },
      schema: {
        tags,
        summary: 'Keep a buyer’s name and contact',
        description: 'From today for as long as the yard keeps anybody.',
        params: one,
        body: buyerSchema,
        response: { 200: z.strictObject({ keepUntil: z.string() }) },
      },
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
      schema: {
        tags,
        summary: 'Say for whom a walk was given',
        params: one,
        body: z.strictObject({ buyer: z.uuid().nullable() }),
        response: nothing,
      },
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
      schema: {
        tags,
        summary: 'All that is kept of a buyer',
        description: 'For whoever asks what that is.',
        params: one,
        response: { 200: z.looseObject({ buyer: buyerSchema, keepUntil: z.string() }) },
      },
    },
    async (request) => allOf(yardOf(source, request), request.params.id),
  );

  app.delete(
    '/api/buyers/:id',
    {
      config: { access: 'see-buyers' },
      schema: {
        tags,
        summary: 'Forget a buyer',
        description:
          'Name, contact, letters, follow-ups, and what was noted or said into the phone on their walks.',
        params: one,
        response: nothing,
      },
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => eraseBuyer(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const keptLetter = z.strictObject({
  ...letterSchema.shape,
  to: z.string(),
  by: z.string(),
  at: z.iso.datetime(),
  sentAt: z.iso.datetime().nullable(),
});

const lettersPlugin = async (app: App, { source, mail = trayOnly }: Options) => {
  app.get(
    '/api/letters',
    {
      config: { access: 'see-buyers' },
      schema: {
        tags,
        summary: 'Messages to buyers, latest first',
        description: 'With `walk` those of that walk.',
        querystring: ofWalk,
        response: { 200: z.strictObject({ letters: z.array(keptLetter) }) },
      },
    },
    async (request) => ({
      letters: [...(await lettersOf(yardOf(source, request), request.query.walk))],
    }),
  );

  app.put(
    '/api/letters/:id',
    {
      config: { access: 'see-buyers' },
      schema: {
        tags,
        summary: 'Send a message to the buyer of a walk',
        description:
          'Kept, and handed to the mail. Sent twice it goes once, and another one under its id is 409; where the mail does not take it, `sentAt` is null, and it is tried again when it is sent again.',
        params: one,
        body: letterSchema,
        response: { 200: keptLetter },
      },
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
