import type { DataSource } from 'typeorm';
import { peopleApi } from '@fair-gable/core/yard/people';
import { schemaOf, type App } from '../../base/app/index.ts';
import { yardOf } from '../../base/access/index.ts';
import { addPerson, changeRole, linkFor, peopleOf, removePerson } from './yard-people.ts';
import { oneTimeLink, samplePerson } from './examples.ts';

const tags = ['yard'];

const peopleOfYardPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/people',
    {
      config: { access: 'manage' },
      schema: schemaOf(peopleApi['GET /api/people'], {
        tags,
        summary: 'The people of this yard',
        example: { answer: { people: [samplePerson] } },
      }),
    },
    async (request) => ({
      people: [...(await peopleOf(yardOf(source, request)))],
    }),
  );

  app.post(
    '/api/people',
    {
      config: { access: 'manage' },
      schema: schemaOf(peopleApi['POST /api/people'], {
        tags,
        summary: 'Invite somebody onto this yard',
        description:
          'Answers with a one-time link (`link.token`, opened at `/password#token`), to be handed over by the manager. It holds for three days. Who has an account accepts it signed in; who has none sets a password by it. The answer is the same.',
        example: {
          body: { name: 'Bram Oake', email: 'bram@thornquay.example', role: 'technician' },
          answer: { id: samplePerson.id, link: oneTimeLink },
        },
      }),
    },
    async (request, reply) => {
      const added = await yardOf(source, request).within((yard) => addPerson(yard, request.body));
      return reply.status(201).send(added);
    },
  );

  app.put(
    '/api/people/:id',
    {
      config: { access: 'manage' },
      schema: schemaOf(peopleApi['PUT /api/people/:id'], {
        tags,
        summary: 'Give somebody another role',
        example: { body: { role: 'manager' } },
      }),
    },
    async (request, reply) => {
      const { params: of, body } = request;
      await yardOf(source, request).within((yard) => changeRole(yard, of.id, body.role));
      return reply.status(204).send(null);
    },
  );

  app.delete(
    '/api/people/:id',
    {
      config: { access: 'manage' },
      schema: schemaOf(peopleApi['DELETE /api/people/:id'], {
        tags,
        summary: 'Take somebody off this yard',
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => removePerson(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const linkOfPersonPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/people/:id/link',
    {
      config: { access: 'manage' },
      schema: schemaOf(peopleApi['POST /api/people/:id/link'], {
        tags,
        summary: 'A one-time link for somebody who forgot their password',
        example: { answer: oneTimeLink },
      }),
    },
    async (request, reply) => {
      const link = await yardOf(source, request).within((yard) => linkFor(yard, request.params.id));
      return reply.status(201).send(link);
    },
  );
};

/** The people of a yard: invited, given a role, helped back in, taken off. */
export const yardPeoplePlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(peopleOfYardPlugin, options);
  await app.register(linkOfPersonPlugin, options);
};
